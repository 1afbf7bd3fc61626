// `npm run mutation [folder …] [share/of]`: mutation score of the computation, by folder of src/core. `coat 2/40` changes
// each fortieth line, from the second on: all of a large folder takes hours. What goes over several lines is left out then.
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { ensureInstalled, runBin } from './lib/prepare.mjs';

/** Folders whose tests are held to LEAST of all changes noticed, %. */
const FOLDERS = ['coat', 'resin', 'prep', 'capillary', 'film', 'climate', 'numeric'];
const LEAST = 85;

/** What is changed in a folder: whole files, or one of `of` lines, over all of them. */
function changed(folder, share, of) {
  const root = path.join('src', 'core', folder);
  const files = readdirSync(root, { recursive: true })
    .map((file) => path.join(root, file).replaceAll('\\', '/'))
    .filter((file) => file.endsWith('.ts') && !/\.(test|bench|d)\.ts$|\/test\//.test(file))
    .sort();
  if (of === 1) return files;
  const lines = files.flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .map((_, i) => `${file}:${i + 1}-${i + 1}`),
  );
  return lines.filter((_, i) => i % of === share - 1);
}

ensureInstalled();
const SHARE = /^\d+\/\d+$/;
const told = process.argv.slice(2);
const [share, of] = (told.find((t) => SHARE.test(t)) ?? '1/1').split('/').map(Number);
const wanted = told.filter((t) => !SHARE.test(t));
const unknown = wanted.filter((f) => !FOLDERS.includes(f));
if (unknown.length > 0 || share < 1 || share > of) {
  console.error(`Wanted: folders of ${FOLDERS.join(', ')}, and a share such as 2/40 of each.`);
  process.exit(1);
}
let failed = false;
for (const folder of wanted.length > 0 ? wanted : FOLDERS) {
  const what = changed(folder, share, of);
  console.log(`\n── src/core/${folder}, at least ${LEAST} %`);
  const held = runBin('stryker', ['run', '--mutate', what.join(',')], { FOLDER: folder });
  failed ||= !held;
}
process.exit(failed ? 1 : 0);
