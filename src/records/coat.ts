import { DEFAULT_REST_S } from '@/core/coat';
import type { Coat } from './types';

/** A coat of a given thickness with nothing special about it: what tells it apart is added. */
export const plainCoat = (thicknessM: number) =>
  ({
    kind: 'flood',
    intent: { by: 'given', thicknessM },
    thicknessM,
    coverage: 1,
    colours: [],
    overrides: [],
    restS: DEFAULT_REST_S,
    reserve: { by: 'risk', confidence: 0.95 },
  }) as const satisfies Partial<Coat>;
