import { clockText } from '@/features/common/clockText';
import { isRefusal, StaleActionError, type NotFinished, type Stales } from '@/data/errors';

type StaleWords = { readonly [C in keyof Stales]: (data: Stales[C]) => string };

/** What keeps a piece from being closed. */
export const NOT_FINISHED: Readonly<Record<NotFinished, string>> = {
  'in a session': 'a coat of it is in a wet session',
  'mask on': 'a mask is still on it',
  'coat open': 'a coat is planned and not poured',
  'finding open': 'a finding is open',
  cures: 'it does not bear handling yet',
};

const STALE: StaleWords = {
  'piece gone': () => 'This piece is no longer there.',
  'too soft to turn': ({ name, fromMs }) =>
    `${name} does not bear handling before ${clockText(fromMs, fromMs)}: leave the piece as it lies.`,
  'layer gone': () => 'This layer is no longer there.',
  'area needed': ({ name }) => `${name} cannot go: a coat lies or is planned on it.`,
  'coat held back': ({ name, task }) => `${name} is not ready: ${task.toLowerCase()}.`,
  'lot gone': () => 'These bottles were changed elsewhere, or a batch was mixed from them.',
  'coat gone or being mixed': () => 'A coat of this session is gone or already being mixed.',
  'coat not planned': ({ verb }) => `Only a planned coat can be ${verb}.`,
  'coat poured': () => 'This coat was already poured, or the batch moved on.',
  'nothing to touch': () => 'This coat does not lie there yet, or is gone.',
  'no place to move to': () => 'There is no coat to change places with.',
  'nothing goes below it': ({ name }) => `${name} lies already: nothing goes below it.`,
  'swatch gone': () => 'This colour is gone, or a coat was poured with it.',
  'session left': () => 'This session was already left.',
  'resin already mixed': () => 'Resin is already mixed: pour it, or note what became of it.',
  'resin gone': () => 'This resin is no longer there.',
  'batch gone': () => 'This batch is no longer in the shop.',
  'batch moved on': ({ step }) => `This batch is already at “${step}”.`,
  'batch not waiting for its cover': () => 'This batch is not waiting for its cover.',
  'already taken back': () => 'This step was already taken back.',
  'something else was done since': () => 'Something else was done since: nothing was taken back.',
  'done in the future': () => 'A task cannot be done in the future.',
  'waived without a reason': () => 'A step is waived only with a reason.',
  'not a step of your own': () => 'Only a step of your own can be removed.',
  'no steps to keep': () => 'This piece has no steps of your own to keep.',
  'list gone': () => 'This list is no longer there.',
  'done elsewhere': ({ atMs }) =>
    `This step was ticked elsewhere, ${clockText(atMs, atMs)}: nothing was changed. Look again before you tick.`,
  'that side lies up already': () => 'It lies that way already: nothing was changed.',
  'defect already repaired': () => 'This defect is already repaired.',
  'finding gone': () => 'This finding is no longer there.',
  'rescue chosen already': () => 'A way back was chosen for it already.',
  'rescue begun': () => 'Something of this rescue was done already: it stays on the plan.',
  'piece closed': ({ name }) =>
    `${name} has left and its record is closed: open it again at Finish, with a reason.`,
  'piece not finished': ({ why }) => `It cannot be closed: ${NOT_FINISHED[why]}.`,
};

/** What an action met that it was not made for. */
export const staleWords = ({ code, data }: StaleActionError): string =>
  (STALE[code] as (data: unknown) => string)(data);

/** Why something was not stored, for its user. */
export function failureWords(error: Error): string {
  if (error instanceof StaleActionError) return staleWords(error);
  if (isRefusal(error, 'overtaken'))
    return 'Another tab brought this shop up to date. Reload this page; what you entered is still here, save a copy first.';
  if (isRefusal(error, 'append-only'))
    return 'Entries of the log stay as they are: add a correction instead.';
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
