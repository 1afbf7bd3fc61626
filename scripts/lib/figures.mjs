import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const FILE = 'docs/bench.json';

/**
 * Puts the figures of one bench in docs/bench.json in place of its older ones; those of other benches stay.
 * Names of rows begin with the bench, but for those of `npm run bench` itself (`bench` null).
 */
export function writeFigures(bench, rows) {
  const known = existsSync(FILE) ? JSON.parse(readFileSync(FILE, 'utf8')) : [];
  const others = ['faults', 'hostile', 'gate'];
  const own = (row) =>
    bench === null
      ? !others.some((o) => row.name.startsWith(`${o}: `))
      : row.name.startsWith(`${bench}: `);
  const kept = known.filter((row) => !own(row));
  const all = bench === null ? [...rows, ...kept] : [...kept, ...rows];
  writeFileSync(FILE, `${JSON.stringify(all, null, 2)}\n`);
}
