import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { REQUIRE } from './bundling.mjs';

/** Bundles a TypeScript file of ours for Node and loads it: hot code runs as it does in a browser. */
export async function loadTs(file) {
  const outfile = path.resolve('.tmp', `${path.basename(file, '.ts')}.mjs`);
  mkdirSync('.tmp', { recursive: true });
  await build({
    entryPoints: [file],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    tsconfig: 'tsconfig.json',
    jsx: 'automatic',
    banner: { js: REQUIRE },
    logLevel: 'error',
  });
  return import(pathToFileURL(outfile).href);
}

/** Opens the trace of a photo on the survey page, with all marks where they belong. */
export async function markPhoto(page, { png, corners, inside }, widthPx) {
  await page.getByRole('button', { name: 'Trace a photo' }).click();
  await page
    .getByLabel('1 · Photo')
    .setInputFiles({ name: 'table.png', mimeType: 'image/png', buffer: Buffer.from(png) });
  const box = await page.getByRole('group', { name: 'Photo with marks' }).boundingBox();
  const scale = box.width / widthPx;
  const drag = async (name, [x, y]) => {
    const at = await page.getByRole('button', { name }).evaluate((g) => {
      const { e, f } = g.getScreenCTM();
      return [e, f];
    });
    await page.mouse.move(...at);
    await page.mouse.down();
    await page.mouse.move(box.x + x * scale, box.y + y * scale, { steps: 3 });
    await page.mouse.up();
  };
  await drag(/^Mark inside/, inside);
  for (let i = 0; i < 4; i += 1) await drag(new RegExp(`^Corner mark ${i + 1}`), corners[i]);
}
