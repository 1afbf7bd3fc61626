import { allNow, placeTasks, planPrep, type PrepFacts, type TaskRecord } from '.';
import { area, coat, damage, facts, HOUR, NOW, ownNote, pouredAgo, surface } from './test/facts';

const ROOM = [{ fromMs: 0, temperatureK: 295.15, humidity: 0.5 }];
const placed = (of: PrepFacts, records: readonly TaskRecord[] = []) =>
  placeTasks(of, planPrep(of), records, ROOM).tasks;
const rules = (of: PrepFacts) => allNow(placed(of)).map((t) => t.task.rule);
/** Needed steps as if they were done an hour ago, or so many. */
const records = (of: PrepFacts, hours: Readonly<Record<string, number>>): TaskRecord[] =>
  planPrep(of).flatMap(({ key, rule, title, coatId, scope }) => {
    const ago = hours[rule];
    const base = { key, rule, title, coatId, scope, reason: '', result: null, order: null };
    return ago === undefined ? [] : [{ ...base, state: 'done', doneMs: NOW - ago * HOUR }];
  });

describe('steps that can be noted together', () => {
  it('are those that wait for each other only', () => {
    expect(rules(facts({ slope: null }))).toEqual(
      expect.arrayContaining(['mask', 'props', 'level', 'wipe', 'warm air', 'cover']),
    );
  });
  it('what has to dry lets nothing after it through', () => {
    const oak = facts({ slope: null, areas: [area({ porosity: 'porous' })] });
    expect(rules(oak)).toContain('seal');
    for (const rule of ['mask', 'level', 'lint']) expect(rules(oak)).not.toContain(rule);
  });
  it('what is done holds nothing up; what is done and still dries does', () => {
    const of = facts({ slope: null });
    const after = allNow(placed(of, records(of, { mask: 1 }))).map((t) => t.task.rule);
    expect(after).toEqual(expect.arrayContaining(['level', 'wipe']));
    expect(after).not.toContain('mask');
    const gap = facts({ slope: null, areas: [area(damage('gap at the rim'))] });
    const noted = (hours: number) =>
      allNow(placed(gap, records(gap, { 'rim gap': hours }))).map((t) => t.task.rule);
    expect(noted(1)).not.toContain('mask');
    expect(noted(25)).toContain('mask');
  });
  it('a result, a turn, a repair and a reading are asked one by one', () => {
    const ink = facts({ areas: [area(surface('ink'))] });
    expect(rules(ink)).not.toContain('rub test');
    const back = facts({ areas: [area({ kind: 'back' })] });
    expect(rules(back)).not.toContain('turn');
    expect(rules(back)).not.toContain('wipe');
    expect(rules(facts({ slope: 1 }))).not.toContain('level');
  });
});

describe('what was cleaned and waits', () => {
  const of = facts({ slope: null });
  const wipe = (hours: Readonly<Record<string, number>>) =>
    placed(of, records(of, hours)).find((t) => t.task.rule === 'wipe')?.state;
  it('holds four hours in the open, and a day once the cover is on', () => {
    expect(wipe({ mask: 9, level: 8, wipe: 5 })).toBe('redo');
    expect(wipe({ mask: 9, level: 8, wipe: 5, covered: 4.5 })).toBe('done');
    expect(wipe({ mask: 23.4, level: 23.3, wipe: 23.2, covered: 23 })).toBe('done');
    expect(wipe({ mask: 26, level: 23, wipe: 25, covered: 24.9 })).toBe('redo');
    // The cover came five hours after the wipe: too late.
    expect(wipe({ mask: 9, level: 8, wipe: 7, covered: 2 })).toBe('redo');
  });
  it('the cover is asked for only once something is clean', () => {
    const asked = (hours: Readonly<Record<string, number>>) =>
      placed(of, records(of, hours)).some((t) => t.task.rule === 'covered');
    expect([asked({}), asked({ mask: 2, level: 1, wipe: 0.5 })]).toEqual([false, true]);
  });
});

describe('steps of one’s own', () => {
  const two = [coat({ poured: null }), coat({ id: 'second', name: 'Flood 2', order: 2 })];
  const own = (...steps: Parameters<typeof ownNote>[0][]) =>
    placed(facts({ coats: two, own: steps.map((s, i) => ownNote({ key: `k${i}`, ...s })) })).filter(
      (t) => t.task.rule === 'own note',
    );
  it('stand before their coat, or after the last, in the order they were added', () => {
    const steps = own(
      { title: 'Third', turn: 2 },
      { title: 'First', turn: 0 },
      { title: 'Rim', on: { at: 'coat', coatId: 'second' }, turn: 1 },
      { title: 'Oil', on: { at: 'last' }, turn: 3 },
    );
    expect(steps.map((t) => [t.task.title, t.task.coatId])).toEqual([
      ['First', 'flood'],
      ['Third', 'flood'],
      ['Rim', 'second'],
      ['Oil', null],
    ]);
    expect(steps.at(-1)).toMatchObject({ state: 'later', after: 'Flood 2' });
  });
  it('are not lost with their coat, and not asked again once it lies', () => {
    expect(own({ on: { at: 'coat', coatId: 'gone' } })).toMatchObject([
      { task: { coatId: 'flood' } },
    ]);
    const lies = facts({
      coats: [coat({ poured: pouredAgo(30) })],
      own: [ownNote({ on: { at: 'coat', coatId: 'flood' } })],
    });
    expect(placed(lies).some((t) => t.task.rule === 'own note')).toBe(false);
  });
});
