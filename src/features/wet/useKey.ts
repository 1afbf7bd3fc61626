'use client';
import { useLayoutEffect, useRef } from 'react';

/** Controls that keep a key for themselves while they have the focus. */
export const TAKES_KEYS = 'input, select, textarea, button, a, [role=slider]';

/**
 * Runs an action on one key, unless the key belongs to the control that has the focus. The key works as
 * soon as its words are on screen.
 */
export function useKey(key: string, action: () => void, disabled = false): void {
  const latest = useRef(action);
  useLayoutEffect(() => {
    latest.current = action;
  });
  useLayoutEffect(() => {
    if (disabled) return;
    const onKey = (event: KeyboardEvent) => {
      if (
        event.key.toLowerCase() !== key ||
        event.repeat ||
        event.ctrlKey ||
        event.metaKey ||
        event.altKey
      )
        return;
      const onControl =
        event.target instanceof Element && event.target.closest(TAKES_KEYS) !== null;
      if (onControl && (key === ' ' || key === 'enter')) return;
      event.preventDefault();
      latest.current();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [key, disabled]);
}
