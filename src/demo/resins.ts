import { asId, LOTS, type Lot, type Resin } from '@/records';

const MIN = 60;
const HOUR = 3600;

/** Three invented resins with full data sheets: a common one, a slow one, a quick one for edges. */
export const DEMO_RESINS: readonly Resin[] = [
  {
    id: asId('demo-millrace'),
    name: 'Millrace Clear',
    note: 'Everyday coating resin, 1 : 1 in cups. Invented.',
    learnsFromMs: null,
    price: { amount: 24, per: 'kg' },
    declared: { serviceK: 348.15, food: null, uvStable: true, curesK: null, colourShare: 0.06 },
    sheet: {
      ratio: { by: 'volume', a: 1, b: 1 },
      densityAKgM3: 1150,
      densityBKgM3: 980,
      viscosityPaS: 1,
      activationEnergyJMol: 55e3,
      referenceTemperatureK: 295.15,
      workingMassKg: 0.1,
      thinnestM: 0.5e-3,
      thickestM: 6e-3,
      stirS: 2 * MIN,
      times: {
        workingS: 40 * MIN,
        noFlowS: 5 * HOUR,
        leatheryS: 7 * HOUR,
        recoatOpensS: 9 * HOUR,
        recoatClosesS: 14 * HOUR,
        unmaskClosesS: 12 * HOUR,
        handleS: 18 * HOUR,
        hardS: 24 * HOUR,
        warmLoadS: 96 * HOUR,
        fullS: 120 * HOUR,
      },
    },
  },
  {
    id: asId('demo-lantern'),
    name: 'Lantern Slow',
    note: 'Long working time for large faces and deep relief, heat rated. Invented.',
    learnsFromMs: null,
    price: { amount: 31, per: 'kg' },
    declared: {
      serviceK: 363.15,
      food: { by: 'its maker', for: 'dry food, fully cured' },
      uvStable: true,
      curesK: null,
      colourShare: null,
    },
    sheet: {
      ratio: { by: 'volume', a: 2, b: 1 },
      densityAKgM3: 1120,
      densityBKgM3: 960,
      viscosityPaS: 0.5,
      activationEnergyJMol: 57e3,
      referenceTemperatureK: 295.15,
      workingMassKg: 0.1,
      thinnestM: 0.8e-3,
      thickestM: 12e-3,
      stirS: 3 * MIN,
      times: {
        workingS: 120 * MIN,
        noFlowS: 11 * HOUR,
        leatheryS: 15 * HOUR,
        recoatOpensS: 18 * HOUR,
        recoatClosesS: 30 * HOUR,
        unmaskClosesS: 24 * HOUR,
        handleS: 36 * HOUR,
        hardS: 48 * HOUR,
        warmLoadS: 168 * HOUR,
        fullS: 168 * HOUR,
      },
    },
  },
  {
    id: asId('demo-tarn'),
    name: 'Tarn Quick',
    note: 'Thick and quick, for edges, fills and small repairs; by weight. Invented.',
    learnsFromMs: null,
    price: { amount: 38, per: 'l' },
    declared: { serviceK: null, food: null, uvStable: null, curesK: null, colourShare: null },
    sheet: {
      ratio: { by: 'mass', a: 100, b: 45 },
      densityAKgM3: 1160,
      densityBKgM3: 1020,
      viscosityPaS: 2.2,
      activationEnergyJMol: 53e3,
      referenceTemperatureK: 296.15,
      workingMassKg: 0.1,
      thinnestM: 0.1e-3,
      thickestM: 4e-3,
      stirS: 90,
      times: {
        workingS: 22 * MIN,
        noFlowS: 2.5 * HOUR,
        leatheryS: 3.5 * HOUR,
        recoatOpensS: 4 * HOUR,
        recoatClosesS: 7 * HOUR,
        unmaskClosesS: 6 * HOUR,
        handleS: 10 * HOUR,
        hardS: 16 * HOUR,
        warmLoadS: 60 * HOUR,
        fullS: 72 * HOUR,
      },
    },
  },
];

const lot = (resin: string, name: string, told: Partial<Lot>): Lot => ({
  ...LOTS.defaults,
  ...{ id: asId(`demo-lot-${name.toLowerCase()}`), resinId: asId(resin), name },
  ...told,
});

/** Bottles on the shelf: one open of each, one of them past its date, and one sealed. */
export const demoLots = (ago: (days: number) => number): readonly Lot[] => [
  lot('demo-millrace', 'M-318', { fullAKg: 2.3, fullBKg: 1.96, bestBeforeMs: ago(-140) }),
  lot('demo-millrace', 'M-327', { fullAKg: 4.6, fullBKg: 3.92, bestBeforeMs: ago(-300) }),
  lot('demo-lantern', 'L-091', { fullAKg: 2.24, fullBKg: 0.96, bestBeforeMs: ago(4) }),
  lot('demo-tarn', 'T-55', { fullAKg: 1, fullBKg: 0.45 }),
];
/** Those of them that are in use. */
export const DEMO_OPENED: readonly Lot['id'][] = ['m-318', 'l-091', 't-55'].map((name) =>
  asId(`demo-lot-${name}`),
);
