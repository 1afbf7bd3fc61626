import {
  holdsBack,
  placeTasks,
  planPrep,
  type PlacedTask,
  type PrepFacts,
  type TaskRecord,
} from '.';
import { mustPrecede } from './order';
import { coatOrder } from './planPrep';
import { orderTasks } from './taskStates';
import { area, coat, damage, facts, HOUR, NOW, pouredAgo, surface } from './test/facts';

const ROOM = [{ fromMs: 0, temperatureK: 295.15, humidity: 0.5 }];
const second = coat({ id: 'second', name: 'Flood 2', order: 2 });
const hardCoat = facts({ coats: [coat({ id: 'first', poured: pouredAgo(30) }), second] });

function record(of: PrepFacts, rule: string, change: Partial<TaskRecord> = {}): TaskRecord {
  const task = planPrep(of).find((t) => t.rule === rule);
  if (!task) throw new Error(`no task ${rule}`);
  const { key, title, coatId, scope } = task;
  const base = { key, rule, title, coatId, scope, reason: '', result: null, order: null };
  return { ...base, state: 'done', doneMs: NOW - HOUR, ...change };
}
const placed = (of: PrepFacts, records: readonly TaskRecord[], air = ROOM) =>
  placeTasks(of, planPrep(of), records, air);
function only(of: PrepFacts, rule: string, records: readonly TaskRecord[], air = ROOM): PlacedTask {
  const found = placed(of, records, air).tasks.find((t) => t.task.rule === rule);
  if (!found) throw new Error(`no task ${rule}`);
  return found;
}

describe('states of a task', () => {
  const gap = facts({ areas: [area(damage('gap at the rim'))] });
  it('open, then drying with its clock, then done', () => {
    expect(only(gap, 'rim gap', []).state).toBe('open');
    const wet = only(gap, 'rim gap', [record(gap, 'rim gap')]);
    expect(wet).toMatchObject({ state: 'drying', untilMs: NOW + 23 * HOUR });
    expect(wet.dry?.latestMs).toBeGreaterThan(wet.dry?.dryMs ?? Infinity);
    expect(only(gap, 'rim gap', [record(gap, 'rim gap', { doneMs: NOW - 25 * HOUR })]).state).toBe(
      'done',
    );
  });
  it('what comes after it on the same ground is blocked until it is dry', () => {
    const mask = only(gap, 'mask', [record(gap, 'rim gap')]);
    expect(mask).toMatchObject({ state: 'blocked', untilMs: NOW + 23 * HOUR });
    expect(mask.blockedBy?.rule).toBe('rim gap');
    // A step that is needed first blocks without a clock, too.
    expect(only(gap, 'mask', [])).toMatchObject({ state: 'blocked', untilMs: null });
  });
  it('what is for an upper coat comes after the one below it on the same areas', () => {
    const two = facts({ coats: [coat(), second] });
    const masks = placed(two, []).tasks.filter((t) => t.task.rule === 'mask');
    expect(masks.map((t) => [t.state, t.after])).toEqual([
      ['open', null],
      ['later', 'Flood 1'],
    ]);
    const apart = facts({
      areas: [area(), area({ id: 'back', kind: 'back' })],
      coats: [coat(), { ...second, areaIds: ['back'] }],
    });
    const states = placed(apart, []).tasks.filter((t) => t.task.rule === 'mask');
    // The back is turned up for it when the coat of the face is poured: the two are never ready together.
    expect(states.map((t) => [t.state, t.blockedBy?.rule])).toEqual([
      ['open', undefined],
      ['blocked', 'turn'],
    ]);
  });
  it('in air that takes no water it never dries, and that is said', () => {
    const soaked = [{ fromMs: 0, temperatureK: 295.15, humidity: 1 }];
    const wet = only(gap, 'rim gap', [record(gap, 'rim gap')], soaked);
    expect(wet).toMatchObject({ state: 'drying', untilMs: Infinity });
    expect(wet.problems).toContain('air does not dry');
  });
  it('a tear goes stage by stage, each with its clock, and a stage done too soon does not count', () => {
    const torn = facts({ support: 'canvas', areas: [area(damage('tear'))] });
    const states = (...done: [string, number][]) =>
      placed(
        torn,
        done.map(([rule, hours]) => record(torn, rule, { doneMs: NOW - hours * HOUR })),
      )
        .tasks.filter((p) => p.task.rule.startsWith('tear'))
        .map((p) => p.state);
    expect(states()).toEqual(['open', 'blocked', 'blocked', 'blocked']);
    expect(states(['tear', 1])).toEqual(['done', 'open', 'blocked', 'blocked']);
    expect(states(['tear', 2], ['tear wet', 1])).toEqual(['done', 'drying', 'blocked', 'blocked']);
    // Two hours at the label’s air.
    expect(states(['tear', 4], ['tear wet', 3])).toEqual(['done', 'done', 'open', 'blocked']);
    expect(states(['tear', 40], ['tear wet', 39], ['tear base', 30])).toEqual([
      ...['done', 'done', 'done', 'open'],
    ]);
    // The base went on before the cloth was pulled together.
    expect(states(['tear', 1], ['tear base', 30])).toEqual(['done', 'open', 'blocked', 'blocked']);
  });
  it('done in the future is not done, and is said', () => {
    const ahead = only(gap, 'rim gap', [record(gap, 'rim gap', { doneMs: NOW + HOUR })]);
    expect(ahead).toMatchObject({ state: 'open', problems: ['done in the future'] });
  });
  it('waived stays waived, sanding is skipped inside the window, waiting before it opens', () => {
    const reason = { state: 'waived', reason: 'no fault to see' } as const;
    expect(only(hardCoat, 'tooth', [record(hardCoat, 'tooth', reason)]).state).toBe('waived');
    // Whatever is still open before it.
    expect(only(gap, 'mask', [record(gap, 'mask', reason)]).state).toBe('waived');
    const within = facts({ coats: [coat({ id: 'first', poured: pouredAgo(10) }), second] });
    expect(only(within, 'tooth', [])).toMatchObject({
      state: 'skipped',
      untilMs: NOW + 4 * HOUR,
    });
    const early = facts({ coats: [coat({ id: 'first', poured: pouredAgo(6) }), second] });
    expect(only(early, 'tooth', [])).toMatchObject({ state: 'waiting', untilMs: NOW + 3 * HOUR });
  });
  it('is to be done again when its areas or edges grew, not when they shrank', () => {
    const masked = (of: PrepFacts) => record(of, 'mask', { doneMs: NOW - 2 * HOUR });
    const wiped = record(facts(), 'wipe');
    const more = facts({
      areas: [area(), area({ id: 'dial', kind: 'recess' })],
      coats: [coat({ areaIds: ['face', 'dial'] })],
    });
    expect(only(more, 'wipe', [masked(more), wiped])).toMatchObject({
      state: 'redo',
      again: { why: 'grown' },
    });
    const both = record(more, 'wipe');
    expect(only(facts(), 'wipe', [masked(facts()), both]).state).toBe('done');
    const narrow = record(facts({ areas: [area({}, ['open', 'doming'])] }), 'mask');
    expect(only(facts(), 'mask', [narrow]).state).toBe('redo');
  });
  it('is to be done again when the rub test took colour off', () => {
    const ink = facts({ areas: [area(surface('ink'))] });
    const fixed = record(ink, 'fix art', { doneMs: NOW - 9 * HOUR });
    const failed = record(ink, 'rub test', { result: 'colour comes off' });
    expect(only(ink, 'rub test', [fixed, failed]).state).toBe('redo');
    const after = { ...ink, rubFailed: ['face'] };
    const sprayed = record(ink, 'fix art', { doneMs: NOW - 9 * HOUR });
    expect(only(after, 'fix art', [sprayed])).toMatchObject({
      state: 'redo',
      problems: ['colour came off'],
    });
    const clean = record(ink, 'rub test', { result: 'clean' });
    expect(only(ink, 'rub test', [fixed, clean]).state).toBe('done');
  });
});

describe('nothing that was done is dropped', () => {
  it('what the survey no longer asks for is kept apart', () => {
    const torn = facts({ areas: [area(damage('tear'))] });
    const mended = record(torn, 'tear', { state: 'done' });
    expect(placed(facts(), [mended]).kept).toEqual([mended]);
    expect(placed(torn, [mended]).kept).toEqual([]);
    expect(placed(facts(), [{ ...mended, state: 'open', doneMs: null }]).kept).toEqual([]);
  });
});

describe('the gate', () => {
  const settle = (of: PrepFacts, except: readonly string[] = []) =>
    planPrep(of)
      .filter((t) => t.needed && !except.includes(t.rule))
      .map((t) => record(of, t.rule));
  const holds = (of: PrepFacts, records: readonly TaskRecord[], coatId: string) =>
    holdsBack(of, placed(of, records), coatId).map((t) => t.task.rule);
  it('holds a coat back for each needed step, and for those of coats below it', () => {
    expect(holds(facts(), settle(facts()), 'flood')).toEqual([]);
    expect(holds(facts(), settle(facts(), ['wipe']), 'flood')).toEqual(['wipe']);
    const two = facts({ coats: [coat(), second] });
    expect(holds(two, [], 'second').length).toBeGreaterThan(holds(two, [], 'flood').length);
  });
  it('advice does not hold it back; a waiver lets it go', () => {
    const [wipe] = settle(facts()).filter((r) => r.rule === 'wipe');
    const rest = settle(facts(), ['wipe']);
    const waived = { ...wipe!, state: 'waived', reason: 'wiped at the shop' } as const;
    expect(holds(facts(), [...rest, waived], 'flood')).toEqual([]);
    expect(planPrep(facts()).filter((t) => !t.needed).length).toBeGreaterThan(0);
  });
  it('a layer that is still drying holds it back', () => {
    const painted = facts({ areas: [area(surface('painted'))] });
    // What was laid on the wet paint is held with it.
    expect(holds(painted, settle(painted), 'flood')).toEqual(['dry paint', 'mask', 'lint']);
  });
});

describe('the order of the work', () => {
  const of = facts({ areas: [area({ porosity: 'porous' }), area({ id: 'back', kind: 'back' })] });
  const tasks = planPrep({ ...of, coats: [coat({ areaIds: ['face', 'back'] })] });
  const orderOf = coatOrder([coat()]);
  const precedes = (a: (typeof tasks)[number], b: (typeof tasks)[number]) =>
    mustPrecede(a, b, orderOf);
  it('a task moved to the front comes first among those that may', () => {
    const masks = tasks.filter((t) => t.rule === 'mask');
    const back = masks.find((t) => t.areaIds[0] === 'back');
    const ordered = orderTasks(tasks, (t) => (t === back ? -1 : null), precedes);
    // The back needs no sealing: its mask is free to go first; that of the face is not.
    expect(ordered[0]).toBe(back);
    const face = masks.find((t) => t.areaIds[0] === 'face');
    const wanted = orderTasks(tasks, (t) => (t === face ? -1 : null), precedes);
    expect(wanted.findIndex((t) => t === face)).toBeGreaterThan(
      wanted.findIndex((t) => t.rule === 'seal'),
    );
  });
  it('every order keeps what must come first', () => {
    for (let shift = 1; shift < tasks.length; shift += 1) {
      const ordered = orderTasks(tasks, (t) => (tasks.indexOf(t) * shift) % tasks.length, precedes);
      expect(new Set(ordered).size).toBe(tasks.length);
      for (const [i, t] of ordered.entries())
        for (const before of ordered.slice(i + 1)) expect(precedes(before, t)).toBe(false);
    }
  });
  it('a record with a place moves its task', () => {
    const plain = placed(of, []).tasks.map((t) => t.task.rule);
    const moved = record(of, 'cover', { state: 'open', doneMs: null, order: -1 });
    const after = placed(of, [moved]).tasks.map((t) => t.task.rule);
    expect([...after].sort()).toEqual([...plain].sort());
    expect(after.indexOf('cover')).toBeLessThan(plain.indexOf('cover'));
  });
});
