import { demoView, METRIC, plain, US } from '../test/shop';
import { entryWords, filterLog } from './model';
import { asId, type LogEntry } from '@/records';

const shop = demoView();

describe('book', () => {
  const entries = demoView() as unknown as { log: LogEntry[] };
  it('finds entries by all words of the search, in any field', () => {
    const found = filterLog(entries.log, shop, 'viaduct flood poured');
    expect(found.map((f) => f.entry.kind)).toEqual(['poured']);
    expect(filterLog(entries.log, shop, '').length).toBe(entries.log.length);
    expect(filterLog(entries.log, shop, 'zeppelin')).toEqual([]);
  });
  it('marks an undone entry and writes figures in the shop’s units', () => {
    const [first] = entries.log.filter((e) => e.kind === 'poured');
    if (!first) throw new Error('no entry');
    const undo: LogEntry = { ...first, id: asId('undo'), kind: 'undone', aboutId: first.id };
    const [named] = filterLog([first, undo], shop, '');
    expect(named?.undone).toBe(true);
    if (named) {
      expect(plain(entryWords(named, METRIC))).toBe('Seal · film 0.15 mm · room 21.0 °C');
      expect(plain(entryWords(named, US))).toBe('Seal · film 5.9 mil · room 69.8 °F');
    }
  });
});
