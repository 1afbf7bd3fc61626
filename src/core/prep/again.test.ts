import { earliestPour, holdsBack, placeTasks, planPrep, type PrepFacts, type TaskRecord } from '.';
import { area, coat, facts, HOUR, NOW, old, pouredAgo, relief, surface } from './test/facts';

const ROOM = [{ fromMs: 0, temperatureK: 295.15, humidity: 0.5 }];
const second = coat({ id: 'second', name: 'Flood 2', order: 2 });
const over = (hours: number, change: Partial<PrepFacts> = {}) =>
  facts({ coats: [coat({ poured: pouredAgo(hours) }), second], ...change } as Parameters<
    typeof facts
  >[0]);

/** What was done, by rule, so many hours ago. */
const did = (of: PrepFacts, hoursAgo: Readonly<Record<string, number>>): TaskRecord[] =>
  planPrep(of).flatMap((task) => {
    const hours = hoursAgo[task.rule];
    const { key, rule, title, coatId, scope } = task;
    const base = { key, rule, title, coatId, scope, reason: '', result: null, order: null };
    return hours === undefined
      ? []
      : [{ ...base, state: 'done' as const, doneMs: NOW - hours * HOUR }];
  });
const states = (of: PrepFacts, hoursAgo: Readonly<Record<string, number>>) => {
  const { tasks } = placeTasks(of, planPrep(of), did(of, hoursAgo), ROOM);
  return Object.fromEntries(tasks.map((t) => [t.task.rule, t]));
};
const held = (of: PrepFacts, hoursAgo: Readonly<Record<string, number>>, coatId = 'second') =>
  holdsBack(of, placeTasks(of, planPrep(of), did(of, hoursAgo), ROOM), coatId).map(
    (t) => t.task.rule,
  );

describe('what was done and does not count any more', () => {
  it('a wipe right after the pour: not before the coat bears a hand, and not inside the window', () => {
    const wet = over(1);
    expect(states(wet, {}).wipe).toMatchObject({ state: 'waiting', untilMs: NOW + 8 * HOUR });
    const tacky = over(10);
    expect(states(tacky, { wipe: 0.1 }).wipe).toMatchObject({
      state: 'skipped',
      task: { title: 'No alcohol inside the recoat window' },
    });
    const always = over(1, { schools: { ...facts().schools, recoat: 'always sand' } });
    expect(states(always, {}).wipe).toMatchObject({ state: 'waiting', untilMs: NOW + 19 * HOUR });
    // Noted on wet resin, and the coat was sanded a day later: it does not count.
    const hard = over(30);
    const done = { tooth: 2, 'sanding dust': 1.9, mask: 1.8, wipe: 29.5 };
    expect(states(hard, done).wipe).toMatchObject({
      state: 'redo',
      again: { why: 'step since', title: 'Mask: painter’s tape' },
    });
  });

  it('the window shuts in mid-preparation: what was done inside it is to be done again after the sanding', () => {
    const shut = over(15);
    const inside = { mask: 2, wipe: 1.5 };
    const before = states(shut, inside);
    expect(before.tooth?.state).toBe('waiting');
    expect(before.mask).toMatchObject({ state: 'blocked', blockedBy: { rule: 'tooth' } });
    expect(held(shut, inside)).toEqual(expect.arrayContaining(['tooth', 'mask', 'wipe']));
    const sanded = over(21);
    const after = states(sanded, { mask: 8, wipe: 7.5, tooth: 0.5, 'sanding dust': 0.4 });
    expect(after.mask).toMatchObject({ state: 'redo', again: { why: 'step since' } });
    expect(held(sanded, { mask: 8, wipe: 7.5, tooth: 0.5, 'sanding dust': 0.4 })).toEqual([
      'mask',
      'wipe',
    ]);
  });

  it('wipe, warm air and level of ten days ago hold nothing', () => {
    const of = facts({ slope: null });
    const ago = states(of, { mask: 241, level: 240.5, wipe: 240, 'warm air': 240 });
    for (const rule of ['level', 'warm air'])
      expect(ago[rule]).toMatchObject({ state: rule === 'level' ? 'redo' : 'blocked' });
    expect(ago.level?.again).toMatchObject({ why: 'too long ago' });
    expect(held(of, { mask: 241, level: 240.5, wipe: 240 }, 'flood')).toEqual(['level', 'wipe']);
    // To the minute: four hours and a day.
    expect(states(facts(), { mask: 9, wipe: 4 }).wipe?.state).toBe('done');
    expect(states(facts(), { mask: 9, wipe: 4.02 }).wipe?.again?.why).toBe('too long ago');
    expect(states(of, { mask: 30, level: 24 }).level?.state).toBe('done');
    expect(states(of, { mask: 30, level: 24.1 }).level?.state).toBe('redo');
  });

  it('a rub test before the spray does not count after it', () => {
    const ink = facts({ areas: [area(surface('ink'))] });
    expect(states(ink, { 'fix art': 3, 'rub test': 5 })['rub test']).toMatchObject({
      state: 'redo',
      again: { why: 'step since', title: 'Fix the art with matte spray' },
    });
    expect(states(ink, { 'fix art': 5, 'rub test': 3 })['rub test']?.state).toBe('done');
  });

  it('a mask is renewed only when the old one is off', () => {
    const masks = [
      {
        coatId: 'flood',
        areaId: 'face',
        method: 'painter’s tape' as const,
        laidMs: NOW - 31 * HOUR,
        takenOffMs: null,
      },
    ];
    const of = over(30, { masks });
    const done = { tooth: 3, 'sanding dust': 2.9, mask: 2 };
    expect(states(of, done).mask).toMatchObject({
      state: 'blocked',
      blockedBy: { rule: 'unmask' },
    });
    expect(
      states(of, { unmask: 1.9, tooth: 1.8, 'sanding dust': 1.7, mask: 2 }).mask,
    ).toMatchObject({
      state: 'redo',
      again: { why: 'step since', title: 'Lift the sanding dust' },
    });
  });

  it('out of level is put right by a reading, never by a tick; an old reading is asked for again', () => {
    const out = facts({ slope: 0.002 });
    expect(states(out, { mask: 1, level: 0.1 }).level).toMatchObject({
      state: 'redo',
      again: { why: 'out of level' },
    });
    expect(planPrep(facts({ slope: 0 })).some((t) => t.rule === 'level')).toBe(false);
    expect(planPrep(facts({ slopeMs: NOW - 25 * HOUR })).some((t) => t.rule === 'level')).toBe(
      true,
    );
    expect(
      planPrep(facts({ slopeMs: NOW - HOUR, turnedMs: NOW - HOUR / 2 })).some(
        (t) => t.rule === 'level',
      ),
    ).toBe(true);
  });

  it('a turn undoes the level and the wipe; a pour of another coat what was cleaned', () => {
    const turned = facts({ slope: null, turnedMs: NOW - HOUR });
    expect(states(turned, { mask: 4, level: 3, wipe: 2 }).level?.again?.why).toBe('turned since');
    const dial = area({ id: 'dial', kind: 'recess' });
    const of = facts({
      areas: [area(), dial],
      coats: [
        coat({ id: 'fill', kind: 'fill', areaIds: ['dial'], order: 1, poured: pouredAgo(30) }),
        coat({ id: 'flood', areaIds: ['face', 'dial'], order: 2 }),
      ],
      schools: { recoat: 'always sand' },
    });
    expect(
      states(of, { mask: 31.9, tooth: 31.8, 'sanding dust': 31.7 }).tooth?.again,
    ).toMatchObject({
      why: 'poured since',
    });
  });

  it('level comes before the wipe, loose grains before the seal, sanding of paste before its paint', () => {
    const steps = (of: PrepFacts) => planPrep(of).map((t) => t.rule);
    const order = (of: PrepFacts, first: string, then: string) =>
      expect(steps(of).indexOf(first)).toBeLessThan(steps(of).indexOf(then));
    order(facts({ slope: null }), 'level', 'wipe');
    const strewn = facts({ areas: [area({ porosity: 'porous', ...relief('sand') })] });
    order(strewn, 'loose parts', 'seal');
    expect(states(strewn, {}).seal).toMatchObject({
      state: 'blocked',
      blockedBy: { rule: 'dry inclusions' },
    });
    const paste = facts({ areas: [area(relief('paste'))] });
    order(paste, 'shape paste', 'repaint paste');
    const repaint = states(paste, { 'dry paste': 60, 'shape paste': 3, 'repaint paste': 2 })[
      'repaint paste'
    ];
    expect(repaint).toMatchObject({ state: 'drying', untilMs: NOW + 22 * HOUR });
    expect(
      states(paste, { 'dry paste': 60, 'shape paste': 1, 'repaint paste': 2 })['repaint paste'],
    ).toMatchObject({ state: 'redo' });
  });
});

describe('waits side by side', () => {
  const board = facts({
    support: 'bare wood',
    areas: [area({ porosity: 'porous', ...surface('painted') })],
  });
  it('a drying seal blocks what lies on it, not the cover and not the edge paint', () => {
    const now = states(board, { 'dry paint': 40, seal: 1 });
    expect(now.seal?.state).toBe('drying');
    expect(now.cover?.state).toBe('open');
    expect(now['edge ground']?.state).toBe('open');
    expect(now.mask).toMatchObject({ state: 'blocked', untilMs: NOW + 23 * HOUR });
  });
  it('the earliest pour is the longest row of waits, and its step is named', () => {
    const at = (hoursAgo: Readonly<Record<string, number>>) =>
      earliestPour(placeTasks(board, planPrep(board), did(board, hoursAgo), ROOM).tasks, NOW, ROOM);
    // Paint dries 24 h, then the seal 24 h; the edge paint beside them takes none of that.
    expect(at({})).toMatchObject({ atMs: NOW + 48 * HOUR, by: { rule: 'seal' } });
    expect(at({ 'dry paint': 10 })?.atMs).toBe(NOW + 38 * HOUR);
    expect(at({ 'dry paint': 40, seal: 4 })).toMatchObject({ atMs: NOW + 20 * HOUR });
    expect(at({ 'dry paint': 40, seal: 30, 'edge ground': 1 })).toMatchObject({
      atMs: NOW + 23 * HOUR,
      by: { rule: 'edge ground' },
    });
    expect(at({ 'dry paint': 99, seal: 50, 'edge ground': 49 })).toBeNull();
  });
});

describe('faults and old resin hold', () => {
  it.each(['soft spot', 'tacky all over', 'scorch', 'haze'] as const)(
    '%s holds the next coat on its places, and what was done before it is put right does not help',
    (kind) => {
      const of = over(30, { defects: [{ id: 'd', kind, coatId: 'flood' }] });
      const done = { tooth: 2, 'sanding dust': 1.9, flatten: 2, mask: 1.8, wipe: 1 };
      expect(held(of, done)).toContain('put right');
      expect(states(of, done).tooth).toMatchObject({ state: 'blocked' });
    },
  );
  it('a repair undoes what was done on its places before it', () => {
    const at = (hours: number) =>
      states(
        over(30, {
          repaired: [{ kind: 'soft spot', areaIds: ['face'], atMs: NOW - hours * HOUR }],
        }),
        { tooth: 3, 'sanding dust': 2.9, mask: 2.8, wipe: 2 },
      );
    expect(at(1).tooth).toMatchObject({ state: 'redo', again: { why: 'repaired since' } });
    expect(at(4).wipe?.state).toBe('done');
  });
  it('on another place it holds nothing', () => {
    const areas = [area(), area({ id: 'other', kind: 'face' })];
    const of = facts({
      areas,
      coats: [
        coat({ poured: pouredAgo(30) }),
        coat({ id: 'second', order: 2, areaIds: ['other'] }),
      ],
      defects: [{ id: 'd', kind: 'soft spot', coatId: 'flood' }],
    });
    expect(planPrep(of).some((t) => t.rule === 'put right')).toBe(false);
  });
  it('sticky old resin is taken off before it is sanded', () => {
    const of = facts({ areas: [area(old('sticky'))] });
    expect(states(of, {}).tooth).toMatchObject({ blockedBy: { rule: 'old resin soft' } });
  });
});

describe('cells of one piece', () => {
  it('are levelled once: the tick of one counts for the others, a mask since undoes it', () => {
    const of = facts({
      slope: null,
      areas: [area({}, ['mould']), area({ id: 'cell' }, ['mould'])],
      coats: [coat(), coat({ id: 'second', order: 2, areaIds: ['cell'] })],
    });
    const [own] = did(of, { level: 1 }).filter((r) => r.coatId === 'flood');
    const { tasks } = placeTasks(of, planPrep(of), own ? [own] : [], ROOM);
    expect(tasks.filter((t) => t.task.rule === 'level').map((t) => t.state)).toEqual([
      'done',
      'done',
    ]);
  });
});

describe('the air at the pour', () => {
  it('too damp holds, near to it warns, and no tick settles it', () => {
    const at = (humidity: number) =>
      planPrep(facts({ air: { temperatureK: 295.15, humidity } })).find(
        (t) => t.rule === 'dew point',
      );
    // 22 °C: dew point 3 K below at 83.1 % (ISO 8502-4 practice with psychrolib’s dew points), 4.3 K at 76.6 %.
    expect(at(0.835)).toMatchObject({ needed: true, spoiled: 'too damp' });
    expect(at(0.827)).toMatchObject({ needed: false });
    expect(at(0.77)).toMatchObject({ needed: false });
    expect(at(0.76)).toBeUndefined();
    expect(planPrep(facts()).some((t) => t.rule === 'dew point')).toBe(false);
  });
});
