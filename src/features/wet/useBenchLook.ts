import { useEffect } from 'react';
import type { Settings } from '@/records';

/** The look of the whole page while the bench is on it: dialogs too. */
export function useBenchLook(look: Settings['benchLook']): void {
  useEffect(() => {
    if (look === 'paper') return;
    document.documentElement.dataset['look'] = look;
    return () => {
      delete document.documentElement.dataset['look'];
    };
  }, [look]);
}
