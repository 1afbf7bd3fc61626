import { checkSheet } from '@/core/resin';
import { seededRandom } from '@/core/numeric';
import { METRIC } from '../../test/shop';
import { EMPTY_LABEL, readRatio, sheetFromLabel } from './label';
import { readSheet } from './model';
import { TYPICAL } from './typical';

const label = { name: 'Heron Clear', ratio: '2:1', working: '40', nextCoat: '24' };
const errors = (change: Partial<typeof label>) => {
  const read = sheetFromLabel({ ...label, ...change }, METRIC);
  return read.ok ? [] : Object.keys(read.errors);
};
const sheetOf = (change: Partial<typeof label> = {}) => {
  const read = sheetFromLabel({ ...label, ...change }, METRIC);
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  const sheet = readSheet({ ...TYPICAL, ...read.value }, METRIC);
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.errors));
  return sheet.value;
};

describe('a ratio as it is printed', () => {
  it.each([
    ['1:1', 1, 1, 'volume'],
    ['2 : 1 by volume', 2, 1, 'volume'],
    ['100:45 by weight', 100, 45, 'mass'],
    ['Mix 3 to 1 (vol.)', 3, 1, 'volume'],
    ['100 + 47,5 wt', 100, 47.5, 'mass'],
    // Which it is has to be said.
    ['100:45', 100, 45, null],
    ['2:1 by weight or volume', 2, 1, null],
  ])('%s', (text, a, b, by) => expect(readRatio(text)).toEqual({ a, b, by }));
  it.each(['', 'equal parts', '1:0', 'one to one'])('“%s” is none', (text) => {
    expect(readRatio(text)).toBeNull();
  });
});

describe('a sheet from four fields', () => {
  it('is sound, keeps what was told and says what was taken as usual', () => {
    const { name, note, sheet } = sheetOf();
    expect(name).toBe('Heron Clear');
    expect(sheet.ratio).toEqual({ by: 'volume', a: 2, b: 1 });
    expect([sheet.times.workingS, sheet.times.hardS]).toEqual([2400, 86_400]);
    expect(note).toContain('next coat after 24 h. Taken as usual: densities');
    expect(sheet.assumedDensity).toEqual(['A', 'B']);
  });
  it('a quicker resin is quicker in all its times', () => {
    const [slow, quick] = [sheetOf().sheet, sheetOf({ working: '20 min', nextCoat: '12 h' }).sheet];
    expect(quick.times.noFlowS).toBeCloseTo(slow.times.noFlowS / 2, 6);
  });
  it('whatever a label says, the sheet is sound or the field is named', () => {
    const random = seededRandom(4);
    for (let i = 0; i < 200; i += 1) {
      const working = `${Math.round(5 + 400 * random())} min`;
      const nextCoat = `${Math.round(1 + 80 * random())} h`;
      const read = sheetFromLabel({ ...label, working, nextCoat }, METRIC);
      if (read.ok) expect(checkSheet(sheetOf({ working, nextCoat }).sheet).ok).toBe(true);
      else expect(Object.keys(read.errors)).toEqual(['nextCoat']);
    }
  });
  it('names every field that is wrong', () => {
    expect(errors(EMPTY_LABEL).sort()).toEqual(['name', 'nextCoat', 'ratio', 'working']);
    expect(errors({ ratio: '100:45' })).toEqual(['ratio']);
    expect(errors({ working: 'soon' })).toEqual(['working']);
    expect(errors({ working: '5 h', nextCoat: '6 h' })).toEqual(['nextCoat']);
  });
});
