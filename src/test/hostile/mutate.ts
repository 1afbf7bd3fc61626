/** Random numbers in [0, 1), seeded. */
export type Random = () => number;

export const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;

/** Values that are wrong nearly everywhere. */
const ODD: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  -0.5,
  1e-300,
  1e200,
  8.64e15,
  -62_135_596_800_000,
  0.1 + 0.2,
  '',
  ' ',
  'x',
  '<script>alert(1)</script>',
  '../../etc',
  '=1+1',
  '\u0000',
  '\ud800',
  '__proto__',
  'constructor',
  'x'.repeat(5000),
  [],
  {},
  [[]],
  { kind: 'disc' },
  { by: 'photo' },
];

type Holder = Record<string, unknown> | unknown[];
const isHolder = (value: unknown): value is Holder => typeof value === 'object' && value !== null;

/** Every place in a JSON value: what holds it, and its name there. */
function places(value: unknown, found: [Holder, string][] = []): [Holder, string][] {
  if (isHolder(value))
    for (const key of Object.keys(value)) {
      found.push([value, key]);
      places((value as Record<string, unknown>)[key], found);
    }
  return found;
}

function mutateAt(random: Random, holder: Holder, key: string, others: [Holder, string][]): void {
  const row = holder as Record<string, unknown>;
  const value = row[key];
  const way = random();
  if (way < 0.2) row[key] = pick(random, ODD);
  else if (way < 0.3) {
    if (Array.isArray(holder)) holder.splice(Number(key), 1);
    else delete row[key];
  } else if (way < 0.5 && typeof value === 'number')
    row[key] = value * pick(random, [-1, 0, 1e-9, 1e-3, 0.5, 2, 1e3, 1e9, 1e200]);
  else if (way < 0.6 && typeof value === 'string')
    row[key] = value + pick(random, ['x', ' ', '\n', '"', '<', 'é', '\u202e']);
  else if (way < 0.7 && Array.isArray(value) && value.length > 0)
    for (let i = 0; i < pick(random, [1, 3, 70, 3000]); i += 1)
      value.push(structuredClone(value[0]));
  else if (way < 0.8 && !Array.isArray(holder))
    row[pick(random, ['spell', 'toString', 'kind', 'by', 'id', 'seq', '$meta'])] = pick(
      random,
      ODD,
    );
  else {
    // A value that is right, but belongs elsewhere.
    const [other, name] = pick(random, others);
    row[key] = structuredClone((other as Record<string, unknown>)[name]);
  }
}

/** A copy of a JSON value with some places changed. */
export function mutated<T>(random: Random, value: T, changes: number): T {
  const copy = structuredClone(value);
  for (let i = 0; i < changes; i += 1) {
    const all = places(copy);
    if (all.length === 0) break;
    const [holder, key] = pick(random, all);
    mutateAt(random, holder, key, all);
  }
  return copy;
}

/** A text with a few places cut, doubled or filled with what does not belong there. */
export function mutatedText(random: Random, text: string, rubbish: readonly string[]): string {
  const at = Math.floor(random() * text.length);
  const way = random();
  if (way < 0.15) return text.slice(0, at);
  if (way < 0.4) return text.slice(0, at) + text.slice(at + 1 + Math.floor(random() * 12));
  if (way < 0.5) return text.slice(0, at) + text.slice(Math.max(0, at - 40)) + text.slice(at);
  return text.slice(0, at) + pick(random, rubbish) + text.slice(at);
}
