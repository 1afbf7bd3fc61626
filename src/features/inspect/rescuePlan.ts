import { RESCUES, STEP_TIMES } from '@/core/inspect';
import { plainCoat } from '@/records';
import type { RescuePlan } from '@/data/repos/findings';
import type { NewTask } from '@/data/repos/ownSteps';
import type { PieceView } from '@/shop/coatView';
import type { RescueView } from '@/shop/rescues';
import { RESCUE_WORDS, STEP_WORDS } from '@/features/common/rescueWords';

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** A name that tells the coat of a rescue from those there are. */
function nameOf(view: PieceView, kind: string): string {
  const names = new Set(view.coats.map((c) => c.coat.name));
  const base = `Rescue ${kind}`;
  for (let i = 1; ; i += 1) {
    const name = i === 1 ? base : `${base} ${i}`;
    if (!names.has(name)) return name;
  }
}

/** What a way back puts on the plan: its coat on what lies, and its steps in their order. */
export function rescuePlan(view: PieceView, { kind, coat }: RescueView): RescuePlan {
  const { steps } = RESCUES[kind];
  const areaIds = coat?.row.areaIds ?? view.areas.filter((a) => !a.bare).map((a) => a.id);
  const waits = view.upcoming !== null;
  const own = steps.map((step): NewTask => ({
    ...{ kind: 'note', title: STEP_WORDS[step], needed: true, areaIds },
    // Without a coat of its own it comes before the next there is, or after the last.
    on: { at: coat || waits ? 'next' : 'last' },
    labelS: STEP_TIMES[step].waitS,
  }));
  if (!coat) return { kind, coats: [], steps: own };
  const { row } = coat;
  return {
    ...{ kind, steps: own },
    coats: [
      {
        ...plainCoat(row.thicknessM),
        ...{ pieceId: row.pieceId, areaIds: row.areaIds, kind: row.kind, resinId: row.resinId },
        ...{ intent: row.intent, coverage: row.coverage, reserve: row.reserve },
        name: capital(nameOf(view, row.kind)),
      },
    ],
  };
}

export const rescueTitle = (kind: RescueView['kind']): string => RESCUE_WORDS[kind];
