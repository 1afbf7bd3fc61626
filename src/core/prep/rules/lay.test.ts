import type { PrepFacts, PrepLayer } from '../facts';
import { varnish } from '../test/cases';
import { area, asked, facts, HOUR, NOW, on, task } from '../test/facts';

const face = area();
const [other, back] = [area({ id: 'other' }), area({ id: 'back', kind: 'back' })];

describe('layers between coats', () => {
  const laid = (coats: PrepFacts['coats'], change: Partial<PrepLayer> = {}) =>
    asked({ areas: [face, other], coats, layers: [{ ...varnish, ...change }] }, 'layer').map(
      (t) => t.coatId,
    );
  const three = [on('a', 1, ['face']), on('b', 2, ['face', 'other']), on('c', 3, ['face'])];
  it('are laid with the lowest waiting coat over them, on one of their areas', () => {
    expect(laid(three)).toEqual(['a']);
    expect(laid(three, { over: 'a' })).toEqual(['b']);
    expect(laid(three, { over: 'b' })).toEqual(['c']);
    expect(laid(three, { over: 'c' })).toEqual([]);
    expect(laid(three, { areaIds: ['other'] })).toEqual(['b']);
    expect(laid(three, { areaIds: ['other'], over: 'b' })).toEqual([]);
    expect(laid(three, { areaIds: ['other', 'face'] })).toEqual(['a']);
  });
  it('are asked for no more once a coat was poured over them', () => {
    const poured = (over: string | null, areaIds = ['face']) =>
      laid([on('a', 1, ['face'], 30), on('b', 2, areaIds, 20), on('c', 3, ['face'])], { over });
    expect(poured('a')).toEqual([]);
    expect(poured('b')).toEqual(['c']);
    expect(poured(null)).toEqual([]);
    // What was poured over it lies on another area.
    expect(poured('a', ['other'])).toEqual(['c']);
    expect(poured('a', ['other', 'face'])).toEqual([]);
  });
  it('dry by their label, as thick as they are, until somebody found them dry', () => {
    const draft = (change: Partial<PrepLayer>) =>
      task(facts({ layers: [{ ...varnish, ...change }] }), 'layer');
    expect(draft({})).toMatchObject({
      title: 'Lay Glitter',
      drying: { labelS: 86_400, thicknessM: 2.5e-4, usualM: 0.2e-3, leaves: 'water' },
      cautions: [],
    });
    expect(draft({ dryMs: NOW }).drying).toBeNull();
    expect(draft({ kind: 'tape design' }).drying).toBeNull();
    expect(draft({ kind: 'metal powder' })).toMatchObject({ drying: null, cautions: ['hot air'] });
  });
});

describe('turning over', () => {
  const areas = [face, other, back];
  const turns = (coats: PrepFacts['coats'], change: Parameters<typeof facts>[0] = {}) =>
    asked({ areas, coats, ...change }, 'turn');
  const titles = (...of: Parameters<typeof turns>) =>
    turns(...of).map((t) => [t.coatId, t.title, t.up]);
  const up = 'Turn it over, back up';
  const down = 'Turn it over, face up';
  it('comes before each coat that lies on the other side than what is up then', () => {
    expect(titles([on('a', 1, ['face']), on('b', 2, ['other'])])).toEqual([]);
    expect(titles([on('a', 1, ['back']), on('b', 2, ['face'])])).toEqual([
      ['a', up, 'back'],
      ['b', down, 'front'],
    ]);
    expect(titles([on('a', 1, ['back']), on('b', 2, ['face'])], { up: 'back' })).toEqual([
      ['b', down, 'front'],
    ]);
    expect(titles([on('a', 1, ['face']), on('b', 2, ['back']), on('c', 3, ['back'])])).toEqual([
      ['b', up, 'back'],
    ]);
    expect(
      titles([
        on('a', 1, ['face']),
        on('b', 2, ['back']),
        on('c', 3, ['face']),
        on('d', 4, ['back']),
      ]),
    ).toEqual([
      ['b', up, 'back'],
      ['c', down, 'front'],
      ['d', up, 'back'],
    ]);
  });
  it('not for a casting that is dipped: such a coat goes on both sides and leaves it as it lies', () => {
    expect(titles([on('a', 1, ['face', 'back'])])).toEqual([]);
    expect(titles([on('a', 1, ['face', 'back'])], { up: 'back' })).toEqual([]);
    expect(
      titles([on('a', 1, ['back']), on('b', 2, ['face', 'back']), on('c', 3, ['back'])]),
    ).toEqual([['a', up, 'back']]);
  });
  it('tells why the order matters: a finished face wants care, a back comes before its face', () => {
    const first = turns([on('a', 1, ['back'])])[0];
    expect(first?.how).toMatch(/the finished side masked first/);
    const care = /must not run over the finished face/;
    expect(turns([on('a', 1, ['face']), on('b', 2, ['back'])])[0]?.how).toMatch(care);
    expect(turns([on('a', 1, ['face'], 200), on('b', 2, ['back'])])[0]?.how).toMatch(care);
    expect(turns([on('a', 1, ['back'], 200), on('b', 2, ['back'])])[0]?.how).not.toMatch(care);
    expect(
      turns([on('a', 1, ['back'], 200), on('b', 2, ['face'])], { up: 'back' })[0]?.reason,
    ).toMatch(/^Back first, then the face/);
    const mixed = [on('a', 1, ['back'], 300), on('b', 2, ['face'], 200), on('c', 3, ['back'])];
    expect(turns(mixed)[0]?.how).toMatch(care);
  });
  it('waits until all that lies there bears a hand; before that is poured no moment is known', () => {
    const waits = (coats: PrepFacts['coats']) => turns(coats).map((t) => t.notBeforeMs);
    expect(waits([on('a', 1, ['back'])])).toEqual([null]);
    // Poured one and three hours ago; both bear a hand 20 h after.
    expect(
      waits([on('a', 1, ['face'], 3), on('b', 2, ['other'], 1), on('c', 3, ['back'])]),
    ).toEqual([NOW + 19 * HOUR]);
    expect(waits([on('a', 1, ['face'], 3), on('b', 2, ['face']), on('c', 3, ['back'])])).toEqual([
      null,
    ]);
  });
});

describe('a dam that comes off', () => {
  const dam = { kind: 'dam', lengthM: 0.4, heightM: 0.018 } as const;
  const open = { kind: 'open', lengthM: 0.2, heightM: 0.018 } as const;
  const areas = [area({ edges: [open, dam, open, dam] }), area({ id: 'other', edges: [open] })];
  const off = (coats: PrepFacts['coats'], of = areas) => asked({ areas: of, coats }, 'free dam');
  const free = (id: string, order: number, areaIds: string[], hours: number | null) =>
    on(id, order, areaIds, hours, { freesDams: true });
  it('of the coat that says so, once it is poured, along its own edges, before the next over them', () => {
    expect(
      off([free('a', 1, ['face', 'other'], 30), on('b', 2, ['other']), on('c', 3, ['face'])]),
    ).toMatchObject([
      {
        coatId: 'c',
        areaIds: ['face'],
        edges: [1, 3].map((edge) => ({ areaId: 'face', edge })),
        notBeforeMs: NOW - 10 * HOUR,
      },
    ]);
    expect(off([free('a', 1, ['face'], 30)])).toMatchObject([{ coatId: null }]);
  });
  it('not of one that is not poured, does not say so, or has none', () => {
    expect(off([free('a', 1, ['face'], null), on('b', 2, ['face'])])).toEqual([]);
    expect(off([on('a', 1, ['face'], 30), on('b', 2, ['face'])])).toEqual([]);
    expect(off([free('a', 1, ['other'], 30), on('b', 2, ['other'])])).toEqual([]);
  });
  it('of two areas with dams, either brings the next coat', () => {
    const two = [area({ edges: [dam] }), area({ id: 'other', edges: [dam] })];
    expect(off([free('a', 1, ['face', 'other'], 30), on('b', 2, ['other'])], two)).toMatchObject([
      { coatId: 'b', areaIds: ['face', 'other'] },
    ]);
  });
});
