import { TAKES_KEYS } from './useKey';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';

/** How long something must be held down, ms. */
export const HOLD_MS = 1200;
const FRAME_MS = 60;

/** The key belongs to another control that has the focus. */
function ofAnother(target: EventTarget | null, hotkey: string): boolean {
  const control = target instanceof Element ? target.closest(TAKES_KEYS) : null;
  return control !== null && control.getAttribute('data-hold') !== hotkey;
}

/**
 * An act that wants to be held down, by pointer or by its key; an assistive device, which cannot hold, presses twice.
 * @param onHeld the act @param enabled whether it can be held now @param hotkey the key that may be held instead
 */
export function useHold(onHeld: () => void, enabled: boolean, hotkey: string) {
  const [heldMs, setHeldMs] = useState(0);
  const [asked, setAsked] = useState(false);
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  const latest = useRef(onHeld);
  useLayoutEffect(() => {
    latest.current = onHeld;
  });
  const stop = useCallback(() => {
    clearInterval(timer.current);
    timer.current = undefined;
    setHeldMs(0);
  }, []);
  const start = useCallback(() => {
    if (!enabled || timer.current !== undefined) return;
    const from = performance.now();
    timer.current = setInterval(() => {
      const held = performance.now() - from;
      if (held < HOLD_MS) return setHeldMs(held);
      stop();
      latest.current();
    }, FRAME_MS);
  }, [enabled, stop]);
  useEffect(() => {
    if (!enabled) return;
    const isKey = (event: KeyboardEvent) => event.key.toLowerCase() === hotkey;
    const down = (event: KeyboardEvent) => {
      if (!isKey(event) || ofAnother(event.target, hotkey)) return;
      event.preventDefault();
      // A key that was down before these words came only repeats.
      if (!event.repeat) start();
    };
    const up = (event: KeyboardEvent) => {
      if (isKey(event)) stop();
    };
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', stop);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', stop);
      stop();
      setAsked(false);
    };
  }, [enabled, hotkey, start, stop]);
  return {
    share: enabled ? Math.min(1, heldMs / HOLD_MS) : 0,
    asked: enabled && asked,
    start,
    stop,
    byAssistance: () => {
      if (!enabled) return;
      if (asked) latest.current();
      setAsked(!asked);
    },
  };
}
