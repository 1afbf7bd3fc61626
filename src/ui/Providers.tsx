'use client';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ChakraProvider } from '@chakra-ui/react';
import { useState, useSyncExternalStore, type ReactNode } from 'react';
import { system } from './theme';

const never = () => () => undefined;

/**
 * Styles with the nonce of the Content-Security-Policy. Children are drawn in the browser only: all
 * data is there, and clock times are in its time zone.
 */
export function Providers({ nonce, children }: { nonce: string; children: ReactNode }) {
  const [cache] = useState(() => createCache({ key: 'bm', nonce, speedy: true }));
  const inBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  if (!inBrowser) return <p className="opening">Bilamina is opening …</p>;
  return (
    <CacheProvider value={cache}>
      <ChakraProvider value={system}>{children}</ChakraProvider>
    </CacheProvider>
  );
}
