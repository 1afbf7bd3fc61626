import { asId, type Defect } from '@/records';
import { unfinished, type LeavingRows } from './leaving';
import {
  aBatch,
  acts,
  aDefect,
  aMask,
  at,
  aTask,
  benchShop,
  HOUR,
  plannedCoat,
} from './test/bench';

/** A day later, by the sheet at 22 °C: it bears handling after 18 h, and is not cured yet. */
const DAY = at(2) + 24 * HOUR;
const rows = (change: Partial<LeavingRows> = {}): LeavingRows => ({ ...benchShop(), ...change });
const kept = (change: Partial<LeavingRows>, nowMs = DAY) =>
  unfinished(rows(change), nowMs).map((u) => u.is);

describe('what keeps a piece from leaving', () => {
  it('nothing, once what lies on it bears handling', () => {
    expect(kept({})).toEqual([]);
    expect(unfinished(rows(), at(2) + 17 * HOUR)).toMatchObject([{ is: 'cures' }]);
    const [cures] = unfinished(rows(), at(2) + 17 * HOUR);
    expect(cures?.is === 'cures' ? cures.fromMs : null).toBeCloseTo(at(2) + 18 * HOUR, -3);
    expect(kept({}, at(2) + 18.01 * HOUR)).toEqual([]);
  });
  it('a coat that is planned, one in a session, one whose batch is gone', () => {
    const planned = plannedCoat('next', 2);
    expect(kept({ coats: [planned] })).toEqual(['coat open']);
    const begun = { ...planned, batchId: asId<'batch'>('batch') };
    const events = acts([0, { is: 'weighed A', kg: 0.2, by: 'read' }]);
    expect(kept({ coats: [begun], batches: [aBatch('batch', ['next'], { events })] })).toEqual([
      'in a session',
    ]);
    expect(kept({ coats: [begun], batches: [] })).toEqual(['in a session']);
  });
  it('a mask of one of its coats that is still on', () => {
    const on = aMask();
    const off = aTask('unmask', { doneMs: at(60), key: 'unmask:flood.face' });
    expect(kept({ tasks: [on] })).toEqual(['mask on']);
    expect(kept({ tasks: [on], coats: [] })).toEqual([]);
    expect(kept({ tasks: [on, off] })).toEqual([]);
    // Taken off before this one was laid: that was another.
    expect(kept({ tasks: [on, { ...off, doneMs: at(-31) }] })).toEqual(['mask on']);
  });
  it('a finding that is not closed', () => {
    const kinds = (change: Partial<Defect>) => kept({ defects: [aDefect('d', change)] });
    expect(kinds({})).toEqual(['finding open']);
    expect(kinds({ repairedMs: at(99) })).toEqual([]);
    const rescue = { kind: 'polish', chosenMs: 0, coatIds: [], taskIds: [] } as const;
    expect(kinds({ rescue, repairedMs: at(99) })).toEqual(['finding open']);
  });
});
