import { planPrep, PREP_RULES } from '..';
import { prepContext } from '../context';
import type { PrepFacts } from '../facts';
import { CASES } from '../test/cases';
import {
  amountOf,
  area,
  coat,
  damage,
  facts,
  pouredAgo,
  relief,
  surface,
  task,
} from '../test/facts';

/** What a formula says besides its inputs. */
const BESIDES: Readonly<Record<string, number>> = {
  'π / 6 · L · w · d · n': Math.PI / 6,
  'A · h · 2 coats': 2,
  'L · 1.5 · n': 1.5,
  'A · 15 m/m²': 15,
};
/** Those that round up to whole sheets, or add a share, are tested by themselves. */
const BY_THEMSELVES = /⌈|1\.1/;

const trio = (of: PrepFacts): PrepFacts => ({ ...of, count: 3 });

describe('every amount', () => {
  it('is the product of what its explanation shows, for one piece and for three', () => {
    let seen = 0;
    for (const [fires] of Object.values(CASES))
      for (const told of [fires, trio(fires)])
        for (const { materials } of planPrep(told))
          for (const { amount, formula, inputs } of materials) {
            if (BY_THEMSELVES.test(formula)) continue;
            seen += 1;
            const product = inputs.reduce((p, { value }) => p * value, BESIDES[formula] ?? 1);
            expect(amount).toBeGreaterThan(0);
            expect(amount / product).toBeCloseTo(1, 9);
          }
    expect(seen).toBeGreaterThan(100);
  });
  it('is three times as much for three pieces, but for what comes in whole ones', () => {
    for (const [fires] of Object.values(CASES)) {
      const [one, three] = [planPrep(fires), planPrep(trio(fires))];
      for (const { key, materials } of one)
        for (const m of materials) {
          if (m.formula.includes('⌈')) continue;
          const other = three.find((t) => t.key === key);
          expect(other && amountOf(other, m.name) / m.amount).toBeCloseTo(3, 9);
        }
    }
  });
  // A face of 400 × 200 mm, open edges 18 mm high, three pieces; rates are common practice or judgement, no source.
  it.each<[string, string, Parameters<typeof facts>[0], number]>([
    ['tear', 'cloth tape 48 mm', { areas: [area(damage('tear'))] }, 0.1 * 1.5 * 3],
    ['tear base', 'acrylic paint', { areas: [area(damage('tear'))] }, 0.1 * 0.1 * 100e-6 * 3],
    ['rim gap', 'acrylic sealer', { areas: [area(damage('gap at the rim'))] }, 0.1 * 20e-6 * 3],
    ['dent', 'texture paste', { areas: [area(damage('dent'))] }, (Math.PI / 6) * 8e-6 * 3],
    [
      'loose relief',
      'decoupage glue',
      { areas: [area(damage('loose relief'))] },
      0.1 * 0.04 * 60e-6 * 3,
    ],
    [
      'repaint paste',
      'acrylic paint',
      { areas: [area({ relief: [...relief('paste').relief, ...relief('sand').relief] })] },
      0.08 * 0.5 * 100e-6 * 3,
    ],
    [
      'edge ground',
      'acrylic paint',
      { support: 'bare wood', areas: [area(surface('painted'))] },
      1.2 * 0.018 * 2 * 100e-6 * 3,
    ],
    ['fix art', 'matte spray', { areas: [area(surface('ink'))] }, 0.08 * 6 * 30e-6 * 3],
    [
      'seal',
      'acrylic medium',
      { areas: [area({ porosity: 'porous' })] },
      (0.08 + 1.2 * 0.018) * 2 * 100e-6 * 3,
    ],
    [
      'seal',
      'acrylic medium',
      { areas: [area({ porosity: 'very porous' })] },
      (0.08 + 1.2 * 0.018) * 3 * 150e-6 * 3,
    ],
    ['wipe', 'alcohol', {}, 0.08 * 30e-6 * 3],
    ['wipe', 'lint-free cloth', {}, 1],
    ['wipe', 'lint-free cloth', { areas: [area({ areaM2: 0.1 })] }, 2],
    ['lint', 'lint tape', { areas: [area(surface('painted'))] }, 0.08 * 15 * 3],
    [
      'polish',
      'polish',
      {
        coats: [coat({ poured: pouredAgo(200) })],
        defects: [
          { id: 'a', kind: 'bubbles', coatId: 'flood' },
          { id: 'd', kind: 'scratches', coatId: 'flood' },
        ],
      },
      0.08 * 40e-6 * 3,
    ],
  ])('%s: %s', (rule, name, of, amount) =>
    expect(amountOf(task(facts({ count: 3, ...of }), rule), name)).toBeCloseTo(amount, 12),
  );
  it('of two areas is the sum of both', () => {
    const two = [area(), area({ id: 'b', areaM2: 0.05 })];
    const told = task(facts({ areas: two, coats: [coat({ areaIds: ['face', 'b'] })] }), 'wipe');
    expect(amountOf(told, 'alcohol')).toBeCloseTo(0.13 * 30e-6, 12);
    expect(told.areaIds).toEqual(['face', 'b']);
  });
  it('names its inputs, their units and where they come from', () => {
    const [sealer] = task(facts({ areas: [area(damage('gap at the rim'))] }), 'rim gap').materials;
    expect(sealer?.inputs).toEqual([
      { label: 'length of the gap, L', value: 0.1, quantity: 'length', source: 'measured' },
      { label: 'section of the bead', value: 20e-6, quantity: 'area', source: 'rule of thumb' },
      { label: 'pieces, n', value: 1, quantity: 'number', source: 'computed' },
    ]);
    const [paper] = task(facts({ areas: [area(surface('old resin'))] }), 'tooth').materials;
    expect(paper?.inputs.map((i) => Math.round(i.value * 1e6) / 1e6)).toEqual([0.08, 0, 0.35]);
  });
});

describe('every step', () => {
  it('names areas that are there, edges that they have, and a coat that waits or none', () => {
    for (const [rule, [fires]] of Object.entries(CASES)) {
      const edges = new Map(fires.areas.map((a) => [a.id, a.edges.length]));
      const coats = new Set(fires.coats.map((c) => c.id));
      for (const draft of PREP_RULES.find((r) => r.id === rule)?.find(prepContext(fires)) ?? []) {
        expect(draft.areaIds.every((id) => edges.has(id))).toBe(true);
        if (draft.coatId !== null) expect(coats).toContain(draft.coatId);
        for (const { areaId, edge } of draft.edges ?? [])
          expect(edge).toBeLessThan(edges.get(areaId) ?? 0);
        const waits = draft.notBeforeMs ?? 0;
        expect(Number.isNaN(waits)).toBe(false);
      }
    }
  });
});
