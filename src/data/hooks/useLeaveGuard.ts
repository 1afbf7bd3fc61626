import { useCallback, useEffect, useRef } from 'react';

/**
 * While something is not stored yet, the browser asks before the page is closed or loaded again.
 * @param unsaved something that was refused stands in memory only
 * @returns counts a write as under way until it has settled
 */
export function useLeaveGuard(unsaved: boolean) {
  const underWay = useRef(0);
  const refused = useRef(unsaved);
  useEffect(() => {
    refused.current = unsaved;
  }, [unsaved]);
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent) => {
      if (underWay.current > 0 || refused.current) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, []);
  return useCallback(async <R>(write: () => Promise<R>): Promise<R> => {
    underWay.current += 1;
    try {
      return await write();
    } finally {
      underWay.current -= 1;
    }
  }, []);
}
