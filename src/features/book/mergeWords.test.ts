import type { UnitPreview } from '@/data/exchange/bundle';
import { mergeSummary, unitWords } from './mergeWords';

const unit = (more: Partial<UnitPreview>): UnitPreview => ({
  ...{ unit: 'piece:p', kind: 'piece', id: 'p', name: 'Sill', startedMs: null },
  ...{ fate: 'theirs', rows: [] },
  ...more,
});

describe('what a bundle would do, in words', () => {
  it('names the unit and its rows, one and several', () => {
    const words = unitWords(
      unit({
        fate: 'both',
        rows: [
          { table: 'pieces', fate: 'both', count: 1 },
          { table: 'coats', fate: 'theirs', count: 2 },
          { table: 'tasks', fate: 'gone', count: 1 },
        ],
      }),
    );
    expect(words.title).toBe('Sill (piece)');
    expect(words.fate).toBe('changed on both sides');
    expect(words.details).toBe(
      'its facts changed on both sides, 2 coats changed there, 1 step removed there',
    );
  });
  it('a session is called by its start, settings by what they are', () => {
    const session = unit({
      kind: 'session',
      name: '',
      startedMs: new Date(2026, 10, 24, 9).getTime(),
    });
    expect(unitWords(session).title).toBe('24 Nov 2026, 09:00 (wet session)');
    expect(unitWords(unit({ kind: 'settings', name: '' })).title).toBe('settings of the shop');
  });
  it('sums up what comes, and says nothing of what does not', () => {
    const units = [unit({ fate: 'new' }), unit({ fate: 'same' }), unit({ fate: 'both' })];
    expect(mergeSummary(units, 1)).toBe(
      '1 new, 1 to be decided, 1 as they are here; one entry for the log.',
    );
    expect(mergeSummary([unit({ fate: 'together' })], 4)).toBe(
      '1 brought up to date; 4 entries for the log.',
    );
  });
});
