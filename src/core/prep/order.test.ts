import { earliestPour, READY_STEPS, type PlacedTask, type PrepTask } from '.';
import { againOf, type AgainFacts } from './again';
import { dependsOn, mustPrecede } from './order';
import { coatOrder, taskOf } from './planPrep';
import type { PrepRule, PrepStep, TaskDraft } from './task';
import { coat, HOUR, NOW, pouredAgo } from './test/facts';

const RULE: PrepRule = {
  ...{ id: 'r', step: 'sand', title: 'Rule', how: 'How', reason: 'Why', source: 'Whence' },
  ...{ needed: true, find: () => [] },
};
let made = 0;
/** A step on the face for the flood coat, unless it says otherwise. */
const step = (of: PrepStep, change: Partial<TaskDraft> & { rule?: string } = {}): PrepTask => {
  const { rule = 'r', ...draft } = change;
  made += 1;
  return taskOf(
    { ...RULE, id: rule },
    { on: `${made}`, coatId: 'flood', areaIds: ['face'], step: of, ...draft },
  );
};

describe('what has to come before what', () => {
  it('one step after another on the same ground for the same coat', () => {
    expect(dependsOn(step('mask'), step('sand'))).toBe(true);
    expect(dependsOn(step('sand'), step('mask'))).toBe(false);
    expect(dependsOn(step('mask'), step('sand', { areaIds: ['other'] }))).toBe(false);
    expect(dependsOn(step('mask', { areaIds: ['other', 'face'] }), step('sand'))).toBe(true);
    expect(dependsOn(step('mask'), step('sand', { areaIds: ['other', 'face'] }))).toBe(true);
    // A step about no area in particular is about the whole piece.
    expect(dependsOn(step('mask', { areaIds: [] }), step('sand'))).toBe(true);
    expect(dependsOn(step('mask'), step('sand', { areaIds: [] }))).toBe(true);
    expect(dependsOn(step('mask'), step('sand', { coatId: 'other' }))).toBe(false);
    expect(dependsOn(step('mask', { rule: 'own note' }), step('sand'))).toBe(false);
    expect(dependsOn(step('mask'), step('sand', { rule: 'own note' }))).toBe(false);
  });
  it('a stage after the stage before it, of one work only', () => {
    const stage = (turn: number, of = 'tear') => step('repair', { stage: { of, turn } });
    expect(dependsOn(stage(1), stage(0))).toBe(true);
    expect(dependsOn(stage(0), stage(1))).toBe(false);
    expect(dependsOn(stage(1), stage(1))).toBe(false);
    expect(dependsOn(stage(1), stage(0, 'another tear'))).toBe(false);
    expect(dependsOn(stage(1), step('repair'))).toBe(false);
  });
  it('all that is for a lower coat before what is for a higher one; what waits for none after them all', () => {
    const orderOf = coatOrder([
      { id: 'flood', order: 1 },
      { id: 'upper', order: 2 },
    ]);
    const [low, high, none] = [
      step('mask'),
      step('sand', { coatId: 'upper' }),
      step('sand', { coatId: null }),
    ];
    expect([mustPrecede(low, high, orderOf), mustPrecede(high, low, orderOf)]).toEqual([
      true,
      false,
    ]);
    expect([mustPrecede(low, none, orderOf), mustPrecede(none, low, orderOf)]).toEqual([
      true,
      false,
    ]);
    expect(mustPrecede(step('sand'), low, orderOf)).toBe(true);
    expect(mustPrecede(low, step('sand'), orderOf)).toBe(false);
    expect(orderOf('gone')).toBe(Infinity);
    expect([coatOrder([])(null), coatOrder([])('gone')]).toEqual([0, 0]);
    // Where no coat is planned the steps keep their own order.
    expect(
      mustPrecede(step('sand', { coatId: null }), step('mask', { coatId: null }), coatOrder([])),
    ).toBe(true);
  });
  it('what a draft does not say its rule does, and nothing else is made up', () => {
    const plain = taskOf(
      { ...RULE, asksResult: true, cautions: ['dust'] },
      { on: 'x', coatId: null, areaIds: [] },
    );
    expect(plain).toMatchObject({
      key: 'r:x',
      title: 'Rule',
      how: 'How',
      reason: 'Why',
      step: 'sand',
      needed: true,
    });
    expect(plain).toMatchObject({
      limit: null,
      up: null,
      asksResult: true,
      cautions: ['dust'],
      scope: [],
    });
    const full = step('turn', {
      ...{ up: 'back', limit: { side: 'left', atM: 1 }, needed: false, cautions: ['skin'] },
      ...{ edges: [{ areaId: 'face', edge: 2 }], mask: 'latex', problems: ['sanding through'] },
    });
    expect(full).toMatchObject({
      up: 'back',
      limit: { side: 'left', atM: 1 },
      needed: false,
      asksResult: false,
    });
    expect(full).toMatchObject({ cautions: ['skin'], scope: ['face', 'face#2'], mask: 'latex' });
  });
});

describe('the earliest pour, step by step', () => {
  const ROOM = [{ fromMs: 0, temperatureK: 295.15, humidity: 0.5 }];
  const placed = (
    task: PrepTask,
    state: PlacedTask['state'],
    untilMs: number | null = null,
  ): PlacedTask => ({
    ...{ task, state, untilMs, record: null, problems: [], dry: null, blockedBy: null },
    ...{ again: null, after: null },
  });
  const at = (...tasks: PlacedTask[]) => {
    const found = earliestPour(tasks, NOW, ROOM);
    return found && [(found.atMs - NOW) / HOUR, found.by.step];
  };
  const drying = { labelS: 7200, thicknessM: 1e-4, leaves: 'solvent' } as const;
  it('is decided by what waits, dries or will dry, and by the last of them', () => {
    expect(at()).toBeNull();
    expect(at(placed(step('sand'), 'open'))).toBeNull();
    expect(at(placed(step('sand'), 'waiting', NOW + 3 * HOUR))).toEqual([3, 'sand']);
    expect(at(placed(step('sand'), 'waiting', NOW - HOUR))).toBeNull();
    expect(at(placed(step('sand'), 'waiting'))).toBeNull();
    // Only what waits has an instant of its own to wait for.
    expect(at(placed(step('sand'), 'blocked', NOW + 3 * HOUR))).toBeNull();
    expect(at(placed(step('seal'), 'drying', NOW + 2 * HOUR))).toEqual([2, 'seal']);
    expect(at(placed(step('seal', { needed: false }), 'drying', NOW + 2 * HOUR))).toEqual([
      2,
      'seal',
    ]);
    expect(at(placed(step('seal', { needed: false }), 'waiting', NOW + 2 * HOUR))).toBeNull();
    expect(at(placed(step('seal', { drying }), 'open'))).toEqual([2, 'seal']);
    expect(at(placed(step('seal', { drying: { ...drying, labelS: 0 } }), 'open'))).toBeNull();
    expect(at(placed(step('seal', { drying }), 'done'))).toBeNull();
  });
  it('runs along what depends on what: the longer wait, and drying after it', () => {
    const sand = placed(step('sand'), 'waiting', NOW + 3 * HOUR);
    const mask = (state: PlacedTask['state'], untilMs: number | null = null) =>
      placed(step('mask'), state, untilMs);
    expect(at(sand, mask('blocked'))).toEqual([3, 'sand']);
    expect(at(sand, mask('waiting', NOW + HOUR))).toEqual([3, 'sand']);
    expect(at(sand, mask('waiting', NOW + 4 * HOUR))).toEqual([4, 'mask']);
    expect(at(sand, placed(step('mask', { drying }), 'blocked'))).toEqual([5, 'mask']);
    // On another ground they run side by side.
    expect(at(sand, placed(step('mask', { drying, areaIds: ['other'] }), 'open'))).toEqual([
      3,
      'sand',
    ]);
  });
});

describe('to the instant: what spoils a step that was done', () => {
  const done = (task: PrepTask, hours: number) => ({ task, doneMs: NOW - hours * HOUR });
  const why = (
    task: PrepTask,
    hours: number,
    others: ReturnType<typeof done>[] = [],
    change: Partial<AgainFacts> = {},
  ) => againOf(done(task, hours), others, { nowMs: NOW, coats: [], ...change })?.why ?? null;
  it('a pour after it, of another coat, on its ground', () => {
    const pour = (hours: number, change: Parameters<typeof coat>[0] = {}) => ({
      coats: [coat({ id: 'lower', poured: pouredAgo(hours), ...change })],
    });
    expect(why(step('sand'), 2, [], pour(1))).toBe('poured since');
    expect(why(step('sand'), 2, [], pour(2))).toBeNull();
    expect(why(step('sand'), 2, [], pour(1, { id: 'flood' }))).toBeNull();
    expect(why(step('sand'), 2, [], pour(1, { areaIds: ['other'] }))).toBeNull();
    expect(why(step('sand'), 2, [], pour(1, { areaIds: ['other', 'face'] }))).toBe('poured since');
    expect(why(step('mask'), 2, [], pour(1))).toBeNull();
    expect(why(step('sand'), 2, [], { coats: [coat({ id: 'lower' })] })).toBeNull();
  });
  it('a repair on its ground, a turn', () => {
    const repaired = (hours: number, areaIds = ['face']) => ({
      repaired: [{ kind: 'scorch' as const, areaIds, atMs: NOW - hours * HOUR }],
    });
    expect(why(step('mask'), 2, [], repaired(1))).toBe('repaired since');
    expect(why(step('mask'), 2, [], repaired(2))).toBeNull();
    expect(why(step('mask'), 2, [], repaired(1, ['other', 'face']))).toBe('repaired since');
    expect(why(step('mask'), 2, [], repaired(1, ['other']))).toBeNull();
    expect(why(step('seal'), 2, [], repaired(1))).toBeNull();
    expect(why(step('props'), 2, [], { turnedMs: NOW - HOUR })).toBe('turned since');
    expect(why(step('props'), 2, [], { turnedMs: NOW - 2 * HOUR })).toBeNull();
    expect(why(step('props'), 2, [], { turnedMs: null })).toBeNull();
    expect(why(step('mask'), 2, [], { turnedMs: NOW - HOUR })).toBeNull();
  });
  it('time: four hours for a wipe, a day under a cover that came while it held', () => {
    const cover = (hours: number, change: Partial<TaskDraft> = {}) =>
      done(step('cover', { rule: 'covered', ...change }), hours);
    expect([why(step('wipe'), 4), why(step('wipe'), 4.01)]).toEqual([null, 'too long ago']);
    expect([why(step('wipe'), 23, [cover(19)]), why(step('wipe'), 24.1, [cover(24)])]).toEqual([
      null,
      'too long ago',
    ]);
    expect(why(step('wipe'), 23, [cover(18.9)])).toBe('too long ago');
    expect(why(step('wipe'), 5, [cover(5)])).toBeNull();
    expect(why(step('wipe'), 5, [cover(5.1)])).toBe('too long ago');
    expect(why(step('wipe'), 5, [cover(4, { coatId: 'other' })])).toBe('too long ago');
    expect(why(step('level'), 25, [cover(24.5)])).toBe('too long ago');
    expect(why(step('seal'), 900)).toBeNull();
  });
});

describe('steps that stand ready', () => {
  it('hold the coat or the end, and dry as long as their label says', () => {
    expect(READY_STEPS.map((s) => [s.at, s.labelS / 3600, s.needed])).toEqual([
      ['next', 2, true],
      ['last', 24, true],
      ['last', 24, true],
      ['last', 24, true],
      ['last', 0, true],
      ['next', 0, true],
    ]);
  });
});
