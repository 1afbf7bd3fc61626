import { prepContext, type PrepContext } from './context';
import type { PrepFacts } from './facts';
import { BENCH_RULES } from './rules/bench';
import { BETWEEN_RULES } from './rules/between';
import { CLEAN_RULES } from './rules/clean';
import { DAMP_RULES } from './rules/damp';
import { FIT_RULES } from './rules/fit';
import { FLATTEN_RULES } from './rules/flatten';
import { LAY_RULES } from './rules/lay';
import { LAYER_RULES } from './rules/layers';
import { MASK_RULES } from './rules/masking';
import { OWN_RULES } from './rules/own';
import { SANDING_RULES } from './rules/sandings';
import { SUPPORT_RULES } from './rules/support';
import { TEAR_RULES } from './rules/tear';
import { TOOTH_RULES } from './rules/tooth';
import { PREP_STEPS, type PrepRule, type PrepTask, type TaskDraft } from './task';

/** Every rule, in the order of the work. */
export const PREP_RULES: readonly PrepRule[] = [
  ...FIT_RULES,
  ...SUPPORT_RULES,
  ...TEAR_RULES,
  ...BETWEEN_RULES,
  ...LAYER_RULES,
  ...FLATTEN_RULES,
  ...TOOTH_RULES,
  ...SANDING_RULES,
  ...LAY_RULES,
  ...MASK_RULES,
  ...DAMP_RULES,
  ...OWN_RULES,
  ...CLEAN_RULES,
  ...BENCH_RULES,
];

export function taskOf(rule: PrepRule, draft: TaskDraft): PrepTask {
  const edges = draft.edges ?? [];
  return {
    key: `${rule.id}:${draft.on}`,
    rule: rule.id,
    step: draft.step ?? rule.step,
    stage: draft.stage ?? null,
    coatId: draft.coatId,
    title: draft.title ?? rule.title,
    how: draft.how ?? rule.how,
    reason: draft.reason ?? rule.reason,
    source: rule.source,
    needed: draft.needed ?? rule.needed,
    areaIds: draft.areaIds,
    edges,
    materials: draft.materials ?? [],
    drying: draft.drying ?? null,
    sanding: draft.sanding ?? null,
    limit: draft.limit ?? null,
    mask: draft.mask ?? null,
    up: draft.up ?? null,
    removal: draft.removal ?? null,
    problems: draft.problems ?? [],
    cautions: draft.cautions ?? rule.cautions ?? [],
    notBeforeMs: draft.notBeforeMs ?? null,
    skippedUntilMs: draft.skippedUntilMs ?? null,
    spoiled: draft.spoiled ?? null,
    asksResult: rule.asksResult ?? false,
    scope: [...draft.areaIds, ...edges.map((e) => `${e.areaId}#${e.edge}`)],
  };
}

const STEP_INDEX = new Map(PREP_STEPS.map((step, i) => [step, i]));
const stepIndex = (task: PrepTask): number => STEP_INDEX.get(task.step) ?? 0;

/** Place of each coat in the order of the work; what waits for no coat comes after them all. */
export function coatOrder(
  coats: readonly { readonly id: string; readonly order: number }[],
): (coatId: string | null) => number {
  const orders = new Map(coats.map((c) => [c.id, c.order]));
  const last = coats.length > 0 ? Infinity : 0;
  return (id) => (id === null ? last : (orders.get(id) ?? last));
}

/**
 * What has to be done before each coat of a piece, from its facts alone.
 * @param facts survey, coats, masks, schools and own tasks of one piece at one instant
 * @returns tasks in the order of the work: by coat, then by step
 * Source: rules of the trade; each task names its own.
 */
export function planPrep(facts: PrepFacts): PrepTask[] {
  const context: PrepContext = prepContext(facts);
  const orderOf = coatOrder(facts.coats);
  const placed: { task: PrepTask; coat: number; step: number }[] = [];
  for (const rule of PREP_RULES)
    for (const draft of rule.find(context)) {
      const task = taskOf(rule, draft);
      placed.push({ task, coat: orderOf(task.coatId), step: stepIndex(task) });
    }
  placed.sort((a, b) => (a.coat === b.coat ? a.step - b.step : a.coat - b.coat));
  return placed.map((p) => p.task);
}
