import { capillaryLength, SURFACE_TENSION } from '../../capillary';
import { fluidityLeft } from '../../film';
import {
  coatLedger,
  PLAIN_AREA,
  PLAIN_INPUT,
  type Ledger,
  type LedgerArea,
  type LedgerInput,
  type LedgerLineId,
} from '..';

export const law = { viscosityPaS: 1, workingS: 943.3 };
export const liquid = {
  densityKgM3: 1100,
  surfaceTension: SURFACE_TENSION,
  fluidityPerPa: fluidityLeft(law, 300),
};
export const lc = capillaryLength(SURFACE_TENSION, 1100);

/** Two alike that lose something over their edges. */
export const FACE: LedgerArea = {
  ...PLAIN_AREA,
  ...{ name: 'Face', areaM2: 0.06, areaSigmaM2: 0.001, count: 2, belowM: 0.5e-3, soakM: 0.06e-3 },
  ...{ dammedM: 0.5, cover: { by: 'film', holdsM: 1.5e-3 } },
  openEdges: [
    { areaM2: 0.004, heightM: 0.02, lengthM: 0.2 },
    { areaM2: 0.003, heightM: 0.01, lengthM: 0.3 },
  ],
  relief: [{ greatestM: 2.4e-3, meanM: 2.4e-3, share: 0.1 }],
  pits: [
    { areaM2: 0.002, depthM: 3e-3 },
    { areaM2: 0.001, depthM: 1e-3 },
  ],
  wedge: { slope: 1e-3, lengthM: 0.3, aheadM: 0.15 },
  belly: { sagM: 1e-3, share: 0.5 },
};
/** Three alike behind a wall. */
export const BACK: LedgerArea = {
  ...PLAIN_AREA,
  ...{ name: 'Back', areaM2: 0.03, areaSigmaM2: 0.002, count: 3, belowM: 1e-3, soakM: 0.02e-3 },
  ...{ dammedM: 0.25, relief: [{ greatestM: 1.5e-3, meanM: 1.5e-3, share: 0.2 }] },
  wedge: { slope: 3e-3, lengthM: 0.2, aheadM: 0.15 },
  belly: { sagM: 3e-3, share: 0.48 },
};
export const LENS: LedgerArea = {
  ...PLAIN_AREA,
  ...{ name: 'Lens', areaM2: 0.01, areaSigmaM2: 0.0005, count: 4, cover: { by: 'dome' } },
};
export const PLAIN: LedgerArea = {
  ...LENS,
  name: 'Plain',
  areaM2: 0.02,
  count: 1,
  cover: BACK.cover,
};

export function made(areas: readonly LedgerArea[], change: Partial<LedgerInput> = {}): Ledger {
  const found = coatLedger({
    ...PLAIN_INPUT,
    ...{ areas, thicknessM: 2e-3, densityKgM3: 1100, law, restS: 300, coverage: 0.5 },
    ...change,
  });
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return found.value;
}
export const lineOf = (ledger: Ledger, id: LedgerLineId) => {
  const line = ledger.lines.find((l) => l.id === id);
  if (!line) throw new Error(`no ${id}`);
  return line;
};
/** What an opened line shows: label, and its number with nine digits. */
export const shown = (ledger: Ledger, id: LedgerLineId) =>
  lineOf(ledger, id).explanation.inputs.map((i) => [i.label, Number(i.value.toPrecision(9))]);
export const mm = (value: number) => Number((value / 1e3).toPrecision(9));
export const ml = (ledger: Ledger, id: LedgerLineId) => lineOf(ledger, id).volumeM3 * 1e6;
