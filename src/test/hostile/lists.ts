import { pick, type Random } from './mutate';

const HEADS = [
  ...['name', 'count', 'support', 'width', 'depth', 'diameter', 'edge', 'job', 'due', 'note'],
  ...['width_m', 'depth (in)', 'time', 'temperature', 'humidity', 'surface °F', 'date', ''],
  ...['__proto__', 'constructor', '=name', 'name\u0000'],
];
const CELLS = [
  ...['Board', '300', '0.3', '12 in', '1/8"', '30 cm', '-5', '0', '1e309', '1e-12', 'NaN', '∞'],
  ...['=1+1', "'=cmd()", '@x', '+4', '\u0000', '\ud800', 'tile', 'bare wood', 'jelly', ''],
  ...['2026-11-24 13:30', '24/11/2026', '31/02/2026', '1970-01-01', '9999-99-99T99:99', '21.5'],
  ...['80 °F', '250 %', 'x'.repeat(3000), '"', '""', ',', ';', '\n', '1,5', '１２', '٣'],
];
const quoted = (cell: string, random: Random): string =>
  random() < 0.5 ? `"${cell.replaceAll('"', random() < 0.9 ? '""' : '"')}"` : cell;

/** A table as a program writes it, and as none should: odd heads, ragged rows, loose quotes, strange numbers. */
export function hostileList(random: Random): string {
  const width = 1 + Math.floor(random() * 8);
  const between = pick(random, [',', ',', ';', '\t']);
  const end = pick(random, ['\r\n', '\n', '\r']);
  const row = (cells: readonly string[]) =>
    Array.from({ length: random() < 0.9 ? width : Math.floor(random() * 40) }, () =>
      quoted(pick(random, cells), random),
    ).join(between);
  const usual = random() < 0.4 ? ['name', 'width', 'depth', 'count'].join(between) : null;
  const lines = Array.from({ length: Math.floor(random() * 40) }, () => row(CELLS));
  return (random() < 0.2 ? '\uFEFF' : '') + [usual ?? row(HEADS), ...lines].join(end);
}
