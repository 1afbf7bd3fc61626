import { key } from './words';
import type { BrowserContext, Page } from '@playwright/test';
import { downloadedBytes, expect, holdDown, mainButton } from './bench';

/** Rows of the shop as the browser holds them. */
export interface Dump {
  readonly batches: readonly Record<string, unknown>[];
  readonly coats: readonly Record<string, unknown>[];
  readonly sessions: readonly Record<string, unknown>[];
  readonly log: readonly (Record<string, unknown> & {
    readonly id: string;
    readonly seq: number;
    readonly kind: string;
    readonly aboutId: string | null;
    readonly figures: Readonly<Record<string, unknown>>;
  })[];
}

/** Reads tables with a connection of its own, past all of the program. */
export const dump = (page: Page): Promise<Dump> =>
  page.evaluate(
    () =>
      new Promise<Dump>((resolve, reject) => {
        const request = indexedDB.open('bilamina');
        request.onerror = () => reject(request.error ?? new Error('no database'));
        request.onsuccess = () => {
          const db = request.result;
          const names = ['batches', 'coats', 'sessions', 'log', 'logPages'] as const;
          const tx = db.transaction([...names], 'readonly');
          const asks = names.map((n) => [n, tx.objectStore(n).getAll()] as const);
          tx.oncomplete = () => {
            db.close();
            const read = Object.fromEntries(asks.map(([n, r]) => [n, r.result]));
            const { logPages, log, ...rows } = read as unknown as Dump & {
              logPages: { entries: Dump['log'] }[];
            };
            resolve({ ...rows, log: [...logPages.flatMap((p) => p.entries), ...log] });
          };
        };
      }),
  );

const ORDER = ['weighed A', 'mixed', 'stir started', 'stirred', 'poured', 'covered'];
/** Acts of a batch that stand, by its own list of what was done. */
function actsOf(
  batch: Record<string, unknown>,
): readonly { readonly is: string; readonly id: string }[] {
  const events = batch['events'] as readonly { is: string; id: string; of?: string }[];
  const taken = new Set(events.filter((e) => e.is === 'undone').map((e) => e.of));
  return events.filter((e) => e.is !== 'undone' && !taken.has(e.id));
}

/** Records and log say the same of the newest batch: each act that stands once, in order, and no other. */
export function expectAgreement({ batches, coats, sessions, log }: Dump): void {
  const seqs = log.map((e) => e.seq).sort((a, b) => a - b);
  expect(seqs).toEqual(seqs.map((_, i) => i + 1));
  const batch = [...batches].sort((a, b) => seqOf(log, b) - seqOf(log, a))[0];
  if (!batch) throw new Error('no batch');
  const own = log.filter((e) => e['batchId'] === batch['id']);
  const undone = new Set(own.filter((e) => e.kind === 'undone').map((e) => e.aboutId));
  const standing = own.filter((e) => ORDER.includes(e.kind) && !undone.has(e.id));
  const done = actsOf(batch);
  const bySeq = [...standing].sort((a, b) => a.seq - b.seq);
  expect(bySeq.map((e) => [e.id, e.kind])).toEqual(done.map((e) => [e.id, e.is]));
  const has = (kind: string) => done.some((e) => e.is === kind);
  const inOrder = bySeq.map((e) => ORDER.indexOf(e.kind));
  expect(inOrder).toEqual([...new Set(inOrder)].sort((a, b) => a - b));
  for (const coat of coats.filter((c) => c['batchId'] === batch['id']))
    expect(coat['pouredMs'] !== null).toBe(has('poured'));
  const session = sessions.find((s) => s['id'] === batch['sessionId']);
  expect(session?.['endedMs'] !== null).toBe(has('covered'));
  // What was not read or was too short is said so.
  for (const e of standing.filter((s) => s.kind === 'stirred'))
    expect(Number(e.figures['stirredS']) >= Number(e.figures['leastS'])).toBe(!e.figures['short']);
}

const seqOf = (log: Dump['log'], batch: Record<string, unknown>): number =>
  Math.max(0, ...log.filter((e) => e['batchId'] === batch['id']).map((e) => e.seq));

/** One step of the wet session: what is seen before it, how it is got ready, its button, what is seen after it. */
export interface Step {
  readonly name: string;
  readonly before: RegExp;
  readonly ready: (page: Page) => Promise<void>;
  readonly button: RegExp;
  readonly after: RegExp;
}

const nothing = () => Promise.resolve();
const read = async (page: Page) => {
  const told = page.getByText(/✓ read:/);
  if (!(await told.isVisible())) await key(page, 'theScaleShows').click();
  await expect(told).toBeVisible();
};
/** Past its working time, when a clock was set forward, the step says to stop. */
const POUR = /^(?:Pour|Stop)$/;
export const STEPS: readonly Step[] = [
  { name: 'A', before: /Weigh part A/, ready: read, button: /^A is in/, after: /Weigh part B/ },
  { name: 'B', before: /Weigh part B/, ready: read, button: /^B is in/, after: /^Stir$/ },
  { name: 'stir', before: /^Stir$/, ready: nothing, button: /Start stirring/, after: /^Stirring$/ },
  {
    name: 'stirred',
    before: /^Stirring$/,
    ready: async (page) => {
      // Clocks may have been set back: until the sheet's stir is over.
      const short = page.getByRole('button', { name: /Stirred short/ });
      for (let i = 0; i < 40 && (await short.isVisible()); i += 1)
        await page.clock.fastForward('10:00');
    },
    button: /Stirred, no streaks/,
    after: POUR,
  },
  {
    name: 'poured',
    before: POUR,
    ready: nothing,
    button: /Poured(?: late)?: /,
    after: /^Cover$/,
  },
  {
    name: 'covered',
    before: /^Cover$/,
    ready: nothing,
    button: /^Covered/,
    after: /The clocks run/,
  },
];

export const heading = (page: Page, name: RegExp) => page.getByRole('heading', { level: 1, name });

/** Does a step, from whatever made it ready. */
export async function press(page: Page, step: Step): Promise<void> {
  await expect(heading(page, step.before)).toBeVisible();
  await step.ready(page);
  // Past the moment in which a button that has just come is deaf, and past a beat of the page: a clock that was set
  // may have changed what the button is.
  await page.clock.runFor(1500);
  const button = await mainButton(page, step.button);
  // What must not be done by a tap is held.
  if (/late/.test((await button.textContent()) ?? '')) await holdDown(page, step.button);
  else await button.click();
}

/** Opens the session again, as one who comes back to the bench does. */
export async function comeBack(context: BrowserContext, path: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(path);
  return page;
}

/** Lets the next call of one of the browser's own write functions fail. */
export const failNext = (page: Page, what: 'put' | 'add' | 'abort'): Promise<void> =>
  page.evaluate((name) => {
    if (name === 'abort') {
      // The browser gives the whole transaction up after its first write.
      const real = IDBObjectStore.prototype.put;
      IDBObjectStore.prototype.put = function (...told) {
        IDBObjectStore.prototype.put = real;
        const request = real.apply(this, told);
        this.transaction.abort();
        return request;
      };
      return;
    }
    const real = IDBObjectStore.prototype[name];
    IDBObjectStore.prototype[name] = function () {
      IDBObjectStore.prototype[name] = real;
      throw new DOMException('The disk is full', 'QuotaExceededError');
    };
  }, what);

/** The whole shop as it is now, as a file. */
export const backUp = (book: Page): Promise<Buffer> =>
  downloadedBytes(book, () => key(book, 'backUpNow').click());

/** Chooses a bundle in Book and waits until it was read. */
export async function pickBundle(book: Page, buffer: Buffer): Promise<void> {
  await book
    .getByLabel('Shop file')
    .setInputFiles({ name: 'bundle.zip', mimeType: 'application/zip', buffer });
  await expect(book.getByRole('dialog')).toBeVisible();
}

/** Takes a bundle in, where there is anything in it to take, and waits until that is said. */
export async function takeBundle(book: Page, buffer: Buffer): Promise<void> {
  await pickBundle(book, buffer);
  const dialog = book.getByRole('dialog');
  if (await dialog.getByText('All that is in it is here already.').isVisible()) {
    await book.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);
    return;
  }
  await key(dialog, 'takeItIn').click();
  await expect(book.getByText(/^Taken in: \d+ rows? changed/)).toBeVisible();
}
