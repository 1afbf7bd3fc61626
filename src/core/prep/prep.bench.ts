import { planPrep, placeTasks, sumMaterials } from '.';
import { coatOrder } from './planPrep';
import { measureShape, type Shape } from '../geometry';
import type { PrepArea, PrepCoat, PrepFacts } from './facts';
import { DEFAULT_SCHOOLS } from './facts';

const HOUR = 3_600_000;
const NOW = 1000 * HOUR;
const ROOM = [{ fromMs: 0, temperatureK: 295.15, humidity: 0.5 }];

/** A piece of `areas` areas and `coats` coats that asks much: a recess, bare parts, ink, relief, damage. */
export function busy(areas: number, coats: number): PrepFacts {
  const face = (i: number): PrepArea => {
    const recess = i % 4 === 3;
    const size = recess ? 0.05 : 0.3;
    const shape: Shape = { kind: 'regularPolygon', sides: 12, sizeM: size, across: 'flats' };
    const { areaM2, sideLengthsM } = measureShape(shape);
    return {
      id: `a${i}`,
      name: `Area ${i}`,
      kind: recess ? 'recess' : i === 0 ? 'face' : i % 2 ? 'back' : 'face',
      shape,
      at: [0.4 * i, 0],
      areaM2,
      edges: sideLengthsM.map((lengthM, e) => ({
        kind: e % 3 === 0 ? 'tape wall' : 'open',
        lengthM,
        heightM: 0.018,
      })),
      bareOutlineM: 0,
      depthM: 0,
      porosity: i % 2 ? 'porous' : 'sealed',
      relief: i % 3 ? [] : [{ kind: 'paste', greatestM: 2e-3, meanM: 1e-3, share: 0.4 }],
      surface: { kind: i % 5 === 1 ? 'ink' : 'painted', ageDays: null, sanded: false, resin: null },
      damage: i % 4 ? [] : [{ kind: 'dent', lengthM: 0.02, widthM: 0.02, depthM: 1e-3 }],
    };
  };
  const list = Array.from({ length: areas }, (_, i) => face(i));
  const lying = Math.floor(coats / 2);
  const coat = (i: number): PrepCoat => ({
    id: `c${i}`,
    name: `Coat ${i}`,
    kind: 'flood',
    order: i + 1,
    areaIds: list.filter((_, a) => a % 3 !== i % 3).map((a) => a.id),
    thicknessM: 1.6e-3,
    staysM: [1.6e-3],
    coverage: 1,
    poured:
      i < lying
        ? {
            pouredMs: NOW - (coats - i) * 30 * HOUR,
            noFlowMs: NOW - 100 * HOUR,
            leatheryMs: NOW - 90 * HOUR,
            unmaskClosesMs: NOW - 80 * HOUR,
            recoatOpensMs: NOW - 85 * HOUR,
            recoatClosesMs: NOW - 70 * HOUR,
            handleMs: NOW - 60 * HOUR,
            curedMs: NOW + 40 * HOUR,
          }
        : null,
  });
  return {
    nowMs: NOW,
    count: 3,
    support: 'bare wood',
    daylight: true,
    hardware: ['Hinge'],
    slope: 0.001,
    spanM: 0.4,
    areas: list,
    coats: Array.from({ length: coats }, (_, i) => coat(i)),
    defects: [{ id: 'd', kind: 'dimples', coatId: `c${lying - 1}` }],
    masks: [],
    layers: [],
    rubFailed: [],
    schools: DEFAULT_SCHOOLS,
    limits: { [`tooth:c${lying}`]: { side: 'above', atM: 0 } },
    own: [],
  };
}

const median = (values: number[]): number =>
  values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** Median time of a piece of work that is warm, ms. */
function msOf(work: () => number, runs: number): number {
  let sink = 0;
  const time = () => {
    const start = performance.now();
    sink += work();
    return performance.now() - start;
  };
  const times = Array.from({ length: 2 * runs }, time).slice(runs);
  if (!Number.isFinite(sink)) throw new Error('no result');
  return median(times);
}

/** What needs are before the next coat of one piece. */
function needsOf(facts: PrepFacts) {
  const { tasks } = placeTasks(facts, planPrep(facts), [], ROOM);
  const orderOf = coatOrder(facts.coats);
  const next = Math.min(...facts.coats.filter((c) => !c.poured).map((c) => c.order));
  return tasks.filter((t) => orderOf(t.task.coatId) <= next).flatMap((t) => t.task.materials);
}

/** Plan of a large piece, and the day's list over a shop of two hundred. */
export function rows() {
  const large = busy(12, 8);
  // A list of areas of its own each time: nothing is remembered from the run before.
  const fresh = () => ({ ...large, areas: [...large.areas] });
  const plan = (facts: PrepFacts) => placeTasks(facts, planPrep(facts), [], ROOM).tasks.length;
  const shop = Array.from({ length: 200 }, (_, i) => busy(1 + (i % 3), 1 + (i % 4)));
  return [
    {
      name: 'preparation: tasks of 12 areas and 8 coats',
      figure: planPrep(large).length,
      unit: 'tasks',
    },
    {
      name: 'preparation: plan of 12 areas and 8 coats',
      figure: Number(msOf(() => plan(fresh()), 60).toFixed(2)),
      unit: 'ms',
      limit: '<= 5',
    },
    {
      name: 'preparation: list of the day over 200 pieces',
      figure: Number(msOf(() => sumMaterials(shop.flatMap(needsOf)).length, 15).toFixed(1)),
      unit: 'ms',
      limit: '<= 60',
    },
  ];
}
