// Taps of the main path, measured in a browser.

/** Clicks, and counts ms until the words are on screen and painted. */
export async function tap(page, button, words) {
  return page.evaluate(
    ([buttonName, wanted]) =>
      new Promise((resolve, reject) => {
        const find = () =>
          [...document.querySelectorAll('button, a')].find((b) =>
            (b.getAttribute('aria-label') ?? b.textContent).includes(buttonName),
          );
        const start = performance.now();
        find()?.click();
        let frames = 0;
        const look = () => {
          frames += 1;
          const main = document.querySelector('main')?.textContent ?? '';
          if (main.includes(wanted))
            requestAnimationFrame(() => resolve(performance.now() - start));
          else if (frames > 600)
            reject(new Error(`after "${buttonName}" no "${wanted}" in: ${main.slice(0, 400)}`));
          else requestAnimationFrame(look);
        };
        look();
      }),
    [button, words],
  );
}

/** The time of day can be set ahead: frames and what is measured stay the browser's own. */
export const settableTime = (page) =>
  page.addInitScript(() => {
    const real = Date.now.bind(Date);
    window.aheadMs = 0;
    Date.now = () => real() + window.aheadMs;
  });

export const median = (values) => [...values].sort((x, y) => x - y)[Math.floor(values.length / 2)];

export const STEPS = [
  ['Add to a wet session', 'gather the coats'],
  ['Gloves and sleeves', '✓ Gloves'],
  ['Window open', '✓ Window'],
  ['Extinguisher here', '✓ Extinguisher'],
  ['Covers lie ready', '✓ Covers'],
  ['Phone out', '✓ Phone'],
  ['Start: weigh A', 'Weigh part A'],
  ['The scale shows', 'read:'],
  ['A is in', 'Weigh part B'],
  ['The scale shows', 'read:'],
  ['B is in, stir', 'Start stirring'],
  ['Start stirring', 'stirred for'],
  ['Stirred, no streaks', 'resting since'],
  ['Poured: Viaduct painting', 'lies open for'],
  ['Covered', 'The clocks run'],
  ['See its windows', 'every state is drawn equally wide'],
];

/** Steps of a session that is open, from the first weighing on. */
export const WET_STEPS = STEPS.slice(
  STEPS.findIndex(([button]) => button === 'The scale shows'),
  -1,
);

/** Taps through steps as a hand would; ms for each. */
export async function walkSteps(page, steps) {
  const taps = [];
  for (const [button, words] of steps) {
    // Less than the sheet's shortest stir would want a hold.
    if (button.startsWith('Stirred')) {
      await page.evaluate(() => (window.aheadMs = 240_000));
      await page.getByText('look for streaks once more').waitFor();
    }
    // Let the link's page be fetched ahead, as it is under a hand, and a main button take taps.
    await page.waitForTimeout(900);
    taps.push(await tap(page, button, words));
  }
  return taps;
}

/** One walk down the main path in a fresh browser profile: ms for each tap. */
export async function walk(browser, origin) {
  const context = await browser.newContext();
  const page = await context.newPage();
  await settableTime(page);
  await page.goto(`${origin}/?shop=demo`);
  await page.getByRole('link', { name: /Flood 2, Viaduct/ }).click();
  await page.getByRole('heading', { name: 'Flood 2 takes' }).waitFor();
  // As on any day but the first: Bilamina lies on this machine, and its screens are fetched.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.waitForLoadState('networkidle');
  const taps = await walkSteps(page, STEPS);
  await context.close();
  return taps;
}

/** Keeps the lengths of the page's tasks over 50 ms in `window.longTasks`, ms. */
export const watchLongTasks = (page) =>
  page.addInitScript(() => {
    window.longTasks = [];
    new PerformanceObserver((list) =>
      window.longTasks.push(...list.getEntries().map((e) => e.duration)),
    ).observe({ entryTypes: ['longtask'] });
  });
