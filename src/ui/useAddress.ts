'use client';
import { usePathname } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { followAddress, isFollowed } from './go';

/** The place that the address leads to, and what it asks for there. */
export interface Address {
  readonly pathname: string;
  readonly search: URLSearchParams;
}

/** The address, drawn in one go when it changes. On the server the router tells it, and in the first pass of the browser. */
export function useAddress(): Address {
  const first = usePathname();
  // Who comes later, in a frame that is drawn anew, would else draw the place that the browser was opened at.
  const [pathname, setPathname] = useState(() => (isFollowed() ? window.location.pathname : first));
  const [asked, setAsked] = useState(() => (isFollowed() ? window.location.search : ''));
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
