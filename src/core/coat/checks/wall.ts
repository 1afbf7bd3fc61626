import { isWall, type EdgeKind } from '../../piece';
import { isBrushed } from '../buildUp';
import { film, lies, type CheckInput, type CheckOf } from './check';

export type WallCheck = CheckOf<
  'wall',
  {
    readonly areaName: string;
    readonly wall: EdgeKind;
    /** Top of the coat, and of the lowest wall round it or the highest line under it, over the ground, m. */
    readonly topM: number;
    readonly wallM: number;
    /** A wall holds the coat; a line lies under it and is to be buried. */
    readonly is: 'holds' | 'buried';
    /** What is left to the top of the wall, or lies over the line, m; below 0: it runs over, or the line stands proud. */
    readonly spareM: number;
  }
>;

/** A fill stays so far under the top of its wall, m: a meniscus climbs, a hand slips. Judgement, no source. */
export const WALL_MARGIN_M = 0.5e-3;
/** A line is buried under so much, m. Judgement, no source: thinner, and it prints through. */
export const LINE_COVER_M = 0.3e-3;

/** Rounding in heights that are typed, m. */
const ROUNDING_M = 1e-9;

/**
 * Whether a coat stays under its walls, and stands above the lines that it is to bury.
 * @returns null where no wall or line has a height, or the coat is brushed; the worst of them
 * Source: geometry; the margins are judgement.
 */
export function wallCheck(input: CheckInput): WallCheck | null {
  if (isBrushed(input.coat)) return null;
  const found = input.areas.flatMap((ground) => {
    const topM = ground.belowM + lies(input, ground.id);
    const walls = ground.edges.flatMap(({ kind, wallM }) =>
      isWall(kind) && typeof wallM === 'number'
        ? [{ wall: kind, wallM, is: 'holds' as const }]
        : [],
    );
    const lines = ground.inner.flatMap(({ kind, wallM }) =>
      isWall(kind) && wallM !== null ? [{ wall: kind, wallM, is: 'buried' as const }] : [],
    );
    return [...walls, ...lines].map((w) => ({
      ...w,
      areaName: ground.name,
      topM,
      spareM: w.is === 'holds' ? w.wallM - topM : topM - w.wallM,
    }));
  });
  const wanted = (is: WallCheck['figures']['is']) =>
    is === 'holds' ? WALL_MARGIN_M : LINE_COVER_M;
  const [worst] = found.sort((a, b) => a.spareM - wanted(a.is) - (b.spareM - wanted(b.is)));
  if (!worst) return null;
  const { topM, wallM, is, spareM } = worst;
  const runsOver = is === 'holds' && spareM < -ROUNDING_M;
  return {
    id: 'wall',
    verdict: runsOver ? 'stop' : spareM < wanted(is) - ROUNDING_M ? 'watch' : 'fine',
    figures: worst,
    explanation: {
      title: is === 'holds' ? 'Coat against its wall' : 'Coat over the line',
      formula:
        is === 'holds' ? 'top of the wall − top of the coat' : 'top of the coat − top of the line',
      inputs: [
        film(topM, 'top of the coat over the ground'),
        film(wallM, is === 'holds' ? 'lowest wall' : 'highest line', 'measured'),
        film(
          wanted(is),
          is === 'holds' ? 'margin under a wall' : 'cover over a line',
          'rule of thumb',
        ),
      ],
      source: 'Geometry; the margins are judgement, no source.',
      note:
        is === 'holds'
          ? 'Resin creeps up a wall by about a millimetre and a half: that lip is sanded off later.'
          : 'The next coat can bury it.',
    },
  };
}
