// `npm run mutation [folder …] [share/of]`: mutation score of the computation, by folder of src/core. `coat 2/5` changes
// each fifth file, by size, from the second on: a whole folder of that size takes hours.
import { readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { ensureInstalled, runBin } from './lib/prepare.mjs';

/** Folders whose tests are held to LEAST of all changes noticed, %. */
const FOLDERS = ['coat', 'resin', 'prep', 'capillary', 'film', 'climate', 'numeric'];
const LEAST = 85;

/** What is changed in a folder, smallest first: a share of it is then as large as the others. */
function changedFiles(folder) {
  const root = path.join('src', 'core', folder);
  return readdirSync(root, { recursive: true })
    .map((file) => path.join(root, file).replaceAll('\\', '/'))
    .filter((file) => file.endsWith('.ts') && !/\.(test|bench|d)\.ts$|\/test\//.test(file))
    .sort((a, b) => statSync(a).size - statSync(b).size || a.localeCompare(b));
}

ensureInstalled();
const told = process.argv.slice(2);
const [share, of] = (told.find((t) => /^\d+\/\d+$/.test(t)) ?? '1/1').split('/').map(Number);
const wanted = told.filter((t) => !t.includes('/'));
const unknown = wanted.filter((f) => !FOLDERS.includes(f));
if (unknown.length > 0 || share < 1 || share > of) {
  console.error(`Wanted: folders of ${FOLDERS.join(', ')}, and a share such as 2/5 of each.`);
  process.exit(1);
}
let failed = false;
for (const folder of wanted.length > 0 ? wanted : FOLDERS) {
  const files = changedFiles(folder).filter((_, i) => i % of === share - 1);
  console.log(`\n── src/core/${folder}, ${files.length} files, at least ${LEAST} %`);
  const held = runBin('stryker', ['run', '--mutate', files.join(',')], { FOLDER: folder });
  failed ||= !held;
}
process.exit(failed ? 1 : 0);
