'use client';
import type { SVGAttributes } from 'react';
import { useRead } from '@/data/hooks';
import { useBlobUrl } from '@/ui/blobUrl';
import type { AreaDraft } from '../draft';
import { useSurvey } from '../SurveyContext';
import { usePlan } from './planView';

function Picture({ blob, ...place }: { blob: Blob } & SVGAttributes<SVGImageElement>) {
  return <image ref={useBlobUrl(blob, 'href')} {...place} />;
}

/** The photo that an outline was traced from, straightened, under the plan. */
export function Underlay({ area }: { area: AreaDraft }) {
  const { photos } = useSurvey();
  const { onScreen } = usePlan();
  // A place shows what its face was traced from: once is enough.
  const own = area.partOf === null;
  const id = own && area.measured.by === 'photo' ? area.measured.planPhotoId : null;
  const fresh = photos.find((p) => p.id === id)?.blob ?? null;
  const stored = useRead(async (db) => (id ? await db.photos.get(id) : null), id ?? '');
  const blob = fresh ?? stored.value?.blob ?? null;
  if (!blob || area.measured.by !== 'photo') return null;
  const { left, right, low, high } = area.measured.box;
  const [x, y] = onScreen([left + area.at[0], high + area.at[1]]);
  const [x1, y1] = onScreen([right + area.at[0], low + area.at[1]]);
  return (
    <Picture
      blob={blob}
      x={x}
      y={y}
      width={Math.max(1, x1 - x)}
      height={Math.max(1, y1 - y)}
      preserveAspectRatio="none"
      aria-hidden
    />
  );
}
