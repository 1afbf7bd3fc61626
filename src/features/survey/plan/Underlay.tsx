'use client';
import { useEffect, useState } from 'react';
import { shopDb } from '@/data/db';
import type { AreaDraft } from '../draft';
import { useSurvey } from '../SurveyContext';
import { usePlan } from './planView';

/** The photo that an outline was traced from, straightened, under the plan. */
export function Underlay({ area }: { area: AreaDraft }) {
  const { photos } = useSurvey();
  const { onScreen } = usePlan();
  const [url, setUrl] = useState<string | null>(null);
  const id = area.measured.by === 'photo' ? area.measured.planPhotoId : null;
  const fresh = photos.find((p) => p.id === id)?.blob ?? null;
  useEffect(() => {
    let made: string | null = null;
    let left = false;
    const show = (blob: Blob | undefined) => {
      if (left || !blob) return;
      made = URL.createObjectURL(blob);
      setUrl(made);
    };
    if (fresh) show(fresh);
    else if (id)
      void shopDb()
        .photos.get(id)
        .then((row) => show(row?.blob));
    return () => {
      left = true;
      if (made) URL.revokeObjectURL(made);
      setUrl(null);
    };
  }, [id, fresh]);
  if (!url || area.measured.by !== 'photo') return null;
  const { left, right, low, high } = area.measured.box;
  const [x, y] = onScreen([left + area.at[0], high + area.at[1]]);
  const [x1, y1] = onScreen([right + area.at[0], low + area.at[1]]);
  return (
    <image
      href={url}
      x={x}
      y={y}
      width={Math.max(1, x1 - x)}
      height={Math.max(1, y1 - y)}
      preserveAspectRatio="none"
      aria-hidden
    />
  );
}
