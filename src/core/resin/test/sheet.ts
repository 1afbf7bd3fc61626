import type { ResinSheet } from '../sheet';

/** A sheet for tests: 1 : 1 by volume, times at 22 °C. */
export const TEST_SHEET: ResinSheet = {
  ratio: { by: 'volume', a: 1, b: 1 },
  densityAKgM3: 1150,
  densityBKgM3: 1000,
  viscosityPaS: 1,
  activationEnergyJMol: 55e3,
  referenceTemperatureK: 295.15,
  workingMassKg: 0.1,
  thinnestM: 0.5e-3,
  thickestM: 6e-3,
  stirS: 120,
  times: {
    workingS: 2400,
    noFlowS: 5 * 3600,
    leatheryS: 7 * 3600,
    recoatOpensS: 9 * 3600,
    recoatClosesS: 14 * 3600,
    unmaskClosesS: 12 * 3600,
    handleS: 18 * 3600,
    hardS: 24 * 3600,
    warmLoadS: 72 * 3600,
    fullS: 120 * 3600,
  },
};
