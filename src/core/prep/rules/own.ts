import type { PrepContext } from '../context';
import type { OwnTask } from '../facts';
import type { PrepRule, TaskDraft } from '../task';
import { bearsMs } from './below';

/** Thickness that a label's time is taken to hold for, m. Judgement, no source. */
const THIN_M = 0.2e-3;

/**
 * The coat that a step of the user's own waits with: the chosen one, whatever comes next, or none after the last.
 * @returns undefined when its coat has been poured: it is asked no more
 */
export function coatOfOwn(facts: PrepContext, { on }: OwnTask): string | null | undefined {
  switch (on.at) {
    case 'next':
      return facts.waiting[0]?.id ?? null;
    case 'coat': {
      const coat = facts.coats.find((c) => c.id === on.coatId);
      // A coat that is gone leaves its steps to whatever comes next: nothing that was typed is lost.
      if (!coat) return facts.waiting[0]?.id ?? null;
      return coat.poured ? undefined : coat.id;
    }
    case 'last':
      return null;
  }
}

/** What comes after the last coat waits until what lies there bears a hand. */
export function afterLast(facts: PrepContext): Pick<TaskDraft, 'step' | 'notBeforeMs'> {
  const notBeforeMs = bearsMs(facts);
  return { step: 'after', ...(notBeforeMs !== null && { notBeforeMs }) };
}

function ownDraft(facts: PrepContext, own: OwnTask): TaskDraft[] {
  const coatId = coatOfOwn(facts, own);
  if (own.kind !== 'note' || coatId === undefined) return [];
  const { key, title, needed, areaIds, labelS } = own;
  return [
    {
      ...{ on: key, coatId, areaIds, title, needed },
      ...(own.on.at === 'last' && afterLast(facts)),
      ...(labelS > 0 && { drying: { labelS, thicknessM: THIN_M, leaves: 'water' as const } }),
    },
  ];
}

export const OWN_RULES: readonly PrepRule[] = [
  {
    id: 'own note',
    step: 'level',
    title: 'Your own step',
    how: 'Added by you.',
    reason: 'Added by you.',
    source: 'yours',
    needed: true,
    // In the order in which they were added.
    find: (facts) =>
      [...facts.own].sort((a, b) => a.turn - b.turn).flatMap((own) => ownDraft(facts, own)),
  },
];
