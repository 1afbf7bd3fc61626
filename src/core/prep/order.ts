import type { PrepStep, PrepTask } from './task';

const GROUND: readonly PrepStep[] = ['take off', 'repair', 'turn', 'loose'];
const LAYERS: readonly PrepStep[] = ['dry through', 'shape', 'seal', 'spray', 'test'];
const KEYED: readonly PrepStep[] = ['unmask', 'lip', 'degrease', 'sand', 'dust'];
const LAST: readonly PrepStep[] = ['ground', 'keep bare', 'lay', 'mask'];

/**
 * Steps that must come before a step, on the same ground for the same coat. What is not listed runs side by side: a
 * seal, a painted edge and a glue dry together when they do not lie on one another. Common practice, no source.
 */
const BEFORE: Readonly<Record<PrepStep, readonly PrepStep[]>> = {
  resin: [],
  'take off': [],
  unmask: [],
  lip: ['take off', 'unmask'],
  repair: ['take off', 'unmask'],
  degrease: ['take off', 'unmask', 'lip'],
  turn: ['unmask'],
  loose: ['take off', 'repair', 'turn'],
  'dry through': [],
  shape: ['dry through', 'turn'],
  seal: [...GROUND, 'dry through', 'shape'],
  // Tape that keeps a part bare goes on before what is beside it is painted or sprayed.
  'keep bare': [...GROUND, 'dry through', 'shape', ...KEYED],
  spray: [...GROUND, 'dry through', 'shape', 'keep bare', 'seal'],
  test: ['spray'],
  ground: [...GROUND, 'shape', 'keep bare'],
  sand: ['take off', 'unmask', 'lip', 'repair', 'degrease', 'turn'],
  dust: ['sand', 'shape'],
  lay: [...GROUND, ...LAYERS, ...KEYED],
  trial: [],
  mask: [...GROUND, ...LAYERS, ...KEYED, 'ground', 'lay'],
  props: ['take off', 'repair', 'turn'],
  level: ['take off', 'repair', 'turn', ...KEYED, 'keep bare', 'lay', 'mask', 'props'],
  wipe: [...GROUND, ...LAYERS, ...KEYED, ...LAST, 'level'],
  warm: [...GROUND, ...LAYERS, ...KEYED, ...LAST, 'level', 'wipe'],
  cover: [],
  after: ['unmask', 'lip'],
};
const SETS = new Map(Object.entries(BEFORE).map(([step, before]) => [step, new Set(before)]));

/** Whether tasks lie on some ground together; one that names none is about the whole piece. */
const together = (a: PrepTask, b: PrepTask): boolean =>
  a.areaIds.length === 0 ||
  b.areaIds.length === 0 ||
  a.areaIds.some((id) => b.areaIds.includes(id));

const stagesBefore = ({ stage: then }: PrepTask, { stage: first }: PrepTask): boolean =>
  then !== null && first !== null && then.of === first.of && first.turn < then.turn;

/** Whether the work asks for `first` before `then`: both for one coat, on the same ground. */
export const dependsOn = (then: PrepTask, first: PrepTask): boolean =>
  first.coatId === then.coatId &&
  first.rule !== 'own note' &&
  then.rule !== 'own note' &&
  (stagesBefore(then, first) ||
    (SETS.get(then.step)?.has(first.step) === true && together(first, then)));

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
