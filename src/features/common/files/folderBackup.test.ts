import { demoView, NOW } from '@/features/test/shop';
import { changedWork, dayFile, EVERY_MS, QUIET_MS, waitFor } from './folderBackup';

const HOUR = 3_600_000;

describe('backups by themselves', () => {
  it('wait for a quiet moment, and an hour after the one before', () => {
    expect(waitFor(null, NOW)).toBe(QUIET_MS);
    expect(waitFor(NOW - EVERY_MS, NOW)).toBe(QUIET_MS);
    expect(waitFor(NOW - 0.25 * HOUR, NOW)).toBe(0.75 * HOUR);
    // A clock that was set back does not put them off for ever more than it was set back.
    expect(waitFor(NOW + HOUR, NOW)).toBe(2 * HOUR);
  });
  it('are for work: settings alone, the time of the last backup among them, are none', () => {
    const shop = demoView();
    expect(changedWork(null, shop)).toBe(true);
    expect(changedWork(shop, { ...shop, settings: { ...shop.settings, lastBackupMs: NOW } })).toBe(
      false,
    );
    expect(changedWork(shop, { ...shop, tasks: [...shop.tasks] })).toBe(true);
  });
  it('go into one file a day, by the day of the shop', () => {
    expect(dayFile(new Date(2026, 10, 24, 0, 5).getTime())).toBe('bilamina-shop-2026-11-24.zip');
    expect(dayFile(new Date(2026, 10, 24, 23, 55).getTime())).toBe('bilamina-shop-2026-11-24.zip');
  });
});
