import { expect, openDemo, test } from './bench';

test('answers computations to other programs, with faults and paths', async ({ request }) => {
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

test('sends a strict policy with a fresh nonce', async ({ request }) => {
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
