import { ActionError, StaleActionError } from '@/data/errors';
import { failureWords, openingTroubleWords } from '../shell/failureWords';
import { demoView, METRIC, NOW, US } from '../test/shop';
import { fieldWords, valueWords } from '@/features/shell/conflictWords';
import { backupReminder, backupWords, bytesText } from './keeping';

const DAY = 86_400_000;

describe('how the data is kept, in words', () => {
  it('the age of the last backup, old after a week', () => {
    expect(backupWords(null, NOW)).toEqual({ text: 'No backup was made yet.', old: true });
    expect(backupWords(NOW - 3_600_000, NOW)).toEqual({
      text: 'The last backup is less than a day old.',
      old: false,
    });
    expect(backupWords(NOW - DAY, NOW).text).toBe('The last backup is one day old.');
    expect(backupWords(NOW - 7 * DAY + 1, NOW).old).toBe(false);
    expect(backupWords(NOW - 7 * DAY, NOW)).toEqual({
      text: 'The last backup is 7 days old.',
      old: true,
    });
    // A clock that was set back makes no backup of the future.
    expect(backupWords(NOW + DAY, NOW)).toMatchObject({ old: false });
  });
  it('a reminder only where there is work of more than a day, or an old backup', () => {
    const shop = demoView();
    const with_ = (lastBackupMs: number | null, ageMs: number) =>
      backupReminder(
        {
          settings: { ...shop.settings, lastBackupMs },
          pieces: shop.pieces.map((p) => ({ ...p, createdMs: NOW - ageMs })),
        },
        NOW,
      );
    expect(with_(null, DAY / 2)).toBeNull();
    expect(with_(null, DAY)).toBe('No backup was made yet.');
    expect(with_(NOW - DAY, 30 * DAY)).toBeNull();
    expect(with_(NOW - 9 * DAY, 30 * DAY)).toBe('The last backup is 9 days old.');
    expect(backupReminder({ settings: shop.settings, pieces: [] }, NOW)).toBeNull();
  });
  it('bytes in the unit that suits them', () => {
    expect([4200, 999_400, 2_400_000, 73_000_000, 5e9].map(bytesText)).toEqual([
      '4.2 kB',
      '999 kB',
      '2.4 MB',
      '73 MB',
      '5.0 GB',
    ]);
  });
});

describe('what two people changed, in words', () => {
  it.each([
    ['roomTemperatureK', 292.15, 'room temperature', '19.0\u00a0°C'],
    ['sheet.densityAKgM3', 1150, 'sheet, density a', '1.15\u00a0g/ml'],
    ['opensMin', 435, 'opens', '07:15'],
    ['Face: depthM', 0.004, 'Face: depth', '4\u00a0mm'],
    ['note', '', 'note', 'nothing'],
    ['use', { hotCups: true }, 'use', 'hot cups yes'],
    ['marks', [1, 2], 'marks', '2 entries'],
  ])('%s %j', (field, value, label, words) => {
    expect(fieldWords(field)).toBe(label);
    expect(valueWords(field, value, METRIC)).toBe(words);
  });
  it('in the units of the shop', () => {
    expect(valueWords('roomTemperatureK', 292.15, US)).toBe('66.2\u00a0°F');
  });
});

describe('refusals, in words', () => {
  it('of writes', () => {
    const words = failureWords;
    expect(words(new ActionError('overtaken', { version: 9 }))).toContain('Another tab');
    expect(words(new ActionError('conflict', { fields: [] }))).toContain('choose which stands');
    expect(words(new Error('log: atMs: must be greater'))).toContain('The clock of this device');
    expect(words(new Error('disk'))).toContain('could not write (disk)');
    expect(words(new ActionError('append-only', { act: 'delete' }))).toContain('add a correction');
    expect(words(new StaleActionError('session left'))).toBe('This session was already left.');
    expect(words(new StaleActionError('coat not planned', { verb: 'moved' }))).toBe(
      'Only a planned coat can be moved.',
    );
    const held = { name: 'Flood 2', task: 'Take the mask off' };
    expect(words(new StaleActionError('coat held back', held))).toBe(
      'Flood 2 is not ready: take the mask off.',
    );
  });
  it('of openings', () => {
    const title = (error: Error) => openingTroubleWords(error).title;
    expect(title(new ActionError('newer', { version: 9 }))).toContain('newer Bilamina');
    expect(title(new ActionError('upgrade failed', { version: 2, reason: 'x' }))).toContain(
      'up to date',
    );
    expect(title(new ActionError('no room for a copy', { version: 2 }))).toContain('no room');
    expect(title(new Error('blocked'))).toBe('The shop could not be opened');
  });
});
