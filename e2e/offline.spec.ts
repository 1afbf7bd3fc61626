import { key } from './words';
import { spawn, type ChildProcess } from 'node:child_process';
import { expect, mixStirred, openDemo, openPiece, pressMain, test } from './bench';

// What keeps itself on the machine, or loses its network, begins in a browser of its own.
test.use({ reuseContext: false });

/** A server of this test’s own, so that it can be stopped; gone when the test is over. */
const own = test.extend<{ server: { origin: string; stop: () => Promise<void> } }>({
  // The fixture’s name for a page’s origin is the configured one; this test has another.
  baseURL: async ({}, give, info) => {
    await give(`http://127.0.0.1:${4300 + info.parallelIndex}`);
  },
  serviceWorkers: 'allow',
  server: async ({ baseURL }, give) => {
    const origin = baseURL ?? '';
    const port = new URL(origin).port;
    const child: ChildProcess = spawn(
      process.execPath,
      ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', port],
      { stdio: 'ignore' },
    );
    const ended = new Promise<void>((resolve) => child.on('exit', () => resolve()));
    await expect(async () => {
      expect((await fetch(origin)).ok).toBe(true);
    }).toPass();
    const stop = async () => {
      child.kill();
      await ended;
    };
    await give({ origin, stop });
    await stop();
  },
});

own.describe('with the server stopped', () => {
  own.use({ allowed: ['net::ERR_CONNECTION_REFUSED', 'Failed to fetch'] });

  own('every place opens, and a wet session goes on over a reload', async ({ page, server }) => {
    await openDemo(page);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    // Kept, and in charge of this page.
    await expect
      .poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null))
      .toBe(true);
    await server.stop();
    await expect(fetch(server.origin)).rejects.toThrow();

    for (const place of ['Pieces', 'Resins', 'Room', 'Book', 'Settings']) {
      await key(page, 'places').getByRole('link', { name: place }).click();
      await expect(page.getByRole('heading', { level: 1, name: place })).toBeVisible();
      await expect(page).toHaveTitle(`${place} · Bilamina`);
      // Opened anew, as by the key of a bookmark.
      await page.reload();
      await expect(page.getByRole('heading', { level: 1, name: place })).toBeVisible();
    }

    await openPiece(page, 'Viaduct painting', 'coats');
    await key(page, 'addToAWetSession').click();
    await mixStirred(page);
    await expect(page.getByRole('heading', { level: 1, name: 'Pour' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('heading', { level: 1, name: 'Pour' })).toBeVisible();
    await pressMain(page, /^Poured: Viaduct/);
    await expect(page.getByRole('heading', { level: 1, name: 'Cover' })).toBeVisible();
  });

  own(
    'a bundle is made beside the page, and the kept page has a nonce of its own',
    async ({ page, server }) => {
      await openDemo(page);
      await expect
        .poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null))
        .toBe(true);
      await server.stop();
      const policies: string[] = [];
      for (let i = 0; i < 2; i += 1) {
        const response = await page.goto('/book');
        policies.push((await response?.headerValue('content-security-policy')) ?? '');
        await expect(page.getByRole('heading', { level: 1, name: 'Book' })).toBeVisible();
      }
      for (const policy of policies) {
        expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=]+' 'strict-dynamic'/);
        expect(policy).not.toMatch(/script-src[^;]*unsafe/);
      }
      expect(policies[0]).not.toBe(policies[1]);
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        key(page, 'backUpNow').click(),
      ]);
      expect(download.suggestedFilename()).toMatch(/^bilamina-shop-.*\.zip$/);
      await expect(page.getByText('Saved. Keep the file somewhere else.')).toBeVisible();
    },
  );
});

own.describe('as an application of the machine', () => {
  own.use({ allowed: ['net::ERR_CONNECTION_REFUSED', 'Failed to fetch', 'Failed to load chunk'] });
  own(
    'it can be installed: a manifest with a name, a start and icons that are there',
    async ({ page, server }) => {
      await page.goto('/');
      const href = await page.locator('link[rel=manifest]').getAttribute('href');
      const manifest = (await (await fetch(server.origin + href)).json()) as {
        name: string;
        start_url: string;
        display: string;
        icons: { src: string; sizes: string; purpose?: string }[];
      };
      expect(manifest).toMatchObject({ name: 'Bilamina', start_url: '/', display: 'standalone' });
      // What browsers ask for before they offer it (from memory): 192 and 512 px, and one that may be cut round.
      expect(manifest.icons.map((i) => i.sizes)).toEqual(
        expect.arrayContaining(['192x192', '512x512']),
      );
      expect(manifest.icons.some((i) => i.purpose === 'maskable')).toBe(true);
      for (const { src, sizes } of manifest.icons) {
        const size = await page.evaluate(async (url) => {
          const image = new Image();
          image.src = url;
          await image.decode();
          return `${image.naturalWidth}x${image.naturalHeight}`;
        }, src);
        if (sizes !== 'any') expect([src, size]).toEqual([src, sizes]);
      }
      // Nothing is being fetched any more when the server goes.
      await page.goto('about:blank');
    },
  );
});
