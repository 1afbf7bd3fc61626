'use client';
import { useEffect, useSyncExternalStore } from 'react';

const DARK = '(prefers-color-scheme: dark)';

function followSystem(tell: () => void): () => void {
  const query = window.matchMedia(DARK);
  query.addEventListener('change', tell);
  return () => query.removeEventListener('change', tell);
}

/** Whether the system asks for a dark look. */
const useSystemDark = (): boolean =>
  useSyncExternalStore(
    followSystem,
    () => window.matchMedia(DARK).matches,
    () => false,
  );

/** The look of the whole page, dialogs too; who asks later (the bench) is heard while it is there. */
export function useLook(look: 'system' | 'paper' | 'dark'): void {
  const system = useSystemDark();
  const dark = look === 'dark' || (look === 'system' && system);
  useEffect(() => {
    const root = document.documentElement;
    const before = root.dataset['look'];
    if (dark) root.dataset['look'] = 'dark';
    else delete root.dataset['look'];
    return () => {
      if (before === undefined) delete root.dataset['look'];
      else root.dataset['look'] = before;
    };
  }, [dark]);
}
