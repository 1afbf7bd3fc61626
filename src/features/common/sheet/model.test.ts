import { densityDoubtWords } from '../densityDoubt';
import { asId, type Resin } from '@/records';
import { draftOfResin, readSheet } from './model';
import { TYPICAL } from './typical';
import { demoView, METRIC, plain } from '../../test/shop';

const shop = demoView();

describe('data sheet form', () => {
  const sound = { ...TYPICAL, name: 'New', densityA: '1.15', densityB: '0.98' };
  const errors = (change: Partial<typeof TYPICAL>) => {
    const result = readSheet({ ...sound, ...change }, METRIC);
    return result.ok
      ? {}
      : Object.fromEntries(Object.entries(result.errors).map(([k, v]) => [k, plain(v)]));
  };
  it('reads typical times as soon as a name is there', () => {
    expect(errors({})).toEqual({});
    expect(errors({ name: '' })).toEqual({ name: 'Needed.' });
  });
  it.each([
    ['', '0.98', ['A'], [1100, 980]],
    ['1.15', ' ', ['B'], [1150, 1000]],
    ['', '', ['A', 'B'], [1100, 1000]],
    ['1.15', '0.98', undefined, [1150, 980]],
  ])(
    'densities %j and %j: what is empty is taken as usual and kept as assumed',
    (a, b, assumed, kgM3) => {
      const result = readSheet({ ...sound, densityA: a, densityB: b }, METRIC);
      if (!result.ok) throw new Error(JSON.stringify(result.errors));
      const { sheet } = result.value;
      expect(sheet.assumedDensity).toEqual(assumed);
      expect([sheet.densityAKgM3, sheet.densityBKgM3]).toEqual(kgM3);
      // The form shows them empty again.
      const again = draftOfResin({ ...result.value, id: asId('r'), learnsFromMs: null }, METRIC);
      expect([again.densityA === '', again.densityB === '']).toEqual([a === '', b.trim() === '']);
      expect(densityDoubtWords(sheet)).toEqual(
        assumed === undefined
          ? null
          : expect.stringMatching(/assumed: by weight the ratio may be up to \d+ % off/),
      );
    },
  );
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
  it('a second working time, and the room that it cures in, are told whole or not at all', () => {
    expect(errors({ alsoMass: '500 g' })).toEqual({ alsoWorking: 'And how long is that worked?' });
    expect(errors({ alsoWorking: '30 min' })).toEqual({ alsoMass: 'Of which mass?' });
    expect(Object.keys(errors({ alsoMass: '500 g', alsoWorking: '2 h' }))).toEqual(['alsoWorking']);
    expect(errors({ coldest: '15 C' })).toEqual({ warmest: 'And not above?' });
    expect(Object.keys(errors({ coldest: '25 C', warmest: '18 C' }))).toEqual(['warmest']);
    const told = { alsoMass: '500 g', alsoWorking: '30 min', coldest: '18 C', warmest: '26 C' };
    const read = readSheet({ ...sound, ...told }, METRIC);
    if (!read.ok) throw new Error(JSON.stringify(read.errors));
    expect(read.value.sheet.workingAlso).toEqual({
      massKg: expect.closeTo(0.5, 9),
      workingS: expect.closeTo(1800, 6),
    });
    expect(read.value.declared.curesK?.min).toBeCloseTo(291.15, 9);
    const back = draftOfResin({ ...shop.resins[0], ...read.value } as Resin, METRIC);
    expect(readSheet(back, METRIC)).toEqual(read);
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
