import type { Bench } from './acts';
import { defect } from './found';

/** Twelve labels: sealed, domed, two defects found and repaired. Done. */
export function tellLabels(b: Bench, ago: (days: number, hours?: number) => number): void {
  const name = 'Luggage label set';
  b.piece(ago(20, 5), {
    ...{ name, count: 12, support: 'bare wood' },
    note: 'Plywood, station names in gilding pen. Twelve alike.',
    shape: { kind: 'roundedRectangle', widthM: 0.11, heightM: 0.06, radiusM: 0.012 },
    ...{ edgeHeightM: 0.004, edges: ['doming'] },
  });
  b.coat(ago(20, 4), name, { name: 'Seal', kind: 'seal', resin: 'demo-tarn', thicknessM: 0.15e-3 });
  b.pour(ago(19, 4), name, 'Seal', 21);
  defect(b, ago(18, 3), [name, 'Seal'], ['dust nib', 'Two hairs on Alderbrook and Mossgate'], {
    repairedMs: ago(18, 1),
  });
  b.coat(ago(18, 2), name, {
    name: 'Dome',
    kind: 'dome',
    resin: 'demo-millrace',
    thicknessM: 1.4e-3,
  });
  b.pour(ago(17, 5), name, 'Dome', 22);
  b.touchedWhileCuring(ago(17, 5), [name, 'Dome']);
  defect(b, ago(16, 2), [name, 'Dome'], ['bubbles', 'Pinholes along the grain of three labels'], {
    repairedMs: ago(15, 6),
  });
  b.note(ago(9, 3), 'Luggage labels: cork glued to the backs, left for a day.');
}
