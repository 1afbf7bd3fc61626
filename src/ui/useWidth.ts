'use client';
import { useEffect, useRef, useState, useSyncExternalStore, type RefObject } from 'react';

/** Width of an element as it is drawn, px; null before it is. */
export function useWidth<E extends Element>(): [RefObject<E | null>, number | null] {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState<number | null>(null);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? null));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width];
}

const onResize = (tell: () => void): (() => void) => {
  window.addEventListener('resize', tell);
  return () => window.removeEventListener('resize', tell);
};

/** Width of the window, px. */
export const useViewportWidth = (): number =>
  useSyncExternalStore(
    onResize,
    () => window.innerWidth,
    () => 1280,
  );
