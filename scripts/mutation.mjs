// `npm run mutation [folder …]`: mutation score by folder of src/core, by the folder's own tests. A folder takes minutes.
// `npm run mutation drawn`: of shop and data some 200 changes, drawn, by the tests of core, records, shop and data.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { isDrawn } from './lib/drawn.mjs';
import { ensureInstalled, runBin } from './lib/prepare.mjs';

/** Folders whose tests are held to LEAST of all changes noticed, %. */
const FOLDERS = ['coat', 'resin', 'prep', 'capillary', 'film', 'climate', 'numeric'];
const LEAST = 85;
/** What is held of the changes that are drawn in shop and data, %. */
const LEAST_DRAWN = 75;

const REPORT = 'test-results/mutation.json';

/** What is changed in a folder, and what is not, being tests. */
const changed = (folder) =>
  ['*.ts', '!*.test.ts', '!*.bench.ts', '!*.d.ts', '!test/**', '!**/fixtures/**']
    .map((glob) => {
      const not = glob.startsWith('!') ? '!' : '';
      return not + path.posix.join('src', folder, '**', glob.slice(not.length));
    })
    .join(',');

/** Tells what became of the changes that were drawn. @returns whether enough were noticed */
function tellDrawn() {
  const { files } = JSON.parse(readFileSync(REPORT, 'utf8'));
  const drawn = Object.entries(files).flatMap(([file, { mutants }]) =>
    mutants
      .filter((m) => !['Ignored', 'CompileError'].includes(m.status))
      .filter((m) => isDrawn({ ...m, fileName: `/${file}`, location: zeroBased(m.location) }))
      .map((m) => ({ ...m, file })),
  );
  const noticed = drawn.filter((m) => ['Killed', 'Timeout', 'RuntimeError'].includes(m.status));
  for (const m of drawn.filter((d) => !noticed.includes(d)))
    console.log(
      `${m.status} ${m.file}:${m.location.start.line} ${m.mutatorName} → ${String(m.replacement).split('\n')[0]}`,
    );
  const share = (100 * noticed.length) / drawn.length;
  console.log(
    `${noticed.length} of ${drawn.length} drawn changes noticed, ${share.toFixed(1)} %, at least ${LEAST_DRAWN} %`,
  );
  return share >= LEAST_DRAWN;
}
/** The report counts from 1, the runner from 0. */
const zeroBased = ({ start, end }) => ({
  start: { line: start.line - 1, column: start.column - 1 },
  end: { line: end.line - 1, column: end.column - 1 },
});

function runDrawn() {
  const env = {
    TESTS: ['core', 'records', 'shop', 'data'].map((f) => path.join('src', f)).join(','),
    // Of some 9,000 changes, of which a third cannot be told apart while a file is loaded, 200.
    SHARE: process.env.SHARE ?? '0.03',
  };
  Object.assign(process.env, env);
  const mutate = `${changed('shop')},${changed('data')}`;
  rmSync(REPORT, { force: true });
  runBin('stryker', ['run', '--mutate', mutate, '--reporters', 'json,progress-append-only'], env);
  // It did not get as far as a report: what it says tells why.
  if (!existsSync(REPORT)) return false;
  return tellDrawn();
}

ensureInstalled();
const wanted = process.argv.slice(2);
if (wanted.some((f) => f !== 'drawn' && !FOLDERS.includes(f))) {
  console.error(`Wanted: drawn, or folders of ${FOLDERS.join(', ')}.`);
  process.exit(1);
}
let failed = false;
for (const folder of wanted.length > 0 ? wanted : FOLDERS) {
  if (folder === 'drawn') {
    failed = !runDrawn() || failed;
    continue;
  }
  console.log(`\n── src/core/${folder}, at least ${LEAST} %`);
  const tests = path.join('src', 'core', folder);
  const held = runBin('stryker', ['run', '--mutate', changed(`core/${folder}`)], { TESTS: tests });
  failed ||= !held;
}
process.exit(failed ? 1 : 0);
