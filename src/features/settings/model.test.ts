import { benchSettings } from '@/data/repos/bench';
import { parseTimeOfDay, draftOfSettings, readSettings } from './model';
import { DEFAULT_SETTINGS } from '@/records';
import { METRIC } from '../test/shop';

describe('settings form', () => {
  const draft = draftOfSettings(DEFAULT_SETTINGS);
  it('writes and reads the same settings', () => {
    // When the shop was last saved, its sensor and what is chosen at the bench are noted by acts of their own.
    const own = ['lastBackupMs', 'sensor', ...Object.keys(benchSettings(DEFAULT_SETTINGS))];
    const told = Object.fromEntries(
      Object.entries(DEFAULT_SETTINGS).filter(([name]) => !own.includes(name)),
    );
    expect(readSettings(draft, METRIC)).toEqual({
      ok: true,
      value: told,
    });
  });
  it.each([
    ['7:30', 450],
    ['07.05', 425],
    ['7', 420],
    ['24:00', 1440],
    ['24:01', null],
    ['7:60', null],
    ['noon', null],
    ['', null],
  ])('time of day %p', (text, minutes) => expect(parseTimeOfDay(text)).toBe(minutes));
  it('closing must be later than opening', () => {
    expect(readSettings({ ...draft, opens: '18:30', closes: '18:30' }, METRIC)).toMatchObject({
      ok: false,
      errors: { closes: 'Must be later than it opens.' },
    });
  });
});
