import type { Format } from '@/features/common/useFormat';
import type { SheetDraft } from './model';

/** A new sheet starts from typical times at 22 °C. Common practice, no source. */
export const TYPICAL: SheetDraft = {
  name: '',
  note: '',
  by: 'volume',
  a: '1',
  b: '1',
  price: '',
  per: 'kg',
  densityA: '',
  densityB: '',
  viscosity: '1 Pa·s',
  reference: '22 °C',
  energy: '55 kJ/mol',
  workingMass: '100 g',
  alsoMass: '',
  alsoWorking: '',
  thinnest: '0.5 mm',
  thickest: '6 mm',
  stir: '2 min',
  service: '',
  foodBy: '',
  foodFor: '',
  light: 'not said',
  colour: '',
  coldest: '',
  warmest: '',
  workingS: '40 min',
  noFlowS: '5 h',
  leatheryS: '7 h',
  unmaskClosesS: '11 h',
  recoatOpensS: '8 h',
  recoatClosesS: '13 h',
  handleS: '18 h',
  hardS: '24 h',
  warmLoadS: '72 h',
  fullS: '120 h',
};

/** The typical sheet as a shop of these units would write it. */
export const typicalDraft = (format: Format): SheetDraft => ({
  ...TYPICAL,
  ...format.either({}, { reference: '72 °F', thinnest: '20 mil', thickest: '1/4 in' }),
  workingMass: format.typed('mass') === 'oz' ? '3.5 oz' : TYPICAL.workingMass,
});
