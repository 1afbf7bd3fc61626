'use client';
import { useEffect } from 'react';
import { go } from '@/ui/go';
import { LOAD_DEMO, useAct, useShop } from '@/data/hooks';
import { loadDemo } from '../common/loadDemo';

/** `?shop=demo` in the address loads the demo shop, but only into an empty one. */
export function DemoOnAsking() {
  const act = useAct();
  const empty = useShop().pieces.length === 0;
  useEffect(() => {
    const asked = new URLSearchParams(window.location.search).get('shop') === 'demo';
    if (!asked) return;
    // Asked once: emptying the shop later must not bring the demo back.
    go(window.location.pathname, 'replace');
    if (empty) void act(LOAD_DEMO, loadDemo);
  }, [act, empty]);
  return null;
}
