import { METRIC, plain } from '@/features/test/shop';
import { EMPTY_SWATCH, formOf, readSwatch, trialWords } from './swatch';

describe('a colour as it is typed', () => {
  it('parts by weight, each known by its name as liquid, paste or powder', () => {
    const draft = { ...EMPTY_SWATCH, name: ' teal ', parts: 'blue paste 4 %, pearl mica 2,5 %' };
    const read = readSwatch(draft, METRIC);
    if (!read.ok) throw new Error(JSON.stringify(read.errors));
    expect(read.value).toMatchObject({
      name: 'teal',
      parts: [
        { name: 'blue paste', form: 'paste', share: 0.04 },
        { name: 'pearl mica', form: 'powder', share: 0.025 },
      ],
      ...{ alcoholDrops: 0, siliconeDrops: 0, white: false, trials: [] },
    });
    expect([formOf('Alcohol ink'), formOf('Bone glitter')]).toEqual(['liquid', 'powder']);
  });
  it('says at its field what is missing', () => {
    const bad = readSwatch(
      { ...EMPTY_SWATCH, parts: 'blue', alcohol: '-1', silicone: 'two', remark: 'x'.repeat(501) },
      METRIC,
    );
    expect(bad.ok ? [] : Object.keys(bad.errors).sort()).toEqual([
      ...['alcohol', 'name', 'parts', 'remark', 'silicone'],
    ]);
  });
  it('a trial is told by how it hides', () => {
    const words = (overBlack: number, overWhite: number) =>
      plain(trialWords({ seen: { overBlack, overWhite } }, METRIC));
    expect(words(0.3, 0.6)).toContain('shows what is under it: 50');
    expect(words(0.49, 0.5)).toMatch(/^hides: 98/);
    expect(words(0.1, 0)).toContain('measure again');
    expect(trialWords({ seen: null }, METRIC)).toBe('looked at');
  });
});
