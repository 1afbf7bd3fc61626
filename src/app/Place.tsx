'use client';
import { Fragment, useEffect, useMemo } from 'react';
import { NoPlace } from '@/features/shell';
import { useAddress } from '@/ui/useAddress';
import { placeAt } from './paths';
import { preloadScreen, preloadScreens, SCREENS } from './screens';

/** The first screen stands for this long before the other places are fetched, ms. */
const PRELOAD_MS = 1500;

if (typeof window !== 'undefined') void preloadScreen(window.location.pathname);

/** The screen of the address. */
export function Place() {
  const { pathname, search } = useAddress();
  useEffect(() => {
    const timer = setTimeout(() => void preloadScreens(), PRELOAD_MS);
    return () => clearTimeout(timer);
  }, []);
  const screen = useMemo(() => {
    const place = placeAt(pathname);
    return place ? SCREENS[place.path].draw(place.id, search) : <NoPlace />;
  }, [pathname, search]);
  // Another piece is another screen: nothing that was typed for the one is shown for the other.
  return <Fragment key={pathname}>{screen}</Fragment>;
}
