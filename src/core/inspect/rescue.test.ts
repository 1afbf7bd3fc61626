import { DEFECT_KINDS } from '../piece';
import {
  FILM_NOW,
  hollowVolume,
  pitVolume,
  refused,
  RESCUES,
  rescuesFor,
  STEP_TIMES,
  type RescueFacts,
} from './rescue';

const HARD: RescueFacts = {
  ...{ film: 'hard', support: 'tile', allOver: false, neverCures: false },
  ...{ hasBack: true, hasFace: true, hasEdge: true, holdsDome: true },
};
const kinds = (list: ReturnType<typeof rescuesFor>) => list.map((r) => r.kind);
const can = (list: ReturnType<typeof rescuesFor>) => kinds(list.filter((r) => !r.refused));

describe('volumes of pits', () => {
  it('half a ball, and a flat cap', () => {
    // A half ball of radius 2 mm is 4 mm wide and 2 mm deep: 2/3 π r³.
    expect(pitVolume(4e-3, 2e-3)).toBeCloseTo((2 / 3) * Math.PI * 8e-9, 18);
    // A cap far flatter than wide is half as much as the cylinder round it.
    expect(pitVolume(10e-3, 1e-6) / hollowVolume(10e-3, 1e-6)).toBeCloseTo(0.5, 6);
  });
  it('a scraped hollow is a cylinder', () =>
    expect(hollowVolume(20e-3, 1e-3)).toBeCloseTo(Math.PI * 1e-4 * 1e-3, 15));
});

describe('ways back', () => {
  it.each(DEFECT_KINDS)('%s has one once the film is hard', (kind) =>
    expect(can(rescuesFor(kind, HARD)).length).toBeGreaterThan(0),
  );

  it('while it flows only what is done wet, and that never later', () => {
    const wet = rescuesFor('fish eye', { ...HARD, film: 'wet' });
    expect(can(wet)).toEqual(['feed and tap']);
    expect(can(rescuesFor('fish eye', HARD))).not.toContain('feed and tap');
    for (const film of FILM_NOW)
      for (const kind of DEFECT_KINDS)
        for (const r of rescuesFor(kind, { ...HARD, film }))
          if (!r.refused) expect(RESCUES[r.kind].film).toContain(film);
  });

  it('never over sticky resin: it is scraped, stripped, or kept warm', () => {
    const sticky = can(rescuesFor('soft spot', { ...HARD, film: 'sticky' }));
    expect(sticky).toEqual(['warm and wait', 'scrape and refill', 'strip and recoat']);
    for (const kind of sticky)
      expect(RESCUES[kind].coat === null || RESCUES[kind].steps.length > 1).toBe(true);
  });

  it.each([
    ['fill the spot', { allOver: true }, 'it is all over'],
    ['new face on the back', { hasBack: false }, 'no back'],
    ['dome over', { holdsDome: false }, 'runs over open edges'],
    ['strip and recoat', { support: 'canvas' }, 'support does not bear it'],
    ['sand and flood', { film: 'soft' }, 'still soft'],
    ['sand and flood', { film: 'sticky' }, 'sticky holds nothing'],
    ['feed and tap', {}, 'too late while wet'],
    ['sand and flood', { hasFace: false }, 'no face'],
    ['redo the edge', { hasEdge: false }, 'no edge'],
    ['warm and wait', { film: 'sticky', neverCures: true }, 'never cures'],
    ['warm and wait', {}, 'it is hard'],
  ] as const)('%s with %j: %s', (kind, facts, why) =>
    expect(refused(kind, { ...HARD, ...facts })).toBe(why),
  );

  it('what can be done stands first', () => {
    const list = rescuesFor('dimples', { ...HARD, holdsDome: false });
    const first = list.findIndex((r) => r.refused !== null);
    expect(first).toBeGreaterThan(0);
    expect(list.slice(first).every((r) => r.refused !== null)).toBe(true);
  });

  it('paste and a day of warmth take their day (common practice, no source)', () => {
    expect(STEP_TIMES['lay texture paste'].waitS).toBe(24 * 3600);
    expect(STEP_TIMES['keep at 25 °C'].waitS).toBe(24 * 3600);
    expect(STEP_TIMES['gild again'].waitS).toBe(2 * 3600);
  });
});
