import { drainedEdgeMean, tiltDifference } from '../film';
import { filmOver, PLAIN_INPUT } from '.';
import {
  BACK,
  FACE,
  law,
  lc,
  LENS,
  lineOf,
  liquid,
  made,
  ml,
  mm,
  PLAIN,
  shown,
} from './test/ledgers';

describe('an opened line shows what its volume is made of', () => {
  const all = () => made([FACE, BACK, LENS, PLAIN]);
  // Areas in m², all pieces alike, half covered: 2 · 0.06 + 3 · 0.03 + 0.02 = 0.23.
  it('film: its areas, its thickness, and where edges hold less', () => {
    expect(shown(all(), 'face')).toEqual([
      ['area covered, all pieces', 0.115],
      ['film thickness', mm(2)],
      ['open edges of Face hold', mm(1.5)],
    ]);
    // ½ (0.12 · 1.5 + 0.11 · 2) mm·m².
    expect(ml(all(), 'face')).toBeCloseTo(200, 9);
    expect(shown(made([PLAIN], { coverage: 1 }), 'face')).toEqual([
      ['area, all pieces', 0.02],
      ['film thickness', mm(2)],
    ]);
    const just = { ...FACE, cover: { by: 'film', holdsM: 2e-3 } as const };
    expect(shown(made([just]), 'face')).toHaveLength(2);
  });
  it('dome: the areas that end in one, and the mean of its film', () => {
    expect(shown(all(), 'dome')).toEqual([
      ['area covered, all pieces', 0.02],
      ['mean film of the coat', mm(2)],
      ['capillary length, lc = √(γ / ρ g)', Number(lc.toPrecision(9))],
    ]);
    expect(ml(all(), 'dome')).toBeCloseTo(40, 9);
  });
  // Blocks: 10 % of 0.12 m² over the 1.5 mm that stay, and 20 % of 0.09 m² over the 0.5 mm that stand out of 1 mm below.
  it('relief: the areas that have some, from the lowest below to the top, and the greatest', () => {
    expect(ml(all(), 'relief')).toBeCloseTo(-(0.1 * 0.12 * 1.5 + 0.2 * 0.09 * 0.5) * 500, 9);
    expect(shown(all(), 'relief')).toEqual([
      ['area covered, all pieces', 0.105],
      ['lies under the coat', mm(0.5)],
      ['reaches up to', mm(2.5)],
      ['greatest relief', mm(2.4)],
    ]);
  });
  it('recesses: what a face runs into is filled whole, a recess itself as far as the coat covers', () => {
    expect(shown(all(), 'recess')).toEqual([
      ['recesses, all pieces', 0.006],
      ['deepest that is filled', mm(3)],
    ]);
    expect(ml(all(), 'recess')).toBeCloseTo(2 * (6 + 1), 9);
    expect(lineOf(all(), 'recess').explanation.title).toBe('Runs into the recess');
    const own = made([{ ...PLAIN, cover: { by: 'recess' } }, PLAIN, FACE]);
    expect(lineOf(own, 'recess').explanation.title).toBe('Fills the recess');
    // ½ · 0.02 m² · 2 mm of its own, and what the face runs into.
    expect(ml(own, 'recess')).toBeCloseTo(20 + 14, 9);
    expect(shown(own, 'recess')[0]).toEqual(['recesses, all pieces', 0.01 + 0.006]);
  });
  it('soak: the areas that drink, and the thirstiest', () => {
    expect(shown(all(), 'soak')).toEqual([
      ['area covered, all pieces', 0.105],
      ['drinks', mm(0.06)],
    ]);
    expect(ml(all(), 'soak')).toBeCloseTo((0.12 * 60 + 0.09 * 20) / 2, 9);
  });
  it('walls: their length on all pieces', () => {
    expect(shown(all(), 'meniscus').slice(0, 2)).toEqual([
      ['length of walls', 1.75],
      ['capillary length, lc = √(γ / ρ g)', Number(lc.toPrecision(9))],
    ]);
    expect(ml(all(), 'meniscus')).toBeCloseTo(
      0.875 * lc ** 2 * Math.cos((50 / 180) * Math.PI) * 1e6,
    );
  });
  it('out of level: the areas that lean, and the one to which it adds most', () => {
    const adds = (slope: number, long: number) =>
      (tiltDifference(long, slope, 2e-3, liquid) * 0.15) / long;
    const [face, back] = [adds(1e-3, 0.3), adds(3e-3, 0.2)];
    expect(back).toBeGreaterThan(1.5 * face);
    for (const areas of [
      [FACE, BACK, PLAIN],
      [BACK, PLAIN, FACE],
    ])
      expect(shown(made(areas), 'wedge').slice(0, 4)).toEqual([
        ['area covered, all pieces', 0.105],
        ['rise over 1 m', 3e-3],
        ['length along the slope', 0.2],
        ['adds to the mean film', Number(back.toPrecision(9))],
      ]);
    expect(ml(all(), 'wedge')).toBeCloseTo((0.06 * face + 0.045 * back) * 1e6, 9);
  });
  it('belly: the canvases that hang, the deepest and the fullest', () => {
    expect(shown(all(), 'belly')).toEqual([
      ['area covered, all pieces', 0.105],
      ['hangs in the middle', mm(3)],
      ['mean over greatest sag', 0.5],
    ]);
    expect(ml(all(), 'belly')).toBeCloseTo((0.12 * 0.5 + 0.09 * 3 * 0.48) * 500, 9);
    expect(
      filmOver(BACK, {
        ...PLAIN_INPUT,
        areas: [],
        thicknessM: 2e-3,
        densityKgM3: 1100,
        law,
        restS: 300,
      }),
    ).toMatchObject({ thicknessM: 2e-3, bellyMeanM: 3e-3 * 0.48 });
  });
  it('edges: their area, and of the film that is laid on what stays where it drains least', () => {
    const stay =
      (0.004 * drainedEdgeMean(0.02, liquid) + 0.003 * drainedEdgeMean(0.01, liquid)) / 0.007;
    const low = {
      ...FACE,
      name: 'Low',
      openEdges: [{ areaM2: 0.001, heightM: 0.003, lengthM: 1 }],
    };
    expect(shown(all(), 'edges').slice(0, 3)).toEqual([
      ['area of open edges', 0.014],
      ['film laid on', mm(0.45)],
      ['of it stays when it has drained', Number(stay.toPrecision(9))],
    ]);
    expect(ml(all(), 'edges')).toBeCloseTo(0.007 * 450, 9);
    expect(shown(made([FACE, low]), 'edges')[2]?.[1]).toBeCloseTo(stay, 12);
    expect(drainedEdgeMean(0.003, liquid)).toBeLessThan(stay);
    expect(all().edgeFilmM).toBeCloseTo(stay, 12);
    // Over pieces alike: two of the one and six of the other.
    const many = made([FACE, { ...low, count: 6 }]);
    const lowM = drainedEdgeMean(0.003, liquid);
    expect(many.edgeFilmM).toBeCloseTo((0.014 * stay + 0.006 * lowM) / 0.02, 12);
    expect(made([PLAIN]).edgeFilmM).toBe(0);
  });
  it.each(['hand', 'tool', 'brush', 'edge coat'] as const)(
    'edges by %s: chosen or a rule',
    (by) => {
      const told = lineOf(made([FACE], { edges: { by } }), 'edges').explanation.inputs[1]?.source;
      expect(told).toBe(by === 'brush' || by === 'edge coat' ? 'chosen' : 'rule of thumb');
    },
  );
  it('bead and run-off: their lengths, what edges hold, and what goes', () => {
    expect(shown(all(), 'bead')[0]).toEqual(['length of open edges', 1]);
    expect(ml(all(), 'bead')).toBeCloseTo(0.5 * lc ** 2 * 1e6, 9);
    const goes = 0.06 * 0.5e-3 - 0.007 * 0.45e-3 - 0.5 * lc ** 2;
    expect(shown(all(), 'run-off')).toEqual([
      ['film poured', mm(2)],
      ['open edges of Face hold', mm(1.5)],
      ['runs off', Number(goes.toPrecision(9))],
    ]);
    expect(lineOf(all(), 'run-off').explanation.formula).toContain('what the edges hold');
    const flood = made([FACE], { edges: { by: 'flood', perMetreM2: 60e-6 } });
    expect(shown(flood, 'run-off').slice(0, 2)).toEqual([
      ['length of open edges', 1],
      ['taken by each metre', 60e-6],
    ]);
    expect(lineOf(flood, 'run-off').explanation.formula).toContain('what a metre takes');
    // What the face gives up and 60 ml for each of its metres, half covered, less band and bead.
    expect(ml(flood, 'run-off')).toBeCloseTo((0.03e-3 + 30e-6 - 0.00315e-3 - 0.5 * lc ** 2) * 1e6);
  });
});

it('a drawn line shows its length on all pieces, and the widest bead', () => {
  const bead = { lengthM: 0.2, widthM: 6e-3, heightM: 1e-3, sectionM2: 4e-6 };
  const wide = { lengthM: 0.1, widthM: 9e-3, heightM: 1.5e-3, sectionM2: 9e-6 };
  for (const both of [
    [{ ...FACE, line: bead }, BACK, { ...PLAIN, line: wide }],
    [{ ...PLAIN, line: wide }, BACK, { ...FACE, line: bead }],
  ]) {
    const ledger = made(both, { edges: { by: 'line' } });
    expect(shown(ledger, 'line')).toEqual([
      ['length, all pieces', 0.5],
      ['width', mm(9)],
      ['height in the middle', mm(1.5)],
      ['section', 9e-6],
    ]);
    expect(ml(ledger, 'line')).toBeCloseTo(2 * 0.8 + 0.9, 9);
  }
});
