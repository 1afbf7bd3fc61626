import { measureShape, type Shape } from '../../geometry';
import type { Damage, EdgeKind, OldResin, Relief } from '../../piece';
import { DEFAULT_SCHOOLS, planPrep, type CoatInstants, type PrepTask } from '..';
import type { OwnTask, PrepArea, PrepCoat, PrepFacts, PrepSchools } from '../facts';

export const HOUR = 3_600_000;
export const NOW = 1000 * HOUR;

/** A face of 400 × 200 mm, 18 mm thick, sealed and bare, all edges open. */
export function area(
  change: Partial<PrepArea> = {},
  kinds: readonly EdgeKind[] = ['open'],
): PrepArea {
  const shape: Shape = change.shape ?? { kind: 'rectangle', widthM: 0.4, heightM: 0.2 };
  const { areaM2, sideLengthsM } = measureShape(shape);
  return {
    id: 'face',
    name: 'Face',
    kind: 'face',
    at: [0, 0],
    areaM2,
    edges: sideLengthsM.map((lengthM, i) => ({
      kind: kinds[i % kinds.length] ?? 'open',
      lengthM,
      heightM: 0.018,
    })),
    bareOutlineM: 0,
    depthM: 0,
    porosity: 'sealed',
    relief: [],
    surface: { kind: 'bare', resin: null, ageDays: null, sanded: false },
    damage: [],
    ...change,
    shape,
  };
}

/** Old resin in a state, not sanded. */
export const old = (state: OldResin['state']) => ({
  surface: {
    kind: 'old resin' as const,
    resin: { kind: 'epoxy' as const, state },
    ageDays: null,
    sanded: false,
  },
});
export const surface = (kind: PrepArea['surface']['kind'], sanded = false) => ({
  surface: {
    ...{ kind, ageDays: null, sanded },
    resin: kind === 'old resin' ? { kind: 'epoxy' as const, state: 'hard' as const } : null,
  },
});
export const relief = (kind: Relief['kind']): { relief: Relief[] } => ({
  relief: [{ kind, greatestM: 2e-3, meanM: 1e-3, share: 0.5 }],
});
export const damage = (kind: Damage['kind']): { damage: Damage[] } => ({
  damage: [{ kind, lengthM: 0.1, widthM: 0.04, depthM: 2e-3 }],
});

export const coat = (change: Partial<PrepCoat> = {}): PrepCoat => ({
  id: 'flood',
  name: 'Flood 1',
  kind: 'flood',
  order: 1,
  areaIds: ['face'],
  thicknessM: 1.6e-3,
  staysM: [],
  coverage: 1,
  poured: null,
  ...change,
});

/** Instants of a coat that was poured some hours before NOW, at the sheet's temperature. */
export function pouredAgo(hours: number): CoatInstants {
  const pouredMs = NOW - hours * HOUR;
  const at = (h: number) => pouredMs + h * HOUR;
  return {
    pouredMs,
    noFlowMs: at(5),
    leatheryMs: at(7),
    recoatOpensMs: at(9),
    recoatClosesMs: at(14),
    unmaskClosesMs: at(16),
    handleMs: at(20),
    curedMs: at(120),
  };
}

export function facts(
  change: Omit<Partial<PrepFacts>, 'schools'> & { schools?: Partial<PrepSchools> } = {},
): PrepFacts {
  const { schools, ...rest } = change;
  return {
    nowMs: NOW,
    count: 1,
    support: 'sealed panel',
    daylight: false,
    hardware: [],
    slope: 0,
    spanM: 0.4,
    areas: [area()],
    coats: [coat()],
    defects: [],
    masks: [],
    layers: [],
    rubFailed: [],
    limits: {},
    own: [],
    ...rest,
    schools: { ...DEFAULT_SCHOOLS, ...schools },
  };
}

/** A step of the user's own before whatever comes next. */
export const OWN = {
  key: 'o',
  needed: true,
  areaIds: [] as readonly string[],
  on: { at: 'next' },
  turn: 0,
} as const;
export const ownNote = (change: Partial<Extract<OwnTask, { kind: 'note' }>> = {}) =>
  ({ ...OWN, kind: 'note', title: 'Ask', labelS: 0, ...change }) as const;

/** Ids of the rules that found something. */
export const found = (of: PrepFacts): string[] => [...new Set(planPrep(of).map((t) => t.rule))];

export function task(of: PrepFacts, rule: string): PrepTask {
  const tasks = planPrep(of).filter((t) => t.rule === rule);
  if (tasks.length !== 1 || !tasks[0]) throw new Error(`${rule}: found ${tasks.length} times`);
  return tasks[0];
}

export const amountOf = (of: PrepTask, name: string): number =>
  of.materials.filter((m) => m.name === name).reduce((sum, m) => sum + m.amount, 0);

/** The tasks of a rule. */
export const asked = (of: Parameters<typeof facts>[0], rule: string): PrepTask[] =>
  planPrep(facts(of)).filter((t) => t.rule === rule);

/** A coat on areas, poured so many hours ago; null: it waits. */
export const on = (
  id: string,
  order: number,
  areaIds: readonly string[],
  hours: number | null = null,
  change: Partial<PrepCoat> = {},
) => coat({ id, order, areaIds, poured: hours === null ? null : pouredAgo(hours), ...change });
