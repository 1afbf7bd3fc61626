import { shopDates } from './calendar';
import type { Shop } from './shop';
import { aCoat, aMask, at, AT_22, benchShop, HOUR } from './test/bench';
import { plainPiece } from './test/rows';

const START = at(2);
const dates = (hours: number, change: Partial<Shop> = {}) =>
  shopDates(benchShop(change, AT_22), START + hours * HOUR);
const hoursOf = (ms: number) => Math.round((ms - START) / 36_000) / 100;

describe('dates that the shop knows of', () => {
  it('of a coat: its recoat window with a warning, handling, warm load, cure, in order', () => {
    const listed = dates(1);
    // The sheet at its own 22 °C: 9 to 14 h, 18, 72, 120 h.
    const recoat = listed.find((d) => d.kind === 'recoat');
    expect([hoursOf(recoat?.startMs ?? 0), hoursOf(recoat?.endMs ?? 0)]).toEqual([9, 14]);
    expect(recoat).toMatchObject({ uid: 'flood-recoat', of: 'flood', piece: 'piece', warnS: 2700 });
    const instants = listed.filter((d) => d.startMs === d.endMs && d.of === 'flood');
    expect(instants.map((d) => [d.kind, hoursOf(d.startMs), d.warnS])).toEqual([
      ['handle', 18, null],
      ['warm load', 72, null],
    ]);
    const cured = listed.find((d) => d.kind === 'fully cured');
    expect(hoursOf(cured?.startMs ?? 0)).toBe(120);
    expect(listed.map((d) => d.startMs)).toEqual(
      [...listed.map((d) => d.startMs)].sort((a, b) => a - b),
    );
  });
  it('a window stays until it is over; what is past is not told', () => {
    expect(dates(13.9).map((d) => d.kind)).toContain('recoat');
    expect(dates(14.1).map((d) => d.kind)).not.toContain('recoat');
    expect(dates(18.1).map((d) => d.kind)).not.toContain('handle');
    expect(dates(121)).toEqual([]);
  });
  it('only what lies on top has windows', () => {
    const over = aCoat('second', 2, { mixedMs: START + 10 * HOUR, pouredMs: START + 10.1 * HOUR });
    const listed = dates(11, { coats: [aCoat('flood', 1), over] });
    expect(listed.filter((d) => d.kind === 'recoat').map((d) => d.of)).toEqual(['second']);
  });
  it('a mask from when it comes off best to its limit, a step that dries, the day it is due', () => {
    const mask = aMask();
    const listed = dates(1, {
      tasks: [mask],
      pieces: [plainPiece('piece', { job: 'Hall', dueMs: START + 300 * HOUR })],
    });
    expect(listed.find((d) => d.kind === 'mask')).toMatchObject({ warnS: 2700, of: '' });
    expect(listed.at(-1)).toMatchObject({ kind: 'due', uid: 'piece-due', of: 'Hall', warnS: null });
    expect(hoursOf(listed.at(-1)?.startMs ?? 0)).toBe(300);
  });
  it('nothing farther off than a year, nothing of a piece that has left', () => {
    const due = (days: number) =>
      dates(200, { pieces: [plainPiece('piece', { dueMs: START + (200 + days * 24) * HOUR })] });
    expect(due(365.9)).toHaveLength(1);
    expect(due(366.1)).toEqual([]);
    expect(dates(1, { pieces: [plainPiece('piece', { closedMs: START })] })).toEqual([]);
  });
});
