import { isRefusal } from '@/data/errors';

/** Why something was not stored, for its user. */
export function failureWords(error: Error, stale: boolean): string {
  if (stale) return error.message;
  if (isRefusal(error, 'overtaken'))
    return 'Another tab brought this shop up to date. Reload this page; what you entered is still here, save a copy first.';
  if (isRefusal(error, 'conflict'))
    return 'Someone else changed the same meanwhile, in another tab. Nothing was changed yet: choose which stands.';
  if (/(?:^|[ .])\w+Ms:/.test(error.message))
    return `The clock of this device says ${new Date().toDateString()}: set it, then try again. Nothing was changed, and what you entered is still here.`;
  return `The browser could not write (${error.message}). Nothing was changed, and what you entered is still here.`;
}

interface TroubleWords {
  readonly title: string;
  readonly text: string;
}

/** Why the shop cannot be opened, for its user. */
export function openingTroubleWords(error: Error): TroubleWords {
  if (isRefusal(error, 'newer'))
    return {
      title: 'This shop was written by a newer Bilamina',
      text: 'To be safe it is not opened for writing here. Update this copy; until then you can save everything to a file.',
    };
  if (isRefusal(error, 'upgrade failed'))
    return {
      title: 'The shop could not be brought up to date',
      text: `It is of version ${error.data.version}, and stays as it was: ${error.data.reason}. Save everything to a file, then open it again; such a file also comes in through the Book.`,
    };
  if (isRefusal(error, 'no room for a copy'))
    return {
      title: 'There is no room to keep a copy of the shop',
      text: 'It has to be brought up to date, and a copy is kept until that is done; the browser’s storage is full. Save everything to a file first, then go on without the copy.',
    };
  return {
    title: 'The shop could not be opened',
    text: `The browser’s storage answered: ${error.message}. Private windows and full disks do this. Nothing was changed.`,
  };
}
