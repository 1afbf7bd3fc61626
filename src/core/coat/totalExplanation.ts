import type { Explanation } from '../explain';
import type { Ledger } from './ledger';

/** What a coat takes in all, by the lines of its ledger; density of the mix in kg/m³. */
export function totalExplanation(ledger: Ledger, densityKgM3: number): Explanation {
  return {
    title: 'Mix for this coat',
    formula: 'sum of the ledger’s lines',
    inputs: [
      ...ledger.lines.map((line) => ({
        label: line.explanation.title,
        value: line.volumeM3,
        quantity: 'volume' as const,
        source: 'computed' as const,
      })),
      {
        label: 'density of the mix',
        value: densityKgM3,
        quantity: 'density',
        source: 'data sheet',
      },
    ],
    source: 'Each line names its own; all are taken as independent.',
    sigma: ledger.sigmaM3,
    note: `Chance that this is enough: ${(ledger.enough * 100).toFixed(0)} %.`,
  };
}
