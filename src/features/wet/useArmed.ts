import { useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';

/** A control that has just come takes no tap for this long: the second tap on the one before it lands here. */
export const DEAF_MS = 700;

/**
 * A control that is deaf for a moment after its words come, and to a pointer or key that went down before.
 * @param token another token means other words: deaf again
 */
export function useArmed(token: string) {
  const [armed, setArmed] = useState<string | null>(null);
  const since = useRef(0);
  const early = useRef(false);
  useLayoutEffect(() => {
    since.current = performance.now();
    // Whatever is down now went down for the words before.
    early.current = true;
  }, [token]);
  useEffect(() => {
    const timer = setTimeout(() => setArmed(token), DEAF_MS);
    return () => clearTimeout(timer);
  }, [token]);
  const isArmed = armed === token;
  const ready = () => performance.now() - since.current >= DEAF_MS;
  const onDown = () => {
    early.current = !ready();
  };
  return {
    isArmed,
    handlers: {
      onPointerDown: onDown,
      onKeyDown: (event: KeyboardEvent) => {
        if (!event.repeat) onDown();
      },
    },
    /** Whether a click is meant for these words. `detail` 0 and no pointer: a click by an assistive device. */
    takes: (byPointerOrKey: boolean) => ready() && !(byPointerOrKey && early.current),
  };
}
