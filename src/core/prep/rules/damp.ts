import { dewPoint, type Air } from '../../climate';
import type { Explanation } from '../../explain';
import type { PrepContext } from '../context';
import type { PrepFacts } from '../facts';
import type { PrepRule, TaskDraft } from '../task';

/** The surface stands so far above the dew point, K (ISO 8502-4 practice, from memory), and what a meter is off by. */
export const DEW_MARGIN_K = 3;
export const METER_K = 1.3;

/** How far a surface stands above the dew point of the air, K. */
export interface DewMargin {
  readonly marginK: number;
  readonly dewK: number;
  readonly surfaceK: number;
  /** Whether the surface itself was read; else it is taken as warm as the air. */
  readonly read: boolean;
}

/** @returns null where nobody noted the air. Source: ISO 8502-4 practice, from memory; dew point by the Magnus form, WMO. */
export function dewMargin({ air = null }: Pick<PrepFacts, 'air'>): DewMargin | null {
  if (air === null || !(air.humidity > 0)) return null;
  const { surfaceK = null, temperatureK } = air;
  const dewK = dewPoint(air);
  const stands = surfaceK ?? temperatureK;
  return { marginK: stands - dewK, dewK, surfaceK: stands, read: surfaceK !== null };
}

/** The dew point of the air and the surface above it, opened. */
export const dewExplanation = (
  air: Air,
  { dewK, surfaceK, marginK, read }: DewMargin,
): Explanation => ({
  title: 'Dew point',
  formula: 'Td = b·g / (a − g),  g = ln(φ · es(T) / 6.112 hPa)',
  inputs: [
    { label: 'air, T', value: air.temperatureK, quantity: 'temperature', source: 'measured' },
    { label: 'humidity, φ', value: air.humidity, quantity: 'share', source: 'measured' },
    {
      label: read ? 'surface, as read' : 'surface, taken as warm as the air',
      value: surfaceK,
      quantity: 'temperature',
      source: read ? 'measured' : 'assumed',
    },
    { label: 'dew point, Td', value: dewK, quantity: 'temperature', source: 'computed' },
  ],
  source: 'Magnus form, WMO guide; the 3 K are ISO 8502-4 practice, from memory.',
  sigma: METER_K / 2,
  note: `The surface is ${marginK.toFixed(1)} K above it; ${DEW_MARGIN_K} K are wanted, ${DEW_MARGIN_K + METER_K} K with a meter that is off.`,
});

/** How the next coat finds the air: too damp holds it, near to it is a warning. */
function dampDrafts(facts: PrepContext): TaskDraft[] {
  const [next] = facts.waiting;
  const margin = dewMargin(facts);
  if (!next || margin === null || margin.marginK >= DEW_MARGIN_K + METER_K) return [];
  const { marginK, read } = margin;
  const stop = marginK < DEW_MARGIN_K;
  const told = `The surface, ${read ? 'as it was read' : 'taken as warm as the air'}, is ${marginK.toFixed(1)} K above the dew point; ${DEW_MARGIN_K} K are wanted`;
  const cold = read
    ? ''
    : ' A board from a cold store is worse off: let it stand in the room first, or read its surface.';
  return [
    {
      on: next.id,
      coatId: next.id,
      areaIds: next.areaIds,
      needed: stop,
      spoiled: 'too damp',
      ...(!stop && { title: 'Near the dew point: mind the damp' }),
      how: stop
        ? `${told}. Warm or dry the room, then note its air anew.${cold}`
        : `${told}, and a meter can be off by ${METER_K} K.${cold}`,
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
