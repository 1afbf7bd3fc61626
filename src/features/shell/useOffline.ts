'use client';
import { useEffect, useState } from 'react';
import { Serwist } from '@serwist/window';

interface Offline {
  /** A new version is on this machine and waits for somebody to take it. */
  readonly waits: boolean;
  /** Takes the new version; the page begins anew with it. */
  readonly take: () => void;
  /** It was asked for, and has not come yet. */
  readonly taking: boolean;
}

/** How often a page that stays open asks whether there is a new version, ms. */
const ASK_MS = 30 * 60_000;

/** What somebody came for is shown first; keeping all of Bilamina takes both cores for a second or two, ms. */
const LATER_MS = 4000;

/** Keeps Bilamina on this machine, so that it opens without its server, and hears of new versions. */
export function useOffline(): Offline {
  const [waiting, setWaiting] = useState<Serwist | null>(null);
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const worker = new Serwist('/offline/sw.js', { scope: '/' });
    worker.addEventListener('waiting', () => setWaiting(worker));
    // A browser that keeps nothing (a private window, a policy) works as before, with its server.
    const begin = () => void worker.register({ immediate: true }).catch(() => undefined);
    const first = setTimeout(begin, LATER_MS);
    const timer = setInterval(() => void worker.update().catch(() => undefined), ASK_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, []);
  const [taking, setTaking] = useState(false);
  const take = () => {
    setTaking(true);
    waiting?.addEventListener('controlling', () => window.location.reload());
    waiting?.messageSkipWaiting();
  };
  return { waits: waiting !== null, take, taking };
}
