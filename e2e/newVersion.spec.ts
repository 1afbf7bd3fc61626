import { createServer, request, type Server } from 'node:http';
import { expect, openDemo, test } from './bench';

// What keeps itself on the machine, or loses its network, begins in a browser of its own.
test.use({ reuseContext: false });

/** Stands before the server as a new version of it would: from a word on its worker is another one. */
const fresh = test.extend<{ newVersion: () => void }>({
  serviceWorkers: 'allow',
  newVersion: async ({}, give, info) => {
    const behind = new URL(info.project.use.baseURL ?? '');
    let mark = '';
    const front: Server = createServer((asked, answer) => {
      const { url = '/', method, headers } = asked;
      const isWorker = url.startsWith('/offline/sw.js') && !url.includes('.map');
      const passed = request(
        { host: behind.hostname, port: behind.port, path: url, method, headers },
        (got) => {
          // Its length is another one, and it is sent as it is.
          const { 'content-length': length, ...told } = got.headers;
          answer.writeHead(
            got.statusCode ?? 500,
            isWorker ? told : { ...told, ...(length && { 'content-length': length }) },
          );
          got.on('data', (bytes) => answer.write(bytes));
          got.on('end', () => answer.end(isWorker ? mark : ''));
        },
      );
      passed.on('error', () => answer.destroy());
      if (isWorker) passed.setHeader('accept-encoding', 'identity');
      asked.pipe(passed);
    });
    await new Promise<void>((ready) => front.listen(4320 + info.parallelIndex, '127.0.0.1', ready));
    await give(() => {
      mark = '\n// another version\n';
    });
    front.closeAllConnections();
    await new Promise((gone) => front.close(gone));
  },
  baseURL: async ({}, give, info) => {
    await give(`http://127.0.0.1:${4320 + info.parallelIndex}`);
  },
});

fresh(
  'a new version says that it is here, and comes when it is taken',
  async ({ page, newVersion }) => {
    await openDemo(page);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    const bar = page.getByText('A new version of Bilamina is here.');
    await expect
      .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state ?? 'none'))
      .toBe('activated');
    await expect(bar).toHaveCount(0);
    newVersion();
    // A page that stays open asks every half hour.
    await page.clock.fastForward('00:30:05');
    await expect(bar).toBeVisible();
    // It waits: another page is still the old one, and says the same.
    await page.goto('/book');
    await expect(page.getByRole('heading', { level: 1, name: 'Book' })).toBeVisible();
    await expect(bar).toBeVisible();
    await page.getByRole('button', { name: 'Take it now' }).click();
    await expect(bar).toHaveCount(0);
    await expect(page.getByRole('heading', { level: 1, name: 'Book' })).toBeVisible();
    expect(
      await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.waiting),
    ).toBeFalsy();
  },
);
