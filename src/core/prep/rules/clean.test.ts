import type { Support } from '../../piece';
import { planPrep } from '..';
import { area, coat, facts, old, pouredAgo, relief, surface, task } from '../test/facts';

const CLEANING = ['wipe', 'lint', 'brush off'];
const by = (support: Support, change: Parameters<typeof area>[0] = {}) =>
  planPrep(facts({ support, areas: [area(change)] }))
    .filter((t) => CLEANING.includes(t.rule))
    .map((t) => t.rule);

describe('what cleans a surface without harm', () => {
  it.each<[string, Support, Parameters<typeof area>[0], string[]]>([
    ['a tile is wiped', 'tile', {}, ['wipe']],
    ['a casting is wiped', 'cured resin', old('hard'), ['wipe']],
    ['cloth is not', 'canvas', {}, ['lint']],
    ['paper is not', 'paper on board', {}, ['lint']],
    ['fresh paint is not', 'sealed panel', surface('painted'), ['lint']],
    ['wood under a fresh medium is not', 'bare wood', { porosity: 'porous' }, ['lint']],
    ['ink is not', 'sealed panel', surface('ink'), ['lint']],
    ['leaf is not even pressed on', 'tile', relief('leaf'), ['brush off']],
    ['nor are loose grains', 'tile', relief('stones'), ['brush off']],
    ['a pit is wiped and its walls are linted', 'tile', { kind: 'recess' }, ['lint', 'wipe']],
  ])('%s', (_, support, change, wanted) => {
    expect(by(support, change).sort()).toEqual(wanted);
  });
  it('a coat that has cured over ink or leaf is wiped like any other', () => {
    const of = facts({
      areas: [area(relief('leaf'))],
      coats: [coat({ id: 'first', order: 0, poured: pouredAgo(30) }), coat()],
    });
    expect(planPrep(of).map((t) => t.rule)).toContain('wipe');
  });
  it('plastic is tried first, and the walls of a mould are wiped too', () => {
    expect(task(facts({ support: 'plastic' }), 'wipe').title).toContain('unseen spot');
    expect(task(facts({ areas: [area({}, ['mould'])] }), 'wipe').how).toContain('walls');
  });
  it('warm air goes low over cloth, and not over what nothing holds yet', () => {
    expect(task(facts({ support: 'canvas' }), 'warm air').title).toContain('low');
    const strewn = facts({ areas: [area(relief('flakes'))] });
    expect(planPrep(strewn).some((t) => t.rule === 'warm air')).toBe(false);
  });
});

describe('a colour is tried first', () => {
  it('and the most that the mix bears is said, with who says so', () => {
    const how = (said: boolean) =>
      task(facts({ coats: [coat({ colour: { share: 0.06, said } })] }), 'opacity trial').how;
    expect(how(true)).toContain('at most 6 % of the mix, by its sheet');
    expect(how(false)).toContain('its sheet does not say');
  });
});

describe('the surface over the dew point', () => {
  const at = (surfaceK: number | null) =>
    planPrep(facts({ air: { temperatureK: 295.15, humidity: 0.6, surfaceK } })).find(
      (t) => t.rule === 'dew point',
    );
  // Dew point of 22 °C and 60 %: 13.9 °C (psychrolib). 3 K above it is 16.9 °C, with the meter 18.2 °C.
  it('counts as it was read, and as warm as the air where it was not', () => {
    expect(at(null)).toBeUndefined();
    expect(at(289.65)).toMatchObject({ needed: true });
    expect(at(290.75)).toMatchObject({ needed: false });
    expect(at(291.75)).toBeUndefined();
  });
});
