import type { PrepStep, PrepTask } from './task';

const GROUND: readonly PrepStep[] = ['take off', 'repair', 'turn', 'loose'];
const LAYERS: readonly PrepStep[] = ['dry through', 'shape', 'seal', 'test'];
const KEYED: readonly PrepStep[] = ['unmask', 'sand', 'dust'];

/**
 * Steps that must come before a step, on the same ground for the same coat. What is not listed runs side by side: a
 * seal, a painted edge and a glue dry together when they do not lie on one another. Common practice, no source.
 */
const BEFORE: Readonly<Record<PrepStep, readonly PrepStep[]>> = {
  resin: [],
  'take off': [],
  unmask: [],
  repair: ['take off', 'unmask'],
  turn: ['unmask'],
  loose: ['take off', 'repair', 'turn'],
  'dry through': [],
  shape: ['dry through', 'turn'],
  seal: [...GROUND, 'dry through', 'shape'],
  test: ['seal'],
  ground: [...GROUND, 'shape'],
  sand: ['take off', 'unmask', 'repair', 'turn'],
  dust: ['sand', 'shape'],
  lay: [...GROUND, ...LAYERS, ...KEYED],
  mask: [...GROUND, ...LAYERS, ...KEYED, 'ground', 'lay'],
  level: ['take off', 'repair', 'turn', ...KEYED, 'lay', 'mask'],
  wipe: [...GROUND, ...LAYERS, ...KEYED, 'ground', 'lay', 'mask', 'level'],
  warm: [...GROUND, ...LAYERS, ...KEYED, 'ground', 'lay', 'mask', 'level', 'wipe'],
  cover: [],
};
const SETS = new Map(Object.entries(BEFORE).map(([step, before]) => [step, new Set(before)]));

/** Whether tasks lie on some ground together; one that names none is about the whole piece. */
const together = (a: PrepTask, b: PrepTask): boolean =>
  a.areaIds.length === 0 ||
  b.areaIds.length === 0 ||
  a.areaIds.some((id) => b.areaIds.includes(id));

/** Whether the work asks for `first` before `then`: both for one coat, on the same ground. */
export const dependsOn = (then: PrepTask, first: PrepTask): boolean =>
  first.coatId === then.coatId &&
  first.rule !== 'own note' &&
  then.rule !== 'own note' &&
  SETS.get(then.step)?.has(first.step) === true &&
  together(first, then);

/**
 * Whether `first` has to come before `then`: what the work asks for, and all that is for an earlier coat.
 * @param orderOf place of a coat in the order of the work
 */
export function mustPrecede(
  first: PrepTask,
  then: PrepTask,
  orderOf: (coatId: string | null) => number,
): boolean {
  const [a, b] = [orderOf(first.coatId), orderOf(then.coatId)];
  return a === b ? dependsOn(then, first) : a < b;
}
