'use client';
import { useEffect, useState } from 'react';
import { useRead } from '@/data/hooks';
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
  const stored = useRead(async (db) => (id ? await db.photos.get(id) : null), id ?? '');
  const blob = fresh ?? stored.value?.blob ?? null;
  useEffect(() => {
    const made = blob ? URL.createObjectURL(blob) : null;
    setUrl(made);
    return () => {
      if (made) URL.revokeObjectURL(made);
    };
  }, [blob]);
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
