import { massRatioDoubt, type ResinSheet } from '@/core/resin';

/** What densities that were assumed do to a ratio by weight, in one sentence; null: nothing. */
export function densityDoubtWords(sheet: ResinSheet): string | null {
  const doubt = massRatioDoubt(sheet);
  if (doubt === 0) return null;
  const parts = sheet.assumedDensity ?? [];
  const whose =
    parts.length > 1 ? 'Densities of A and B are' : `The density of ${parts[0] ?? ''} is`;
  // Nineteen in twenty, as everywhere.
  const off = Math.round(2 * doubt * 100);
  return `${whose} assumed: by weight the ratio may be up to ${off} % off. Put them into its data sheet, or measure both parts by volume.`;
}
