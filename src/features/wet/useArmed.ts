import { useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';

/** A control that has just come takes no tap for this long: the second tap on the one before it lands here. */
export const DEAF_MS = 700;

/**
 * A control that is deaf for a moment after its words come, and to a pointer or key that went down before. A tap on
 * it meanwhile begins the moment anew, so that a flurry of taps never gets through.
 * @param token another token means other words: deaf again
 */
export function useArmed(token: string) {
  const [armed, setArmed] = useState<string | null>(null);
  const [flurry, setFlurry] = useState(0);
  const since = useRef(0);
  const early = useRef(false);
  useLayoutEffect(() => {
    since.current = performance.now();
    // Whatever is down now went down for the words before.
    early.current = true;
  }, [token, flurry]);
  useEffect(() => {
    const timer = setTimeout(() => setArmed(token), DEAF_MS);
    return () => clearTimeout(timer);
  }, [token, flurry]);
  const isArmed = armed === token;
  const ready = () => performance.now() - since.current >= DEAF_MS;
  const onDown = () => {
    early.current = !ready();
    if (early.current) setFlurry((n) => n + 1);
  };
  return {
    isArmed,
    handlers: {
      onPointerDown: onDown,
      onKeyDown: (event: KeyboardEvent) => {
        if (!event.repeat) onDown();
      },
    },
    /** Whether a click is meant for these words; one by an assistive device comes without pointer or key. */
    takes: (byHand: boolean) => ready() && !(byHand && early.current),
  };
}
