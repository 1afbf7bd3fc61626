// `npm run mutation [folder …]`: mutation score of the computation, by folder of src/core.
import process from 'node:process';
import { ensureInstalled, runBin } from './lib/prepare.mjs';

/** Folders whose tests are held to LEAST of all changes noticed, %. */
const FOLDERS = ['coat', 'resin', 'prep', 'capillary', 'film', 'climate', 'numeric'];
const LEAST = 85;

ensureInstalled();
const wanted = process.argv.slice(2);
const unknown = wanted.filter((f) => !FOLDERS.includes(f));
if (unknown.length > 0) {
  console.error(`No such folder: ${unknown.join(', ')}. Known: ${FOLDERS.join(', ')}.`);
  process.exit(1);
}
let failed = false;
for (const folder of wanted.length > 0 ? wanted : FOLDERS) {
  const files = [`src/core/${folder}/**/*.ts`, '!**/*.test.ts', '!**/*.bench.ts', '!**/test/**'];
  console.log(`\n── src/core/${folder}, at least ${LEAST} %`);
  const held = runBin('stryker', ['run', '--mutate', files.join(',')], { FOLDER: folder });
  failed ||= !held;
}
process.exit(failed ? 1 : 0);
