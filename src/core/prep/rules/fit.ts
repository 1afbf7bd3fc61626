import { buildUp } from '../../coat';
import { holdsFit, type FitFault } from '../../resin';
import type { PrepContext } from '../context';
import type { PrepCoat } from '../facts';
import type { PrepRule, TaskDraft } from '../task';

/** What stands against a resin for the use of its piece, and what to do. Common practice, no source. */
const TOLD: Readonly<Record<FitFault, { readonly title: string; readonly how: string }>> = {
  'food not declared': {
    title: 'Take a resin that is declared for food',
    how: 'Its maker has to declare it for food contact, and for what kind; enter that on its sheet, or choose another resin. Only when it is fully cured; local food-contact rules go first.',
  },
  'heat not declared': {
    title: 'Take a resin that is declared for heat',
    how: 'Under a hot cup it gets about 70 °C warm: enter the service temperature of its sheet, or choose a heat-rated resin. A hot cup sticks to others.',
  },
  'heat too low': {
    title: 'Take a resin that bears more heat',
    how: 'Under a hot cup it gets about 70 °C warm, and its sheet states less: a cup would stick and leave its ring.',
  },
  'light not declared': {
    title: 'Ask whether this resin stands daylight',
    how: 'Its sheet does not say that it keeps its colour in daylight. Enter what the maker says; else expect it to yellow.',
  },
  'yellows in light': {
    title: 'This resin yellows in daylight',
    how: 'Its sheet says so. Choose another, or tell the customer.',
  },
};

/** Whether a coat is the topmost of the plan on a face or a recess: what the piece meets, it meets there. */
function isTop(facts: PrepContext, coat: PrepCoat): boolean {
  const lies = buildUp(facts.areas, facts.coats);
  return facts.areas.some(
    ({ id, kind }) => (kind === 'face' || kind === 'recess') && lies.get(id)?.top === coat,
  );
}

export const FIT_RULES: readonly PrepRule[] = [
  {
    id: 'fit for use',
    step: 'resin',
    title: 'Resin fit for its use',
    how: '',
    reason: 'A coat on a finished piece cannot be exchanged for another.',
    source:
      'The maker’s declaration and local rules; 70 °C under a cup is common practice, no source.',
    needed: true,
    find: (facts) =>
      facts.waiting
        .filter((coat) => (coat.fit ?? []).length > 0 && isTop(facts, coat))
        .flatMap((coat) =>
          (coat.fit ?? []).map((fault): TaskDraft => ({
            on: `${coat.id}.${fault}`,
            coatId: coat.id,
            areaIds: coat.areaIds,
            needed: holdsFit(fault),
            spoiled: 'not declared',
            ...TOLD[fault],
          })),
        ),
  },
];
