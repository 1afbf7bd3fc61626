// A thousand of the inputs of `npm run hostile`, the same each time: how many kinds held. Part of `npm test`.
import { writeFileSync } from 'node:fs';
import process from 'node:process';
import { loadTs } from './lib/loadTs.mjs';

// React warns in development and is slower there.
process.env.NODE_ENV = 'production';
const { HOSTILE_LIMITS, runHostile } = await loadTs('src/test/hostile/run.ts');
// Nothing is timed in the tests: lint runs beside it.
const limitMs = 10 * HOSTILE_LIMITS.ms;
/** Any will do, if it stays: what fails here failed for whoever changed it last. */
const SEED = 20_602;
const rows = await runHostile(1000, SEED, limitMs);
for (const { what, wrong } of rows) for (const w of wrong) console.log(`${what} ${w}`);
const failed = rows.filter((r) => r.wrong.length > 0).length;
writeFileSync(
  'test-results/hostile.json',
  JSON.stringify({ passed: rows.length - failed, failed }),
);
process.exit(failed > 0 ? 1 : 0);
