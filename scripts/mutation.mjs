// `npm run mutation [folder …]`: mutation score of the computation, by folder of src/core. A folder takes minutes.
import path from 'node:path';
import process from 'node:process';
import { ensureInstalled, runBin } from './lib/prepare.mjs';

/** Folders whose tests are held to LEAST of all changes noticed, %. */
const FOLDERS = ['coat', 'resin', 'prep', 'capillary', 'film', 'climate', 'numeric'];
const LEAST = 85;

/** What is changed in a folder, and what is not, being tests. */
const changed = (folder) =>
  ['*.ts', '!*.test.ts', '!*.bench.ts', '!*.d.ts', '!test/**']
    .map((glob) => {
      const not = glob.startsWith('!') ? '!' : '';
      return not + path.posix.join('src/core', folder, '**', glob.slice(not.length));
    })
    .join(',');

ensureInstalled();
const wanted = process.argv.slice(2);
if (wanted.some((f) => !FOLDERS.includes(f))) {
  console.error(`Wanted: folders of ${FOLDERS.join(', ')}.`);
  process.exit(1);
}
let failed = false;
for (const folder of wanted.length > 0 ? wanted : FOLDERS) {
  console.log(`\n── src/core/${folder}, at least ${LEAST} %`);
  const held = runBin('stryker', ['run', '--mutate', changed(folder)], { FOLDER: folder });
  failed ||= !held;
}
process.exit(failed ? 1 : 0);
