import { dewPoint } from '../../climate';
import type { PrepContext } from '../context';
import type { PrepRule, TaskDraft } from '../task';

/** The surface stands so far above the dew point, K (ISO 8502-4 practice, from memory), and what a meter is off by. */
const DEW_MARGIN_K = 3;
const METER_K = 1.3;

/** How the next coat finds the air: too damp holds it, near to it is a warning. The surface is taken as warm as the air. */
function dampDrafts(facts: PrepContext): TaskDraft[] {
  const [next] = facts.waiting;
  const { air = null } = facts;
  if (!next || air === null || !(air.humidity > 0)) return [];
  const marginK = air.temperatureK - dewPoint(air);
  if (marginK >= DEW_MARGIN_K + METER_K) return [];
  const stop = marginK < DEW_MARGIN_K;
  const told = `The surface, taken as warm as the air, is ${marginK.toFixed(1)} K above its dew point; ${DEW_MARGIN_K} K are wanted`;
  return [
    {
      on: next.id,
      coatId: next.id,
      areaIds: next.areaIds,
      needed: stop,
      spoiled: 'too damp',
      ...(!stop && { title: 'Near the dew point: mind the damp' }),
      how: stop
        ? `${told}. Warm or dry the room, then note its air anew. A board from a cold store is worse off than this tells.`
        : `${told}, and a meter can be off by ${METER_K} K. A board from a cold store is worse off: let it stand in the room first.`,
    },
  ];
}

export const DAMP_RULES: readonly PrepRule[] = [
  {
    id: 'dew point',
    step: 'warm',
    title: 'Too damp to coat',
    how: '',
    reason:
      'A surface near the dew point of the air wears a film of water: the coat blushes or lets go.',
    source:
      'ISO 8502-4 practice, from memory: the surface 3 K above the dew point; a meter is off by up to 1.3 K in it. Dew point by the Magnus form, WMO.',
    needed: true,
    find: dampDrafts,
  },
];
