import { PREP_RULES } from '..';
import { prepContext } from '../context';
import type { PrepFacts } from '../facts';
import { CASES, upper, varnish } from '../test/cases';
import { area, coat, facts, found } from '../test/facts';

describe('layers and the wipe', () => {
  it('what a damp cloth would take off is lifted by tape, until a coat lies over it', () => {
    expect(found(facts({ layers: [{ ...varnish, kind: 'varnish' }] }))).toContain('lint');
    expect(found(facts({ layers: [varnish] }))).toContain('brush off');
    expect(found(facts({ layers: [varnish] }))).not.toContain('wipe');
    // Tape bears it.
    expect(found(facts({ layers: [{ ...varnish, kind: 'tape design' }] }))).toContain('wipe');
    const two = [coat({ id: 'first', order: 1 }), coat(upper)];
    const plan = facts({ coats: two, layers: [varnish] });
    const rule = PREP_RULES.find((r) => r.id === 'wipe');
    expect(rule?.find(prepContext(plan)).map((d) => d.coatId)).toEqual(['second']);
  });
});

describe('a resin for the use of its piece', () => {
  const fit = ['food not declared'] as const;
  const asked = (areas: PrepFacts['areas'], coats: PrepFacts['coats']) =>
    found(facts({ areas, coats })).includes('fit for use');
  const [face, recess, edge] = [
    area(),
    area({ id: 'recess', kind: 'recess' }),
    area({ id: 'edge', kind: 'edge band' }),
  ];
  it('is asked of what lies on top of a face or in a recess, even where other areas are bare', () => {
    expect(asked([face, recess, edge], [coat({ fit })])).toBe(true);
    expect(asked([face, recess], [coat({ fit, areaIds: ['recess'] })])).toBe(true);
    // Nothing is put down on an edge.
    expect(asked([face, edge], [coat({ fit, areaIds: ['edge'] })])).toBe(false);
    expect(asked([face], [coat({ fit: [] })])).toBe(false);
  });
});

describe('each rule', () => {
  it('has a situation in which it fires and one in which it does not', () => {
    expect(Object.keys(CASES).sort()).toEqual(PREP_RULES.map((r) => r.id).sort());
  });

  it.each(Object.entries(CASES))('%s', (rule, [fires, quiet]) => {
    expect(found(fires)).toContain(rule);
    expect(found(quiet)).not.toContain(rule);
  });

  it.each(PREP_RULES.map((r) => [r.id, r] as const))('%s says why, how and whence', (_, rule) => {
    const [fires] = CASES[rule.id] ?? [];
    expect(rule.reason.length).toBeGreaterThan(8);
    expect(rule.source.length).toBeGreaterThan(4);
    for (const draft of fires ? rule.find(prepContext(fires)) : [])
      expect((draft.how ?? rule.how).length).toBeGreaterThan(8);
  });
});
