'use client';
import { usePathname } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { followAddress } from './go';

/** The place that the address leads to, and what it asks for there. */
export interface Address {
  readonly pathname: string;
  readonly search: URLSearchParams;
}

/**
 * The address, drawn in one go when it changes. The router tells it too, but draws what follows from it in pieces of five
 * milliseconds with pauses between them, so that a tap waits for longer; on the server it is the only one that knows.
 */
export function useAddress(): Address {
  const [pathname, setPathname] = useState(usePathname());
  const [asked, setAsked] = useState('');
  useEffect(() => {
    const read = () => {
      setPathname(window.location.pathname);
      setAsked(window.location.search);
    };
    read();
    return followAddress(read);
  }, []);
  return useMemo(() => ({ pathname, search: new URLSearchParams(asked) }), [pathname, asked]);
}
