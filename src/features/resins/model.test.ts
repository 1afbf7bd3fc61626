import { draftOfResin, readSheet, TYPICAL } from './model';
import { demoView, METRIC, plain } from '../test/shop';

const shop = demoView();

describe('data sheet form', () => {
  const sound = { ...TYPICAL, name: 'New', densityA: '1.15', densityB: '0.98' };
  const errors = (change: Partial<typeof TYPICAL>) => {
    const result = readSheet({ ...sound, ...change }, METRIC);
    return result.ok
      ? {}
      : Object.fromEntries(Object.entries(result.errors).map(([k, v]) => [k, plain(v)]));
  };
  it('reads typical times as soon as name and densities are there', () => {
    expect(errors({})).toEqual({});
    expect(errors({ densityA: '' })).toEqual({ densityA: 'Needed.' });
  });
  it.each([
    [{ a: '0' }, { a: 'A number from 0.01 to 100.' }],
    [{ densityB: '12' }, { densityB: 'Between 0.850 g/ml and 2.20 g/ml.' }],
    [{ recoatClosesS: '6 h' }, { recoatClosesS: 'Too early: not before 8.0 h.' }],
    [{ hardS: '12 h' }, { hardS: 'Too early: not before 13.0 h.' }],
    [{ thickest: '0.1 mm' }, { thickest: 'At least 0.50 mm.' }],
    [{ colour: '80 %' }, { colour: 'Between 0.1 % and 50.0 %.' }],
  ])('%j', (change, expected) => expect(errors(change)).toEqual(expected));
  it('the colour that it bears is a share of the mix, or not said', () => {
    const told = (colour: string) => {
      const result = readSheet({ ...sound, colour }, METRIC);
      return result.ok ? result.value.declared.colourShare : NaN;
    };
    expect([told('6'), told('')]).toEqual([0.06, null]);
  });
  it('takes a bare number as hours: 40 is then too long a working time', () => {
    expect(Object.keys(errors({ workingS: '40' }))).toEqual(['noFlowS']);
  });
  it('writes each demo sheet into the form and reads it back', () => {
    for (const resin of shop.resins) {
      const result = readSheet(draftOfResin(resin, METRIC), METRIC);
      if (!result.ok) throw new Error(JSON.stringify(result.errors));
      expect(result.value.sheet.times.recoatOpensS).toBeCloseTo(resin.sheet.times.recoatOpensS, 5);
      expect(result.value.sheet.densityAKgM3).toBeCloseTo(resin.sheet.densityAKgM3, 8);
      expect(result.value.sheet.ratio).toEqual(resin.sheet.ratio);
    }
  });
});
