import type { UnitSystem } from '@/core/units';

/** Paper that a shop of these units prints on. */
export const paperOf = (units: UnitSystem): 'a4' | 'letter' => (units === 'us' ? 'letter' : 'a4');
