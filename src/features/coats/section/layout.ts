import {
  RAISES_FROM,
  reliefHeights,
  sectionStack,
  tallestRelief,
  type ReliefHeights,
  type Lamina,
} from '@/core/coat';
import type { Cut } from '@/core/geometry';
import type { CoatState } from '@/core/resin';
import { isDam, isWall, type EdgeKind, type LayerKind } from '@/core/piece';
import { CUT_PX, laminaPath, partEnd, partPath, SECTION, type FilmStep } from './filmPath';

/** Height for the coats, leaving air above to drag into. */
const ROOM_PX = 205;

/** A film of the section with the share of the area that it covers; all when left out. */
export type SectionFilm = Lamina & { readonly coverage?: number };

export interface SectionLamina extends SectionFilm {
  readonly name: string;
  readonly state: CoatState;
}

export interface DrawnLamina {
  readonly id: string;
  readonly topPx: number;
  readonly bottomPx: number;
  /** Height of its surface above the ground, m. */
  readonly topM: number;
  /** Where its name stands. */
  readonly labelX: number;
  readonly path: string;
}

export interface SectionLayout {
  readonly laminae: readonly DrawnLamina[];
  readonly exaggeration: number;
  readonly pxPerM: number;
  readonly filmPxPerM: number;
  readonly left: EdgeKind;
  readonly right: EdgeKind;
  /** Relief that stands on the substrate; empty without any. */
  readonly reliefPath: string;
  readonly x0: number;
  readonly x1: number;
}

/** Capillary length of mixed epoxy, m, for drawing only. */
const RIM_LENGTH_M = 1.9e-3;
/** Places at which the section meets relief. */
const PLACES = 56;

function reliefPath(
  relief: readonly ReliefHeights[],
  filmPxPerM: number,
  [x0, x1]: readonly [number, number] = [SECTION.left, SECTION.left + CUT_PX],
): string {
  const places = Math.max(1, Math.round((PLACES * (x1 - x0)) / CUT_PX));
  const step = (x1 - x0) / places;
  const low = Math.min(...relief.map((r) => r.standsOnM ?? 0));
  // What covers its place is one rough surface; what stands apart is drawn piece by piece.
  if (relief.some((r) => r.share >= 1)) {
    const y = (m: number) => (SECTION.base - m * filmPxPerM).toFixed(1);
    const heights = reliefHeights(relief, places);
    const points = heights.map((m, i) => {
      const next = (m + (heights[i + 1] ?? m)) / 2;
      return `Q${(x0 + (i + 0.5) * step).toFixed(1)} ${y(m)} ${(x0 + (i + 1) * step).toFixed(1)} ${y(next)}`;
    });
    return `M${x0} ${y(low)} L${x0} ${y(heights[0] ?? low)} ${points.join(' ')} L${x1} ${y(low)} Z`;
  }
  return reliefHeights(relief, places)
    .map((heightM, i) => {
      if (heightM <= low) return '';
      const x = x0 + i * step;
      const y = ((heightM - low) * filmPxPerM).toFixed(1);
      const base = (SECTION.base - low * filmPxPerM).toFixed(1);
      return `M${x.toFixed(1)} ${base} l${(step * 0.28).toFixed(1)} -${y} h${(step * 0.44).toFixed(1)} l${(step * 0.28).toFixed(1)} ${y} Z`;
    })
    .join('');
}

/** A wall at an end that has one, a little taller than the coats; null at any other end. */
export const wallPath = (kind: EdgeKind, side: 'left' | 'right', topPx: number): string | null =>
  isWall(kind)
    ? `M${side === 'left' ? SECTION.left - 5 : SECTION.left + CUT_PX} ${topPx - 12} h5 V${SECTION.base + 26} h-5 Z`
    : null;

/** What lies on one place along a cut. */
export interface Stretch {
  /** From the left end of the cut, m. */
  readonly fromM: number;
  readonly toM: number;
  readonly films: readonly SectionFilm[];
  readonly layers: readonly {
    readonly id: string;
    readonly kind: LayerKind;
    readonly bottomM: number;
    readonly topM: number;
    /** It covers the place evenly: drawn as a band; else it stands up as relief. */
    readonly even: boolean;
  }[];
  readonly relief: readonly ReliefHeights[];
  readonly bare: boolean;
  readonly name: string;
}

export interface DrawnBand {
  readonly id: string;
  readonly kind: LayerKind;
  readonly path: string;
  readonly middle: readonly [x: number, y: number];
  readonly tallPx: number;
}

export interface FaceLayout extends SectionLayout {
  readonly bands: readonly DrawnBand[];
  readonly reliefPaths: readonly { readonly d: string; readonly kind: LayerKind | null }[];
  /** Where a wall stands between two places: x and its top, px. */
  readonly inner: readonly { readonly x: number; readonly topPx: number }[];
  readonly bare: readonly { readonly x0: number; readonly x1: number; readonly name: string }[];
}

const isPart = ({ coverage = 1 }: SectionFilm): boolean => coverage < RAISES_FROM;

const NONE: ReadonlySet<string> = new Set();

/** Whether what lies beside a film stands as high: then it ends against that, and not by itself. */
const isHeld = (film: SectionFilm | undefined, beside: Stretch | undefined): boolean =>
  film !== undefined &&
  beside !== undefined &&
  Math.max(0, ...beside.layers.map((l) => l.topM), ...beside.films.map((f) => f.topM)) >
    film.bottomM + (film.topM - film.bottomM) / 2;

/** Rows of neighbouring stretches on which a film lies. */
function rowsOf(stretches: readonly Stretch[], id: string): number[][] {
  const rows: number[][] = [];
  stretches.forEach((s, i) => {
    if (!s.films.some((f) => f.id === id)) return;
    const row = rows.at(-1);
    const before = stretches[i - 1];
    if (row && row.at(-1) === i - 1 && before && Math.abs(before.toM - s.fromM) < 1e-6) row.push(i);
    else rows.push([i]);
  });
  return rows;
}

/**
 * Places everything that a cut through a face meets on the drawing.
 * @param stretches from left to right, as far as places go @param widthM of the whole cut
 * @param ends kinds of the edges at its two ends @param walls between places, m from the left end and over the ground
 * @param frozen exaggeration to keep while a surface is dragged
 * @param freed films that are poured when the dams at its ends have come off
 */
export function layoutFace(
  stretches: readonly Stretch[],
  widthM: number,
  ends: readonly [left: EdgeKind, right: EdgeKind],
  walls: readonly { readonly atM: number; readonly heightM: number }[] = [],
  frozen: number | null = null,
  freed: ReadonlySet<string> = NONE,
): FaceLayout {
  const films = stretches.flatMap((s) => s.films);
  const tallest = Math.max(
    0,
    ...stretches.map((s) => tallestRelief(s.relief)),
    ...stretches.flatMap((s) => s.layers.map((l) => l.topM)),
    ...walls.map((w) => w.heightM),
  );
  const exaggeration =
    frozen ?? sectionStack(films, widthM, ROOM_PX / CUT_PX, tallest).exaggeration;
  const pxPerM = CUT_PX / widthM;
  const filmPxPerM = pxPerM * exaggeration;
  const [left, right] = ends;
  // A rim is a capillary length of resin, some 2 mm, drawn no narrower than can be seen.
  const lengthPx = Math.min(CUT_PX / 8, Math.max(5, RIM_LENGTH_M * pxPerM));
  const x = (m: number) => SECTION.left + m * pxPerM;
  const y = (m: number) => SECTION.base - m * filmPxPerM;
  const wallAt = (m: number) => walls.some((w) => Math.abs(w.atM - m) < 1e-6);
  const lowest = (id: string) => Math.min(...films.flatMap((f) => (f.id === id ? f.bottomM : [])));
  const ids = [...new Set(films.map((f) => f.id))].sort((a, b) => lowest(a) - lowest(b));
  const laminae = ids.map((id, i): DrawnLamina => {
    const rows = rowsOf(stretches, id);
    const filmOn = (at: number) => stretches[at]?.films.find((f) => f.id === id);
    const widest = rows.flat().reduce(
      (best, k) => {
        const wide = (stretches[k]?.toM ?? 0) - (stretches[k]?.fromM ?? 0);
        return wide > best.wide ? { wide, k } : best;
      },
      { wide: -1, k: 0 },
    );
    const main = filmOn(widest.k);
    const [topM, bottomM] = [main?.topM ?? 0, main?.bottomM ?? 0];
    const part = main !== undefined && isPart(main);
    const paths = rows.map((row) => {
      const steps = row.flatMap((k): FilmStep[] => {
        const [s, f] = [stretches[k], filmOn(k)];
        return s && f
          ? [{ x0: x(s.fromM), x1: x(s.toM), top: y(f.topM), bottom: y(f.bottomM) }]
          : [];
      });
      const [from, to] = [stretches[row[0] ?? 0]?.fromM ?? 0, stretches[row.at(-1) ?? 0]?.toM ?? 0];
      const atLeft = from < 1e-6;
      const atRight = to > widthM - 1e-6;
      const [a, b] = [row[0] ?? 0, row.at(-1) ?? 0];
      const end = (kind: EdgeKind): EdgeKind => (freed.has(id) && isDam(kind) ? 'open' : kind);
      const inner = (at: number, k: number, beside: number): EdgeKind =>
        wallAt(at) || isHeld(filmOn(k), stretches[beside]) ? 'raised line' : 'line';
      return laminaPath(
        steps,
        i,
        atLeft ? end(left) : inner(from, a, a - 1),
        atRight ? end(right) : inner(to, b, b + 1),
        lengthPx,
      );
    });
    const coverage = main?.coverage ?? 1;
    return {
      ...{ id, topPx: y(topM), bottomPx: y(bottomM), topM },
      labelX: part ? partEnd(coverage) + 8 : x(stretches[widest.k]?.fromM ?? 0) + 14,
      path: part ? partPath(y(topM), y(bottomM), coverage) : paths.join(' '),
    };
  });
  return {
    ...{ laminae, exaggeration, pxPerM, filmPxPerM, left, right },
    reliefPath: '',
    reliefPaths: stretches
      .filter((s) => s.relief.length > 0)
      .map((s) => ({
        d: reliefPath(s.relief, filmPxPerM, [x(s.fromM), x(s.toM)]),
        kind: s.layers.at(-1)?.kind ?? null,
      })),
    bands: stretches.flatMap((s) =>
      s.layers
        .filter((l) => l.even)
        .map((l): DrawnBand => {
          // What is thinner than a line is drawn as one.
          const tallPx = Math.max(2.5, y(l.bottomM) - y(l.topM));
          const top = y(l.bottomM) - tallPx;
          return {
            ...{ id: l.id, kind: l.kind, tallPx },
            path: `M${x(s.fromM)} ${y(l.bottomM)} H${x(s.toM)} V${top} H${x(s.fromM)} Z`,
            middle: [(x(s.fromM) + x(s.toM)) / 2, top + tallPx / 2],
          };
        }),
    ),
    inner: walls.map((w) => ({ x: x(w.atM), topPx: y(w.heightM) })),
    bare: stretches
      .filter((s) => s.bare)
      .map((s) => ({ x0: x(s.fromM), x1: x(s.toM), name: s.name })),
    x0: SECTION.left,
    x1: SECTION.left + CUT_PX,
  };
}

/**
 * Places every lamina of a section through one area on the drawing.
 * @param films as `buildUp` gives them @param cut the cut and its two sides
 * @param frozen exaggeration to keep while a surface is dragged
 */
export function layoutSection(
  films: readonly SectionFilm[],
  cut: Cut,
  edgeKinds: readonly EdgeKind[],
  frozen: number | null = null,
  relief: readonly ReliefHeights[] = [],
): SectionLayout {
  const stretch = { fromM: 0, toM: cut.widthM, films, layers: [], relief, bare: false, name: '' };
  const ends = [edgeKinds[cut.leftSide] ?? 'open', edgeKinds[cut.rightSide] ?? 'open'] as const;
  const face = layoutFace([stretch], cut.widthM, ends, [], frozen);
  return { ...face, reliefPath: face.reliefPaths[0]?.d ?? '' };
}
