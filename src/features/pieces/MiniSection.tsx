'use client';
import { buildUp, sectionStack } from '@/core/coat';
import { shapeBox } from '@/core/geometry';
import type { Area } from '@/records';
import type { PieceView } from '@/shop/coatView';
import { SUPPORT_HATCH } from '@/features/common/materials';
import { STATE_FILL } from '@/features/common/stateWords';

const WIDTH = 200;
const BASE = 46;

/** The stack of coats in small, at true relative thickness. */
export function MiniSection({ view, area: whole }: { view: PieceView; area: Area }) {
  const coats = view.coats.map((c) => c.coat);
  const lies = buildUp(view.areas, coats, view.layers);
  const filmsOn = (a: Area) => lies.get(a.id)?.films ?? [];
  // A face of several places is cut where most lies on it.
  const area = view.areas
    .filter((a) => a.partOf === whole.id)
    .reduce((best, a) => (filmsOn(a).length > filmsOn(best).length ? a : best), whole);
  const films = filmsOn(area);
  const stack = sectionStack(
    films.map(({ coat, bottomM, topM }) => ({ id: coat.id, bottomM, topM })),
    shapeBox(area.shape).widthM,
    0.2,
  );
  const pxPerM = stack.heightM > 0 ? Math.min(38 / stack.heightM, 38 / 1e-3) : 0;
  return (
    <svg width={WIDTH} height="64" aria-hidden>
      {stack.laminae.map((lamina) => {
        const state = view.coats.find((c) => c.coat.id === lamina.id)?.state ?? 'planned';
        return (
          <rect
            key={lamina.id}
            x="1"
            width={WIDTH - 2}
            y={BASE - lamina.topM * pxPerM}
            height={Math.max(1, (lamina.topM - lamina.bottomM) * pxPerM)}
            fill={STATE_FILL[state]}
            stroke="var(--bm-colors-amber-deep)"
            strokeWidth="1"
            strokeDasharray={state === 'planned' ? '4 3' : undefined}
          />
        );
      })}
      <rect
        x="1"
        y={BASE}
        width={WIDTH - 2}
        height="16"
        fill={SUPPORT_HATCH[view.piece.support]}
        stroke="var(--bm-colors-ink)"
        strokeWidth="1.2"
      />
    </svg>
  );
}
