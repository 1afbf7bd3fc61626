import { STATE_FILL } from '@/features/common/stateWords';
import type { FaceCutView } from './cutView';
import { SECTION } from './filmPath';
import { layoutFace, type FaceLayout, type SectionLamina } from './layout';

/** The films of the other side hang below the substrate, seen from the side that is up. */
export function OtherSide({
  layout,
  states,
}: {
  layout: FaceLayout;
  states: readonly SectionLamina[];
}) {
  const flip = 2 * SECTION.base + SECTION.depth + 6;
  return (
    <g transform={`translate(0 ${flip}) scale(1 -1)`} opacity="0.85">
      {layout.laminae.map((lamina) => {
        const state = states.find((l) => l.id === lamina.id)?.state ?? 'planned';
        return (
          <path
            key={lamina.id}
            d={lamina.path}
            fill={state === 'planned' ? 'var(--bm-colors-amber-wash)' : STATE_FILL[state]}
            stroke="var(--bm-colors-amber-deep)"
            strokeDasharray={state === 'planned' ? '6 4' : undefined}
          >
            <title>{states.find((l) => l.id === lamina.id)?.name ?? ''}</title>
          </path>
        );
      })}
    </g>
  );
}

/** Room for what hangs below, px. */
const HANGS_PX = 90;
export const tallPx = ({ laminae }: FaceLayout): number =>
  SECTION.base - Math.min(SECTION.base, ...laminae.map((l) => l.topPx));

/** Both sides of the piece at one scale: that of the side that is up, unless the other would not fit below. */
export function bothSides(
  cut: FaceCutView,
  beneath: FaceCutView | null,
  frozen: number | null,
  freed: ReadonlySet<string> | undefined,
): { readonly layout: FaceLayout; readonly other: FaceLayout | null } {
  const at = (scale: number | null) =>
    layoutFace(cut.stretches, cut.widthM, cut.ends, cut.walls, scale, freed);
  const layout = at(frozen);
  if (!beneath?.stretches.some((s) => s.films.length > 0)) return { layout, other: null };
  const hung = (scale: number) =>
    layoutFace(beneath.stretches, cut.widthM, beneath.ends, beneath.walls, scale);
  const share = HANGS_PX / Math.max(1, tallPx(hung(layout.exaggeration)));
  const scale =
    share < 1 && frozen === null
      ? Math.max(1, Math.floor(layout.exaggeration * share))
      : layout.exaggeration;
  return { layout: at(scale), other: hung(scale) };
}
