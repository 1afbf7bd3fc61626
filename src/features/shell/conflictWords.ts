import type { Quantity } from '@/core/units';
import { format as formatDate } from 'date-fns';
import type { Format } from '@/features/common/useFormat';

/** Units that stand at the end of a field's name, the longest first. */
const SUFFIXES: readonly (readonly [RegExp, Quantity])[] = [
  [/KgM3$/, 'density'],
  [/JMol$/, 'molarEnergy'],
  [/PaS$/, 'viscosity'],
  [/M3$/, 'volume'],
  [/M2$/, 'area'],
  [/Kg$/, 'mass'],
  [/K$/, 'temperature'],
  [/S$/, 'duration'],
  [/M$/, 'length'],
];
const CLOCK = /Min$/;
const INSTANT = /Ms$/;
const SHARES = ['coverage', 'share', 'roomHumidity', 'humidity', 'confidence'];

const nameOf = (field: string): string => field.split(/[.:]\s*/).at(-1) ?? field;

/** A field in words: `room temperature`, `Face: depth`. */
export function fieldWords(field: string): string {
  const [row, rest] = field.includes(': ') ? field.split(': ', 2) : ['', field];
  const words = (rest ?? '')
    .split('.')
    .map((part) => {
      const unit = [CLOCK, INSTANT, ...SUFFIXES.map(([r]) => r)].find((r) => r.test(part));
      return (unit ? part.replace(unit, '') : part)
        .replace(/([a-z])([A-Z])/g, '$1 $2')
        .toLowerCase();
    })
    .join(', ');
  return row ? `${row}: ${words}` : words;
}

const hhmm = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

function numberWords(name: string, value: number, format: Format): string {
  if (CLOCK.test(name)) return hhmm(value);
  if (INSTANT.test(name)) return formatDate(value, 'd MMM HH:mm');
  if (SHARES.includes(name)) return format.show(value, 'share').text;
  const quantity = SUFFIXES.find(([suffix]) => suffix.test(name))?.[1];
  return quantity ? format.show(value, quantity).text : String(value);
}

/** A value of a record in words, in the user's units. */
export function valueWords(field: string, value: unknown, format: Format): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'number') return numberWords(nameOf(field), value, format);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length === 1 ? 'one entry' : `${value.length} entries`;
  if (typeof value !== 'object') return String(value as string);
  return Object.entries(value)
    .slice(0, 4)
    .map(([name, v]) =>
      typeof v === 'object' && v !== null
        ? fieldWords(name)
        : `${fieldWords(name)} ${valueWords(name, v, format)}`,
    )
    .join(', ');
}
