import { execFileSync, spawn } from 'node:child_process';
import { test as plain } from '@playwright/test';
import { expect, openDemo, test } from './bench';

// No page: what is asked of the server is asked by fetch.

plain('answers computations to other programs, with faults and paths', async ({ request }) => {
  const disc = { compute: 'measureShape', input: { kind: 'disc', diameterM: 0.3 } };
  const good = await request.post('/api/compute', { data: disc });
  expect(good.status()).toBe(200);
  expect((await good.json()).result.areaM2).toBeCloseTo(Math.PI * 0.0225, 12);
  const bad = await request.post('/api/compute', { data: { ...disc, input: { kind: 'disc' } } });
  expect(bad.status()).toBe(422);
  expect((await bad.json()).faults[0]).toMatchObject({
    code: 'required',
    path: ['input', 'diameterM'],
  });
  const broken = await request.post('/api/compute', {
    headers: { 'content-type': 'application/json' },
    data: Buffer.from('{"compute":'),
  });
  expect(broken.status()).toBe(400);
  const huge = await request.post('/api/compute', { data: { compute: 'x'.repeat(1_100_000) } });
  expect(huge.status()).toBe(413);
});

plain(
  'refuses other types, other origins, other hosts, and what would take too long',
  async ({ request, baseURL }) => {
    const data = JSON.stringify({
      compute: 'measureShape',
      input: { kind: 'disc', diameterM: 0.3 },
    });
    const post = (headers: Record<string, string>) =>
      request.post('/api/compute', { data: Buffer.from(data), headers });
    const json = { 'content-type': 'application/json' };
    expect((await post(json)).status()).toBe(200);
    expect((await post({ ...json, origin: baseURL ?? '' })).status()).toBe(200);
    expect((await post({ 'content-type': 'text/plain' })).status()).toBe(415);
    expect((await post({ ...json, origin: 'http://elsewhere.example' })).status()).toBe(403);
    expect((await post({ ...json, origin: 'null' })).status()).toBe(403);
    expect((await post({ ...json, 'sec-fetch-site': 'cross-site' })).status()).toBe(403);
    expect((await post({ ...json, host: 'elsewhere.example' })).status()).toBe(421);
    // A page of this machine under another name would be another, empty shop: it leads home.
    const other = await request.get('/pieces?from=here', { headers: { host: 'localhost:4193' } });
    expect(other.headers()['refresh']).toBe('0; url=http://127.0.0.1:4193/pieces?from=here');
    // Small requests that took gigabytes once.
    for (const input of [
      { thicknessM: 0.01, thinnestM: 1e-9, thickestM: 1e-9, belowM: 0, relief: [], loose: false },
      { thicknessM: 0.01, thinnestM: -4, thickestM: 1, belowM: 0, relief: [], loose: false },
    ]) {
      const answer = await request.post('/api/compute', { data: { compute: 'planLifts', input } });
      expect(answer.status()).toBe(422);
    }
    const faults = {
      compute: 'measureTraced',
      input: { ringPx: Array.from({ length: 60_000 }, () => [0]) },
    };
    const many = await request.post('/api/compute', { data: faults });
    expect(many.status()).toBe(422);
    expect((await many.json()).faults.length).toBeLessThanOrEqual(100);
  },
);

plain(
  'the simulated scale answers what it understands, and no other origin',
  async ({ request }) => {
    const ask = (query: string, headers: Record<string, string> = {}) =>
      request.get(`/api/scale?${query}`, { headers });
    for (const query of ['', 'load=&flow=0&step=0.0001', 'load=1&flow=9&step=0.0001'])
      expect((await ask(query)).status()).toBe(422);
    for (const step of ['0.01', 'NaN', '-0.001'])
      expect((await ask(`load=1&flow=0&step=${step}`)).status()).toBe(422);
    const good = 'load=1&flow=0&step=0.0001';
    expect((await ask(good, { 'sec-fetch-site': 'cross-site' })).status()).toBe(403);
  },
);

plain(
  'a computation that takes too long ends with a fault, and the server goes on',
  async ({ request }) => {
    // Nested on purpose: a comb that has to be looked through tooth by tooth, as large as a body may be.
    const comb = `M0 0${'C9 9 1 8 2 7'.repeat(70_000)}z`;
    const text = `<svg xmlns="http://www.w3.org/2000/svg"><path d="${comb.slice(0, 950_000)}"/></svg>`;
    const from = Date.now();
    const slow = await request.post('/api/compute', {
      data: { compute: 'readSvg', input: { text } },
    });
    expect([200, 422]).toContain(slow.status());
    expect(Date.now() - from).toBeLessThan(8000);
    const disc = { compute: 'measureShape', input: { kind: 'disc', diameterM: 0.3 } };
    expect((await request.post('/api/compute', { data: disc })).status()).toBe(200);
  },
);

plain('sends a strict policy with a fresh nonce', async ({ request }) => {
  const policies = await Promise.all(
    [1, 2].map(async () => (await request.get('/')).headers()['content-security-policy'] ?? ''),
  );
  for (const policy of policies) {
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("connect-src 'self'");
    expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'(;|$)/);
    expect(policy).toContain("frame-ancestors 'none'");
  }
  expect(policies[0]).not.toBe(policies[1]);
  expect((await request.get('/')).headers()['x-content-type-options']).toBe('nosniff');
});

test.describe(() => {
  test.use({ allowed: ['Content Security Policy'] });
  test('the policy stops a script that was written into the page', async ({ page }) => {
    await openDemo(page);
    await page.evaluate(() => {
      const script = document.createElement('div');
      script.innerHTML = '<img src="data:,broken" onerror="window.stolen = 1">';
      document.body.append(script);
    });
    await expect.poll(() => page.evaluate(() => document.querySelectorAll('img').length)).toBe(1);
    expect(await page.evaluate(() => 'stolen' in window)).toBe(false);
  });
});

plain('a server that dies is started again, and that is said', async () => {
  const port = Number(process.env['E2E_PORT'] ?? 4193) + 60;
  const serve = spawn(process.execPath, ['scripts/serve.mjs'], {
    env: { ...process.env, PORT: String(port) },
  });
  let said = '';
  for (const stream of [serve.stdout, serve.stderr])
    stream.on('data', (text: Buffer) => (said += text.toString()));
  const answers = () =>
    fetch(`http://127.0.0.1:${port}/`).then(
      (r) => r.status,
      () => 0,
    );
  try {
    await expect.poll(answers, { timeout: 20_000 }).toBe(200);
    await expect.poll(() => said).toContain('Ctrl+C ends it.');
    const child = execFileSync('pgrep', ['-P', String(serve.pid)])
      .toString()
      .trim()
      .split('\n')[0];
    process.kill(Number(child), 'SIGKILL');
    await expect.poll(() => said, { timeout: 20_000 }).toContain('It answers again.');
    expect(said).toContain('The server stopped (SIGKILL). It is started again');
    expect(await answers()).toBe(200);
  } finally {
    serve.kill('SIGTERM');
  }
});
