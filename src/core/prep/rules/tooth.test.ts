import { area, coat, facts, found, pouredAgo, relief, task } from '../test/facts';

const second = coat({ id: 'second', name: 'Flood 2', order: 2, thicknessM: 1.8e-3 });

describe('where a coat wants tooth', () => {
  const hard = coat({ id: 'first', poured: pouredAgo(30) });
  const keyed = (next: Parameters<typeof coat>[0]) =>
    task(facts({ coats: [hard, coat({ id: 'next', order: 2, ...next })] }), 'tooth').sanding
      ?.areaM2;
  it('all over, on its share, or on its edges: what it covers', () => {
    // 400 × 200 mm; edges 1.2 m around, 18 mm tall.
    expect(keyed({})).toBeCloseTo(0.08, 9);
    expect(keyed({ kind: 'patch', coverage: 0.05 })).toBeCloseTo(0.004, 9);
    expect(keyed({ kind: 'edge' })).toBeCloseTo(0.0216, 9);
  });
  it('an edge coat over an edge coat that has cured is keyed', () => {
    const rims = [
      coat({ kind: 'edge', poured: pouredAgo(30) }),
      coat({ id: 'two', kind: 'edge', order: 2 }),
    ];
    expect(found(facts({ coats: rims }))).toContain('tooth');
  });
});

describe('relief that stands proud of a coat', () => {
  it('is taken off by the law of the ledger', () => {
    // Heights even from 0 to 2 mm over half of 0.08 m². At 1 mm: ½ · (1 mm)² / (2 · 2 mm) = 0.125 mm, on a quarter.
    const proud = task(
      facts({
        areas: [area(relief('paste'))],
        coats: [coat({ thicknessM: 1e-3, poured: pouredAgo(30) }), second],
        defects: [{ id: 'd', kind: 'proud relief', coatId: 'flood' }],
      }),
      'flatten',
    );
    expect((proud.sanding?.removeM3 ?? 0) * 1e6).toBeCloseTo(10, 9);
    expect(proud.sanding?.areaM2).toBeCloseTo(0.02, 9);
  });
  it('heights that are nearly even: 0.175 mm, where a law of its own said 0.08', () => {
    // Greatest 2 mm, mean 1.5 mm (p = 1/3) at 1.6 mm: 1.5 · 0.2^(4/3) = 0.17544 mm over all of it.
    const narrow = { kind: 'paste', greatestM: 2e-3, meanM: 1.5e-3, share: 1 } as const;
    const proud = task(
      facts({
        areas: [area({ relief: [narrow] })],
        coats: [coat({ poured: pouredAgo(30) }), second],
        defects: [{ id: 'd', kind: 'proud relief', coatId: 'flood' }],
      }),
      'flatten',
    );
    const meanM = 1.5e-3 * 0.2 ** (4 / 3);
    expect(proud.sanding?.removeM3).toBeCloseTo(0.08 * meanM, 12);
  });
});

describe('a patch on a twentieth of a porous face', () => {
  it('leaves the rest drinking: it is sealed, not keyed', () => {
    const patch = coat({ kind: 'patch', order: 0, coverage: 0.05, poured: pouredAgo(30) });
    const rules = found(facts({ areas: [area({ porosity: 'porous' })], coats: [patch, second] }));
    expect(rules).toContain('seal');
    expect(rules).not.toContain('tooth');
  });
});
