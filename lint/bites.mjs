// Lints a planted tree with the rules of this one: a circle and imports against the one direction must be found,
// and what is sound must not. A rule that is dead fails here, not in silence.
import path from 'node:path';
import process from 'node:process';
import { ESLint } from 'eslint';
import madge from 'madge';
import { lintConfig } from './config.mjs';

const root = path.join(import.meta.dirname, 'planted');
const CYCLE = 'import-x/no-cycle';
const UPWARD = 'import-x/no-restricted-paths';
/** What each planted file must be told, and nothing else. */
const WANTED = {
  'src/core/circle/a.ts': [CYCLE],
  'src/core/circle/b.ts': [CYCLE],
  'src/core/clean.ts': [],
  'src/core/upward/up.ts': [UPWARD],
  'src/data/rows.ts': [],
  'src/data/sideways.ts': [UPWARD],
  'src/features/book/shown.ts': [],
  'src/features/coats/neighbour.ts': [UPWARD],
  'src/ui/knows.ts': [UPWARD],
};

const eslint = new ESLint({
  cwd: root,
  overrideConfigFile: true,
  overrideConfig: lintConfig(root),
});
const results = await eslint.lintFiles(['src']);
const faults = [];
const told = new Map(
  results.map((r) => [
    path.relative(root, r.filePath),
    r.messages.map((m) => m.ruleId ?? m.message),
  ]),
);
for (const [file, rules] of Object.entries(WANTED)) {
  const found = told.get(file);
  if (JSON.stringify(found) !== JSON.stringify(rules))
    faults.push(`${file}: wanted [${rules}], found ${found ? `[${found}]` : 'no such file'}`);
}
for (const file of told.keys())
  if (!(file in WANTED)) faults.push(`${file}: say in lint/bites.mjs what it must be told`);

/** Circles of types only are circles too: `no-cycle` leaves them out. */
async function circles(dir, config) {
  const tree = await madge(dir, {
    baseDir: dir,
    fileExtensions: ['ts', 'tsx'],
    tsConfig: config,
    excludeRegExp: [/\.css$/],
  });
  return tree.circular().map((c) => c.join(' > '));
}
const planted = await circles(path.join(root, 'src'), path.join(root, 'tsconfig.json'));
if (planted.length !== 1) faults.push(`planted circle: found ${planted.length} times`);
const top = path.join(import.meta.dirname, '..');
for (const circle of await circles(path.join(top, 'src'), path.join(top, 'tsconfig.json')))
  faults.push(`circle: ${circle}`);

for (const fault of faults) console.error(fault);
process.exit(faults.length > 0 ? 1 : 0);
