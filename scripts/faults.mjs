// `npm run faults`: 200 seeded faults through the real browser over the wet session. Prints one table.
import { readFileSync } from 'node:fs';
import process from 'node:process';
import { ensureBuilt, ensureChromium, ensureInstalled, HEADLESS, runBin } from './lib/prepare.mjs';
import { writeFigures } from './lib/figures.mjs';

const count = process.argv[2] ?? '200';
ensureInstalled();
ensureChromium(HEADLESS);
ensureBuilt();
runBin('playwright', ['test', 'faults.spec'], { FAULTS: count });

const report = JSON.parse(readFileSync('test-results/browser.json', 'utf8'));
const specs = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specs)];
const rows = new Map();
for (const { title, ok } of report.suites.flatMap(specs)) {
  const fault = /^\d+: (.*) at “/.exec(title)?.[1];
  if (!fault) continue;
  const row = rows.get(fault) ?? { fault, seeds: 0, held: 0 };
  row.seeds += 1;
  if (ok) row.held += 1;
  rows.set(fault, row);
}
const table = [...rows.values()];
console.table(table);
const seeds = table.reduce((sum, r) => sum + r.seeds, 0);
const broken = table.reduce((sum, r) => sum + r.seeds - r.held, 0);
writeFigures('faults', [
  {
    name: `faults: seeded faults of ${table.length} kinds that lost something or were not told, of ${seeds}`,
    figure: broken,
    unit: 'faults',
    limit: '<= 0',
  },
]);
if (seeds < Number(count)) console.log(`Only ${seeds} of ${count} faults ran.`);
process.exit(broken > 0 || seeds < Number(count) ? 1 : 0);
