import { useEffect, useState } from 'react';
import { isWall } from '@/core/piece';
import { edgeKinds, type FilmField, type Ground } from '@/core/coat';
import { computeClient } from '@/workers/client';

/** Cells of a map: enough for 0.1 % at the size of a tile, and quick at any size. */
const CELLS = 10_000;

export type FieldState =
  | { readonly is: 'solving' }
  | { readonly is: 'solved'; readonly field: FilmField }
  | { readonly is: 'failed'; readonly why: string };

/** How a film lies on an area, solved in the worker; again when outline, walls or resin change. */
export function useFilmField(area: Ground | undefined, lengthM: number): FieldState {
  const walls = area && edgeKinds(area).map(isWall);
  const key = area ? JSON.stringify([area.shape, walls, lengthM]) : '';
  const [found, setFound] = useState<{ key: string; state: FieldState } | null>(null);
  useEffect(() => {
    if (key === '') return;
    const abort = new AbortController();
    const [shape, sides, length] = JSON.parse(key) as [Ground['shape'], boolean[], number];
    computeClient()
      .run(
        'filmField',
        { shape, walls: sides, lengthM: length, cells: CELLS },
        { signal: abort.signal },
      )
      .then((field) => setFound({ key, state: { is: 'solved', field } }))
      .catch((error: unknown) => {
        if (abort.signal.aborted) return;
        const why = error instanceof Error ? error.message : String(error);
        setFound({ key, state: { is: 'failed', why } });
      });
    return () => abort.abort();
  }, [key]);
  return found?.key === key ? found.state : { is: 'solving' };
}
