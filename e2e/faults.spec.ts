import { key } from './words';
import type { BrowserContext, Page } from '@playwright/test';
import { seededRandom } from '../src/core/numeric';
import { START, expect, mainButton, openSession, test } from './bench';
import {
  backUp,
  comeBack,
  dump,
  expectAgreement,
  failNext,
  heading,
  pickBundle,
  press,
  STEPS,
  takeBundle,
  type Step,
} from './faults';

// What keeps itself on the machine, or loses its network, begins in a browser of its own.
test.use({ reuseContext: false });

/** `npm run faults` asks for 200, each in a whole session; the gate tries each kind once, begun at its step. */
const ASKED = process.env['FAULTS'];

interface Scene {
  readonly page: Page;
  readonly context: BrowserContext;
  readonly path: string;
  readonly step: Step;
  readonly random: () => number;
}
/** A fault at one step; gives back the page on which the work goes on. */
type Fault = (scene: Scene) => Promise<Page>;

const told = async (page: Page) => {
  const bar = page.getByRole('alert').filter({ hasText: 'Not saved' });
  await expect(bar).toBeVisible();
  // Nothing moved on, and it can be tried again as it was.
  await key(bar, 'tryAgain').click();
  await expect(bar).toHaveCount(0);
};
const done = async ({ page, step }: Scene): Promise<Page> => {
  await expect(heading(page, step.after)).toBeVisible();
  return page;
};
const writeFails =
  (what: 'put' | 'add' | 'abort'): Fault =>
  async (scene) => {
    const { page, step } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    await step.ready(page);
    const button = await mainButton(page, step.button);
    await failNext(page, what);
    await button.click();
    await told(page);
    return done(scene);
  };
const clockSet =
  (byMs: (random: () => number) => number): Fault =>
  async (scene) => {
    const { page, step, random } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    const now = await page.evaluate(() => Date.now());
    await page.clock.setSystemTime(now + byMs(random));
    await press(page, step);
    return done(scene);
  };
const taps =
  (count: number): Fault =>
  async (scene) => {
    const { page, step, random } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    await step.ready(page);
    const box = await (await mainButton(page, step.button)).boundingBox();
    if (!box) throw new Error('no button');
    const at = [box.x + box.width * 0.6, box.y + box.height / 2] as const;
    await page.mouse.click(...at);
    for (let i = 1; i < count; i += 1) {
      await page.waitForTimeout(40 + random() * 360);
      await page.mouse.click(...at);
    }
    return done(scene);
  };

const FAULTS: Readonly<Record<string, Fault>> = {
  reload: async (scene) => {
    const { page, step, path } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    await step.ready(page);
    await page.goto(path);
    await press(page, step);
    await page.reload();
    return page;
  },
  'closed tab': async ({ page, context, path, step }) => {
    await press(page, step);
    await page.close();
    return comeBack(context, path);
  },
  'crash of the page': async ({ page, context, path, step }) => {
    await expect(heading(page, step.before)).toBeVisible();
    const crashed = page.waitForEvent('crash');
    await page.goto('chrome://crash').catch(() => undefined);
    await crashed;
    await page.close();
    return comeBack(context, path);
  },
  'aborted transaction': writeFails('abort'),
  'failed put': writeFails('put'),
  'failed log': writeFails('add'),
  'two tabs': async (scene) => {
    const { page, context, path, step } = scene;
    const other = await comeBack(context, path);
    for (const tab of [page, other]) {
      await expect(heading(tab, step.before)).toBeVisible();
      await step.ready(tab);
    }
    const buttons = await Promise.all([page, other].map((tab) => mainButton(tab, step.button)));
    // At once: a mouse could only be on one of them.
    await Promise.all(buttons.map((b) => b.evaluate((el) => (el as HTMLElement).click())));
    await expect(heading(other, step.after)).toBeVisible();
    await other.close();
    await done(scene);
    // The tab that came second says so, and moves on with the record.
    const late = page.getByRole('alert').filter({ hasText: 'Not saved' });
    if (await late.isVisible()) await late.getByRole('button', { name: 'Close' }).click();
    return page;
  },
  'double tap': taps(2),
  'many taps': taps(4),
  'held key': async (scene) => {
    const { page, step } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    await step.ready(page);
    await mainButton(page, step.button);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    for (let i = 0; i < 12; i += 1) await page.keyboard.down('Space');
    await done(scene);
    await page.clock.runFor(1500);
    for (let i = 0; i < 12; i += 1) await page.keyboard.down('Space');
    await page.keyboard.up('Space');
    return done(scene);
  },
  'clock set back': clockSet((random) => -Math.round(random() * 5 * 3_600_000)),
  'clock set forward': clockSet((random) => Math.round(random() * 9 * 3_600_000)),
  'summer time begins': clockSet(() => Date.UTC(2027, 2, 28, 0, 59, 50) - START.getTime()),
  'summer time ends': clockSet(() => Date.UTC(2027, 9, 31, 0, 59, 50) - START.getTime()),
  offline: async (scene) => {
    const { page, context, step } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    await context.setOffline(true);
    await press(page, step);
    await done(scene);
    await context.setOffline(false);
    return page;
  },
  'an older bundle taken in': async (scene) => {
    const { page, context, step } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    const book = await comeBack(context, '/book');
    const older = await backUp(book);
    await press(page, step);
    await done(scene);
    // What the bench did since is newer than the file: nothing of it goes.
    await takeBundle(book, older);
    await book.close();
    await expect(heading(page, step.after)).toBeVisible();
    return page;
  },
  'closed while a bundle is taken in': async (scene) => {
    const { page, context, step } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    const book = await comeBack(context, '/book');
    const older = await backUp(book);
    await press(page, step);
    await done(scene);
    await pickBundle(book, older);
    const take = key(book.getByRole('dialog'), 'takeItIn');
    if (await take.isVisible()) await take.click();
    await book.close();
    return page;
  },
  'no room left': async (scene) => {
    const { page, context, step } = scene;
    await expect(heading(page, step.before)).toBeVisible();
    await step.ready(page);
    const button = await mainButton(page, step.button);
    const origin = new URL(page.url()).origin;
    const session = await context.newCDPSession(page);
    await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 1 });
    await button.click();
    const bar = page.getByRole('alert').filter({ hasText: 'Not saved' });
    const next = heading(page, step.after);
    await expect(bar.or(next).first()).toBeVisible();
    await session.send('Storage.overrideQuotaForOrigin', { origin });
    if (await bar.isVisible()) await key(bar, 'tryAgain').click();
    return done(scene);
  },
};
/** Without its server, and opened anew: only a browser that keeps the application has these. */
const OFFLINE: Readonly<Record<string, Fault>> = {
  'opened again offline': async ({ page, context, step, path }) => {
    await expect(heading(page, step.before)).toBeVisible();
    await context.setOffline(true);
    await page.goto(path);
    await press(page, step);
    await expect(heading(page, step.after)).toBeVisible();
    await page.reload();
    await expect(heading(page, step.after)).toBeVisible();
    await context.setOffline(false);
    return page;
  },
  'closed tab, offline': async ({ page, context, step, path }) => {
    await context.setOffline(true);
    await press(page, step);
    await page.close();
    const again = await comeBack(context, path);
    await expect(heading(again, step.before).or(heading(again, step.after)).first()).toBeVisible();
    await context.setOffline(false);
    return again;
  },
};
const EVERY: Readonly<Record<string, Fault>> = { ...FAULTS, ...OFFLINE };
const EVERY_NAME = Object.keys(EVERY);

const COUNT = Number(ASKED ?? EVERY_NAME.length);
/** The first step that is done with a stirred mix. */
const STIRRED = STEPS.findIndex(({ name }) => name === 'poured');

/** One seed: the fault in its turn, at a step of its own. */
function seeded(seed: number, kept: boolean): void {
  const random = seededRandom(9000 + seed);
  const name = EVERY_NAME[seed % EVERY_NAME.length] ?? '';
  if (name in OFFLINE !== kept) return;
  const at = Math.floor(random() * STEPS.length);
  const begun = ASKED || at < STIRRED ? 0 : STIRRED;
  test(`${seed}: ${name} at “${STEPS[at]?.name}”`, async ({ page: first, context }) => {
    await openSession(first, begun === 0 ? 'weighing' : 'stirred');
    if (kept) {
      await first.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
      await expect
        .poll(() => first.evaluate(() => navigator.serviceWorker.controller !== null))
        .toBe(true);
    }
    const path = new URL(first.url()).pathname;
    let page = first;
    for (const [i, step] of STEPS.entries()) {
      // In the gate one step more, so that it is seen to go on.
      if (i < begun || (!ASKED && i > at + 1)) continue;
      if (i === at) {
        page = (await EVERY[name]?.({ page, context, path, step, random })) ?? page;
        // A tap that the page did not live to store is not shown as done: then it is to be done again.
        await expect(
          heading(page, step.before).or(heading(page, step.after)).first(),
        ).toBeVisible();
        expectAgreement(await dump(page));
        if (!(await heading(page, step.before).isVisible())) continue;
      }
      await press(page, step);
      await expect(heading(page, step.after)).toBeVisible();
    }
    const end = await dump(page);
    expectAgreement(end);
    if (ASKED) expect(end.sessions.every((s) => s['endedMs'] !== null)).toBe(true);
  });
}

const ALLOWED = ['Failed to fetch', 'net::ERR_INTERNET_DISCONNECTED', 'Failed to load resource'];

test.describe('seeded faults over the wet session: nothing lost, records and log agree', () => {
  test.use({ allowed: ALLOWED });
  for (let seed = 0; seed < COUNT; seed += 1) seeded(seed, false);
});

test.describe('the same in a browser that keeps the application', () => {
  test.use({ allowed: ALLOWED, serviceWorkers: 'allow' });
  for (let seed = 0; seed < COUNT; seed += 1) seeded(seed, true);
});
