import {
  totalExplanation,
  type Ledger,
  type LedgerArea,
  type LedgerInput,
  type LedgerLineId,
} from '.';
import { BACK, FACE, LENS, lineOf, made, ml, PLAIN } from './test/ledgers';

describe('how sure a line is', () => {
  const sigma = (ledger: Ledger, id: LedgerLineId) =>
    (lineOf(ledger, id).explanation.sigma ?? NaN) * 1e6;
  // Half covered, 2 mm: 1 ml for each 0.001 m²; pieces alike are read by one rule.
  it('an error of the area counts for each piece alike, on film and dome only', () => {
    const all = made([FACE, BACK, LENS]);
    expect(sigma(all, 'face')).toBeCloseTo(Math.hypot(2, 6, 0.04 * 180), 9);
    expect(sigma(all, 'dome')).toBeCloseTo(Math.hypot(2, 0.06 * 40), 9);
    expect(sigma(all, 'soak')).toBeCloseTo(0.5 * ml(all, 'soak'), 9);
  });
  it('what is brushed is known to a quarter at best', () => {
    const soft = { ...PLAIN, soakM: 1e-4, areaSigmaM2: 0 };
    for (const by of ['brush', 'hand'] as const) {
      const ledger = made([soft], { edges: { by } });
      expect(sigma(ledger, 'face')).toBeCloseTo((by === 'brush' ? 0.25 : 0.04) * 20, 9);
      expect(sigma(ledger, 'soak')).toBeCloseTo(0.5 * 1, 9);
    }
    const edge = made([FACE], { edges: { by: 'edge coat' } });
    expect(sigma(edge, 'edges')).toBeCloseTo(0.25 * ml(edge, 'edges'), 9);
  });
  it('a line that was set is known to a twentieth, and is no longer of the one pour', () => {
    const set = made([{ ...FACE, areaSigmaM2: 0 }], {
      overrides: [{ line: 'edges', volumeM3: 4e-6, reason: 'weighed' }],
    });
    expect(sigma(set, 'edges')).toBeCloseTo(0.2, 9);
    const one = sigma(set, 'face') + sigma(set, 'bead') + sigma(set, 'run-off');
    const own = (
      ['relief', 'recess', 'soak', 'meniscus', 'wedge', 'belly', 'edges', 'cup'] as const
    ).map((id) => sigma(set, id));
    expect(set.sigmaM3 * 1e6).toBeCloseTo(Math.hypot(one, ...own), 9);
  });
  it('what pours before taught lies on each area by its share', () => {
    const learned = { factor: 1.2, count: 4, spread: 0.1 };
    const [plain, taught] = [made([FACE, PLAIN]), made([FACE, PLAIN], { learned })];
    for (const i of [0, 1])
      expect((taught.byArea[i]?.volumeM3 ?? 0) / (plain.byArea[i]?.volumeM3 ?? 1)).toBeCloseTo(
        1.2,
        12,
      );
    expect(sigma(taught, 'learned')).toBeCloseTo(plain.pouredM3 * 1e6 * 0.05, 9);
  });
});

describe('cup and total', () => {
  it('a glove goes round open edges by hand or flood, and only there', () => {
    const glove = (areas: readonly LedgerArea[], edges: LedgerInput['edges']) =>
      lineOf(made(areas, { edges }), 'cup').explanation.title.includes('glove');
    expect(glove([PLAIN, FACE], { by: 'hand' })).toBe(true);
    expect(glove([PLAIN, FACE], { by: 'flood', perMetreM2: 5e-5 })).toBe(true);
    expect(glove([PLAIN, FACE], { by: 'tool' })).toBe(false);
    expect(glove([PLAIN, LENS], { by: 'hand' })).toBe(false);
  });
  it('the sum opens into all its lines and the density', () => {
    const all = made([FACE, LENS]);
    const opened = totalExplanation(all, 1100);
    expect(opened.inputs.map((i) => i.value)).toEqual([...all.lines.map((l) => l.volumeM3), 1100]);
    expect(opened.inputs[0]?.label).toBe('Film on the face');
    expect(opened.sigma).toBe(all.sigmaM3);
    expect(opened.note).toContain(`${Math.round(all.enough * 100)} %`);
  });
  it('a total of nothing is refused', () => {
    const reserve = { line: 'reserve', volumeM3: -0.05, reason: 'none' } as const;
    expect(() => made([PLAIN], { overrides: [reserve] })).toThrow('overrides');
    expect(made([PLAIN], { overrides: [{ ...reserve, volumeM3: -1e-6 }] }).totalM3).toBeGreaterThan(
      0,
    );
  });
});
