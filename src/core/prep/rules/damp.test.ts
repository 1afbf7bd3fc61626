import { dewPoint } from '../../climate';
import { planPrep } from '..';
import { coat, facts, pouredAgo, task } from '../test/facts';
import { DEW_MARGIN_K, dewExplanation, dewMargin, METER_K } from './damp';

const air = { temperatureK: 295.15, humidity: 0.6 };
const dewK = dewPoint(air);

describe('how far a surface stands above the dew point', () => {
  it('is its own reading, or the air where nobody read it', () => {
    expect(dewMargin({ air })).toEqual({
      marginK: 295.15 - dewK,
      dewK,
      surfaceK: 295.15,
      read: false,
    });
    expect(dewMargin({ air: { ...air, surfaceK: 290 } })).toEqual({
      marginK: 290 - dewK,
      dewK,
      surfaceK: 290,
      read: true,
    });
    expect(dewMargin({ air: null })).toBeNull();
    expect(dewMargin({})).toBeNull();
    expect(dewMargin({ air: { ...air, humidity: 0 } })).toBeNull();
  });
  it('opens into what it was taken from', () => {
    const told = (surfaceK: number | null) => {
      const of = { ...air, surfaceK };
      const margin = dewMargin({ air: of });
      if (!margin) throw new Error('no margin');
      return dewExplanation(of, margin);
    };
    expect(told(null).inputs.map((i) => [i.value, i.source])).toEqual([
      [295.15, 'measured'],
      [0.6, 'measured'],
      [295.15, 'assumed'],
      [dewK, 'computed'],
    ]);
    expect(told(290).inputs[2]).toMatchObject({
      label: 'surface, as read',
      value: 290,
      source: 'measured',
    });
    expect(told(null).inputs[2]?.label).toMatch(/taken as warm/);
    // A meter is off by 1.3 K in two cases of a hundred: two sigmas.
    expect(told(null).sigma).toBeCloseTo(0.65, 12);
    expect(told(null).note).toMatch(/3 K are wanted, 4.3 K with/);
  });
  it('holds the next coat below 3 K, warns up to 4.3 K', () => {
    const at = (surfaceK: number) =>
      planPrep(facts({ air: { ...air, surfaceK } })).find((t) => t.rule === 'dew point');
    expect(at(dewK + 2.99)).toMatchObject({
      needed: true,
      title: 'Too damp to coat',
      areaIds: ['face'],
    });
    expect(at(dewK + DEW_MARGIN_K + 1e-9)).toMatchObject({
      needed: false,
      title: 'Near the dew point: mind the damp',
    });
    expect(at(dewK + 2.99)?.how).not.toMatch(/cold store|meter/);
    expect(at(dewK + 3.5)?.how).toMatch(/a meter can be off by 1.3 K/);
    expect(at(dewK + DEW_MARGIN_K + METER_K + 1e-9)).toBeUndefined();
    const poured = facts({
      air: { ...air, surfaceK: dewK },
      coats: [coat({ poured: pouredAgo(30) })],
    });
    expect(planPrep(poured).some((t) => t.rule === 'dew point')).toBe(false);
    expect(task(facts({ air: { temperatureK: 295.15, humidity: 0.9 } }), 'dew point').how).toMatch(
      /cold store/,
    );
  });
});
