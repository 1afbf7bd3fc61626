import { METRIC } from '../test/shop';
import { EMPTY_LOT, readLot } from './lot';

const read = (change: Partial<typeof EMPTY_LOT>) => readLot({ ...EMPTY_LOT, ...change }, METRIC);

describe('new bottles', () => {
  it('need a lot number only; what is empty is not told, and they are sealed', () => {
    expect(read({ name: ' M-7 ' })).toEqual({
      ok: true,
      value: {
        ...{ name: 'M-7', openedMs: null, emptyMs: null },
        ...{ bestBeforeMs: null, fullAKg: null, fullBKg: null },
      },
    });
  });
  it('take a day and weights as a hand writes them', () => {
    const told = read({ name: 'M-7', bestBefore: '24 Dec 2026', fullA: '2.3 kg', fullB: '1960' });
    expect(told).toMatchObject({
      value: { bestBeforeMs: new Date(2026, 11, 24).getTime(), fullAKg: 2.3, fullBKg: 1.96 },
    });
  });
  it.each([
    [{}, ['name']],
    [{ name: 'M', bestBefore: 'soon' }, ['bestBefore']],
    [{ name: 'M', fullA: '-2 kg', fullB: 'full' }, ['fullA', 'fullB']],
  ])('%j: %j is named', (change, fields) => {
    const told = read(change);
    expect(told.ok ? [] : Object.keys(told.errors).sort()).toEqual(fields);
  });
});
