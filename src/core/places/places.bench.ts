import {
  coatLedger,
  ledgerInput,
  placeOf,
  type BuildLayer,
  type PlanArea,
  type PlanInput,
  type PlanWhole,
} from '../coat';
import { seededRandom } from '../numeric';
import type { Point, Shape } from '../geometry';
import { TEST_SHEET } from '../resin/test/sheet';
import { insetRing } from './insetRing';
import { joinRegions, partition, regionArea, sidedFace, type FaceCut } from '.';

const median = (values: number[]): number =>
  values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
/** Milliseconds of a piece of work, median when warm. */
function time(work: () => unknown, runs = 15): number {
  const took = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return median(took.slice(3));
}

const ring = Array.from({ length: 10_000 }, (_, i): Point => {
  const a = (2 * Math.PI * i) / 10_000;
  const r = 0.4 + 0.002 * Math.sin(40 * a) + 0.0003 * Math.sin(377 * a);
  return [r * Math.cos(a), r * Math.sin(a)];
});
const long: Shape = {
  kind: 'outline',
  keepBare: [],
  outer: {
    start: ring[0] ?? [0, 0],
    segments: [...ring.slice(1), ring[0] ?? [0, 0]].map((to) => ({ kind: 'line', to })),
  },
};
const strips = (count: number, halfM: number, heightM: number): FaceCut[] =>
  Array.from({ length: count - 1 }, (_, k) => {
    const x = halfM - (2 * halfM * (k + 1)) / count;
    return {
      of: 'p',
      makes: `q${k}`,
      closed: false,
      points: [
        [x, heightM],
        [x, -heightM],
      ],
    };
  });

/** Twelve places, eight coats and six layers on a board, the topmost coat asked. */
function richPlan(): PlanInput {
  const random = seededRandom(12);
  const face = {
    ...{ id: 'face', name: 'Face', kind: 'face' as const, depthM: 0, porosity: 'porous' as const },
    shape: { kind: 'rectangle', widthM: 0.6, heightM: 0.3 } as const,
    edges: [0, 1, 2, 3].map(() => ({
      ...{ kind: 'open' as const, heightM: 0.018, profile: { kind: 'square' as const } },
    })),
    ...{ relief: [], measured: { by: 'rule' as const } },
  };
  const cuts = strips(12, 0.3, 0.2).map((c) => ({ ...c, kind: 'line' as const, wallM: null }));
  const whole: PlanWhole = { ...face, id: 'whole', cuts };
  const ids = ['p', ...cuts.map((c) => c.makes)];
  const areas = ids.flatMap((id): PlanArea[] => {
    const place = placeOf(whole, id);
    return place ? [{ ...face, id, partOf: 'whole', shape: place.shape, edges: place.edges }] : [];
  });
  const some = () => ids.filter(() => random() < 0.7);
  const coats = Array.from({ length: 8 }, (_, i) => {
    const areaIds = i === 7 ? ids : some();
    return {
      ...{ id: `c${i}`, kind: 'flood' as const, order: i + 1, areaIds, coverage: 1 },
      ...{ thicknessM: 1.5e-3, staysM: areaIds.map(() => 1.5e-3) },
    };
  });
  const layers = Array.from({ length: 6 }, (_, i): BuildLayer => ({
    ...{ id: `l${i}`, kind: 'paint', areaIds: some(), over: i === 0 ? null : `c${i}`, turn: 0 },
    ...{ greatestM: 4e-4 * random(), meanM: 1e-4, share: 0.5 },
  }));
  return {
    coat: {
      ...{ ...(coats[7] as (typeof coats)[number]), intent: { by: 'given', thicknessM: 1.5e-3 } },
      ...{ restS: 600, reserve: { by: 'risk', confidence: 0.95 }, overrides: [] },
    },
    piece: { count: 1, support: 'sealed panel', tilt: null, bellyM: 0 },
    ...{ areas, coats, layers, wholes: [whole], sheet: TEST_SHEET, sealed: new Set<string>() },
  };
}

/** What cutting, joining and insetting cost, and whether area is lost. */
export function rows() {
  const cuts = strips(50, 0.3, 0.6);
  const found = partition(long, cuts);
  if (!found.ok) throw new Error('partition');
  const regions = [...found.value.values()];
  const whole = regionArea(sidedFace(long));
  const lost = Math.abs(regions.reduce((s, r) => s + regionArea(r), 0) / whole - 1);
  const plan = richPlan();
  const figure = (value: number, digits = 2) => Number(value.toPrecision(digits));
  return [
    {
      name: 'outline of 10,000 points cut into 50 places, median when warm',
      figure: figure(
        time(() => partition(long, cuts)),
        3,
      ),
      unit: 'ms',
      limit: '<= 100',
    },
    {
      name: 'two thirds of those places joined',
      figure: figure(time(() => joinRegions(regions.filter((_, i) => i % 3 > 0)))),
      unit: 'ms',
      limit: '<= 100',
    },
    {
      name: 'a strip of 10 mm inside that outline',
      figure: figure(time(() => insetRing(ring, 0.01))),
      unit: 'ms',
      limit: '<= 100',
    },
    {
      name: 'area of all places against the face',
      figure: figure(lost),
      unit: 'share',
      limit: '<= 1e-9',
    },
    {
      name: 'ledger of 12 places, 8 coats and 6 layers, median when warm',
      // A plan is remembered: each run asks a new one.
      figure: figure(time(() => coatLedger(ledgerInput({ ...plan }, 1.5e-3)), 60)),
      unit: 'ms',
      limit: '<= 5',
    },
  ];
}
