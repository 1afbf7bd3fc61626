import { useEffect, useState } from 'react';
import type { CupOutlook, CupQuestion } from '@/core/resin/model';
import { computeClient } from '@/workers/client';

export type OutlookState =
  | { readonly is: 'working' }
  | { readonly is: 'found'; readonly outlook: CupOutlook | null }
  | { readonly is: 'failed'; readonly why: string };

/** What a batch does in its cup, worked out in the worker; again when the question changes. */
export function useCupOutlook(question: CupQuestion | null): OutlookState {
  const key = question ? JSON.stringify(question) : '';
  const [found, setFound] = useState<{ key: string; state: OutlookState } | null>(null);
  useEffect(() => {
    if (key === '') return;
    const stop = new AbortController();
    computeClient()
      .run('cupOutlook', JSON.parse(key) as CupQuestion, { signal: stop.signal })
      .then((outlook) => setFound({ key, state: { is: 'found', outlook } }))
      .catch((e: unknown) => {
        const why = e instanceof Error ? e.message : String(e);
        if (!stop.signal.aborted) setFound({ key, state: { is: 'failed', why } });
      });
    return () => stop.abort();
  }, [key]);
  return found?.key === key ? found.state : { is: 'working' };
}
