import { useSyncExternalStore } from 'react';
import type { WeighedBy } from '@/core/wet';
import { useShop } from '@/data/hooks';
import { scaleLink, type ScaleLink, type ScaleState } from '@/devices/scaleLink';
import { serialScale, simulatedScale, type Scale, type SimulatedScale } from '@/devices/scale';
import type { ScaleChoice } from '@/records';

interface Linked {
  readonly scale: Scale;
  readonly hand: SimulatedScale | null;
  readonly link: ScaleLink;
}

/** One link for each scale that was chosen: it goes on from step to step. */
const links = new Map<string, Linked>();
function linkedTo(choice: ScaleChoice): Linked {
  const key = JSON.stringify(choice);
  const known = links.get(key);
  if (known) return known;
  const hand = choice.kind === 'simulated' ? simulatedScale(choice.stepKg) : null;
  const scale = hand ?? serialScale(choice.kind === 'serial' ? choice.baud : 9600);
  const made = { scale, hand, link: scaleLink(scale) };
  links.set(key, made);
  return made;
}

const NONE = { subscribe: () => () => undefined, state: () => null };

/** A scale that is followed at the bench. */
export interface FollowedScale {
  readonly state: ScaleState;
  readonly name: string;
  readonly simulated: boolean;
  /** The hand of the simulated scale; null: a true one. */
  readonly hand: SimulatedScale | null;
  /** What a mass that it tells is logged as. */
  readonly by: Extract<WeighedBy, 'by the scale' | 'simulated scale'>;
  readonly again: () => void;
}

/** The shop's scale as it shows now; null where readings are told by hand. */
export function useScale(): FollowedScale | null {
  const { scale: choice } = useShop().settings;
  const linked = choice ? linkedTo(choice) : null;
  const { subscribe, state: read } = linked?.link ?? NONE;
  const state = useSyncExternalStore<ScaleState | null>(subscribe, read, () => null);
  if (!linked || !state) return null;
  const { scale, hand, link } = linked;
  return {
    ...{ state, hand, name: scale.name, simulated: scale.simulated, again: link.again },
    by: scale.simulated ? 'simulated scale' : 'by the scale',
  };
}
