import type { ReserveSchool } from '@/core/coat';

/** Schools of reserve that the screens offer. */
const RESERVES: readonly {
  readonly id: string;
  readonly label: string;
  readonly school: ReserveSchool;
}[] = [
  { id: 'risk95', label: '95 % sure not to run short', school: { by: 'risk', confidence: 0.95 } },
  { id: 'risk99', label: '99 % sure not to run short', school: { by: 'risk', confidence: 0.99 } },
  { id: 'share10', label: '10 % over, as many do', school: { by: 'share', share: 0.1 } },
  { id: 'share15', label: '15 % over', school: { by: 'share', share: 0.15 } },
];

export const reserveOptions = RESERVES.map((r): [string, string] => [r.id, r.label]);

const DEFAULT_SCHOOL: ReserveSchool = { by: 'risk', confidence: 0.95 };

export const reserveId = (school: ReserveSchool): string =>
  RESERVES.find((r) => JSON.stringify(r.school) === JSON.stringify(school))?.id ?? 'risk95';

export const reserveSchool = (id: string): ReserveSchool =>
  RESERVES.find((r) => r.id === id)?.school ?? DEFAULT_SCHOOL;
