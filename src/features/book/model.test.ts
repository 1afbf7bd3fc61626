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
  it('tells what was done at the bench, each with how it became known', () => {
    const [any] = entries.log;
    if (!any) throw new Error('no log');
    const said = (kind: LogEntry['kind'], figures: LogEntry['figures']) => {
      const entry = { ...any, kind, text: '', figures };
      return plain(entryWords({ entry, piece: '', coat: 'Flood 2', undone: false }, METRIC));
    };
    expect(said('cup weighed', { cupKg: 0.4123, by: 'simulated scale', usedKg: 0.0382 })).toBe(
      'Flood 2 · cup 412.3 g · used since 38.2 g · simulated scale',
    );
    expect(said('cup cut', { cupKg: 0.02, by: 'assumed', colour: 'teal' })).toBe(
      'Flood 2 · cup 20.0 g · teal · assumed',
    );
    expect(said('left', { stood: 'poured', coverNotTold: 'Flood 1' })).toContain(
      'stood: poured · not told when covered: Flood 1',
    );
    expect(
      said('session started', { batches: 2, atHand: 'covers', notAtHand: 'gloves' }),
    ).toContain('batches 2 · at hand: covers · not at hand: gloves');
    expect(said('defect tested', { test: 'washes off with water', answer: 'no' })).toBe(
      'Flood 2 · asked whether it washes off · no',
    );
    expect(said('defect noted', { count: 7, sizeM: 6e-3, depthM: 3e-4 })).toBe(
      'Flood 2 · spots 7 · width of one 6 mm · depth 0.30 mm',
    );
    expect(said('readings added', { count: 74, twice: 3 })).toBe(
      'Flood 2 · readings 74 · there already 3',
    );
    expect(said('list kept', { steps: 4 })).toBe('Flood 2 · steps 4');
    expect(said('layer planned', { greatestM: 2e-3 })).toBe('Flood 2 · at most 2.00 mm');
  });
  it('names a piece once: it stands beside its entries', () => {
    const [any] = entries.log;
    if (!any) throw new Error('no log');
    const entry = { ...any, kind: 'piece added' as const, text: 'Lagoon tile', figures: {} };
    const said = (piece: string) => entryWords({ entry, piece, coat: '', undone: false }, METRIC);
    expect(said('Lagoon tile')).toBe('');
    expect(said('Lagoon tile 2')).toBe('Lagoon tile');
  });
  it('tells when something was done or read, where that was before it was written down', () => {
    const atMs = new Date(2026, 10, 24, 12, 36).getTime();
    const said = (kind: LogEntry['kind'], figures: LogEntry['figures']) => {
      const [any] = entries.log;
      if (!any) throw new Error('no log');
      const entry = { ...any, atMs, kind, text: 'Wipe', figures };
      return plain(entryWords({ entry, piece: '', coat: '', undone: false }, METRIC));
    };
    expect(said('prep done', { doneMs: atMs - 59_000 })).toBe('Wipe');
    expect(said('prep done', { doneMs: atMs - 60_000 })).toBe('Wipe · done 12:35');
    expect(said('prep done', { doneMs: atMs - 86_400_000 })).toBe('Wipe · done Mon 12:36');
    expect(said('air noted', { fromMs: atMs - 1_800_000, surfaceK: 291.15 })).toBe(
      'Wipe · read 12:06 · surface 18.0 °C',
    );
  });
});
