import { saveResin } from '@/data/repos/bench';
import { asId, RESINS, type Resin } from '@/records';
import type { Bench } from './acts';
import type { Teller } from './teller';

const MIN = 60;
const HOUR = 3600;

/** A resin of which only the label is there: four things were told, the rest is taken as usual. */
const WHARF: Resin = {
  ...RESINS.defaults,
  id: asId('demo-wharf'),
  name: 'Wharf Cast',
  note: 'From its label: ratio, working time, next coat after 72 h. Taken as usual: densities, viscosity, 100 g in the cup, and the other times. Invented.',
  sheet: {
    ratio: { by: 'volume', a: 3, b: 1 },
    densityAKgM3: 1100,
    densityBKgM3: 1000,
    assumedDensity: ['A', 'B'],
    viscosityPaS: 1,
    activationEnergyJMol: 55e3,
    referenceTemperatureK: 295.15,
    workingMassKg: 0.1,
    thinnestM: 0.5e-3,
    thickestM: 6e-3,
    stirS: 2 * MIN,
    times: {
      workingS: 60 * MIN,
      noFlowS: 15 * HOUR,
      leatheryS: 21 * HOUR,
      recoatOpensS: 24 * HOUR,
      recoatClosesS: 39 * HOUR,
      unmaskClosesS: 33 * HOUR,
      handleS: 54 * HOUR,
      hardS: 72 * HOUR,
      warmLoadS: 216 * HOUR,
      fullS: 360 * HOUR,
    },
  },
};

/** Numerals under a slow resin that is known by its label alone: set, and far from anything else. */
export function tellDoorNumerals(
  story: Teller,
  b: Bench,
  ago: (days: number, hours?: number) => number,
): void {
  const name = 'Door numerals';
  story.at(ago(1, 6), (db, c) => saveResin(db, c, WHARF));
  b.piece(ago(1, 5), {
    ...{ name, count: 4, support: 'tile' },
    note: 'Four enamel numerals for the platform doors, each with a rim of its own. The jar in the cupboard has no data sheet.',
    shape: { kind: 'rectangle', widthM: 0.09, heightM: 0.14 },
    ...{ edgeHeightM: 0.005, edges: ['own rim'], wallM: 2.5e-3 },
  });
  b.coat(ago(1, 4), name, {
    ...{ name: 'Flood 1', kind: 'flood', resin: WHARF.id, thicknessM: 1.5e-3 },
  });
  b.pour(ago(0, 17.4), name, 'Flood 1', 20);
}
