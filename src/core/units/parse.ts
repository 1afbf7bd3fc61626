import { fail, ok, type Allowed, type IssueCode, type Result } from '../result';
import { UNITS, unitOf, type Quantity, type Unit } from './units';

const FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const ALIASES: readonly { readonly text: string; readonly unit: Unit }[] = UNITS.flatMap((unit) =>
  unit.aliases.map((alias) => ({ text: alias.toLowerCase(), unit })),
).sort((a, b) => b.text.length - a.text.length);

const NUMBER = /^(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|((?:\d[\d.,]*|[.,]\d+)(?:e[+-]?\d+)?))/i;

const sameKind = (a: Quantity, b: Quantity): boolean =>
  a === b || (a === 'film' && b === 'length') || (a === 'length' && b === 'film');

function tidy(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${FRACTIONS[c] ?? ''}`)
    .replace(/[′’]/g, "'")
    .replace(/[″“”]|''/g, '"')
    .replace(/[−–]/g, '-')
    .replace(/\u00a0/g, ' ')
    .trim()
    .toLowerCase();
}

/** Reads `1.5`, `1,5`, `1,234.5`; `1,234` alone could mean either, so it is refused as ambiguous. */
function plainNumber(text: string): number | 'ambiguous' | 'bad' {
  const mantissa = text.replace(/e.*$/, '');
  const commas = mantissa.split(',').length - 1;
  const dots = mantissa.split('.').length - 1;
  if (commas === 0 && dots <= 1) return Number(text);
  if (commas === 1 && dots === 0) {
    if (/^[1-9]\d{0,2},\d{3}$/.test(mantissa)) return 'ambiguous';
    return Number(text.replace(',', '.'));
  }
  if (/^\d{1,3}(,\d{3})+(\.\d+)?$/.test(mantissa)) return Number(text.replace(/,/g, ''));
  if (/^\d{1,3}(\.\d{3})+(,\d+)?$/.test(mantissa))
    return Number(text.replace(/\./g, '').replace(',', '.'));
  return 'bad';
}

interface Term {
  readonly number: number;
  readonly unit: Unit | null;
  readonly rest: string;
}

function readTerm(text: string): Term | IssueCode {
  const found = NUMBER.exec(text);
  if (!found) return 'not-a-number';
  const [all, whole, num, den, num2, den2, plain] = found;
  let number: number | 'ambiguous' | 'bad';
  if (plain !== undefined) number = plainNumber(plain);
  else if (den !== undefined) number = Number(whole) + Number(num) / Number(den);
  else number = Number(num2) / Number(den2);
  if (number === 'ambiguous') return 'ambiguous-number';
  if (number === 'bad' || !Number.isFinite(number)) return 'not-a-number';
  const after = text.slice(all.length).trimStart();
  if (after === '') return { number, unit: null, rest: '' };
  const alias = ALIASES.find(
    (a) => after.startsWith(a.text) && !/^[a-zµμ²³]/.test(after.slice(a.text.length)),
  );
  if (!alias) return 'unknown-unit';
  return { number, unit: alias.unit, rest: after.slice(alias.text.length).trimStart() };
}

/** `oz` on a volume means fluid ounces, as people write it. */
function settleUnit(unit: Unit, quantity: Quantity): Unit {
  return unit.symbol === 'oz' && quantity === 'volume' ? unitOf('fl oz') : unit;
}

/**
 * Reads a quantity as people write it: `12 in`, `1/8"`, `1 1/2 in`, `5' 6"`, `30 cm`, `3,5 mm`,
 * `4 fl oz`, `72 F`, `1 h 30 min`.
 * @param text what was typed
 * @param quantity what is wanted
 * @param defaultUnit symbol of the unit meant when none is written
 * @param allowed interval in SI, both ends included
 * @returns SI value, or one issue: `required`, `not-a-number`, `ambiguous-number` (1,234),
 *   `unknown-unit`, `wrong-quantity` or `out-of-range`.
 * Source: conversions of NIST SP 811, Appendix B.8 (see constants.ts).
 */
export function parseQuantity(
  text: string,
  quantity: Quantity,
  defaultUnit: string,
  allowed: Allowed = {},
): Result<number> {
  const issue = (code: IssueCode) => fail({ code, path: [], value: text, allowed });
  let rest = tidy(text);
  if (rest === '') return issue('required');
  const negative = rest.startsWith('-');
  if (negative) rest = rest.slice(1).trimStart();
  let sum = 0;
  let terms = 0;
  let lastScale = Infinity;
  while (rest !== '') {
    const term = readTerm(rest);
    if (typeof term === 'string') return issue(term);
    const unit = settleUnit(term.unit ?? unitOf(defaultUnit), quantity);
    if (!sameKind(unit.quantity, quantity)) return issue('wrong-quantity');
    if (terms > 0 && (term.unit === null || !(unit.scale < lastScale) || unit.offset))
      return issue('not-a-number');
    sum += (negative ? -term.number : term.number) * unit.scale + (unit.offset ?? 0);
    lastScale = unit.scale;
    terms += 1;
    rest = term.rest;
  }
  if (!(sum >= (allowed.min ?? -Infinity)) || !(sum <= (allowed.max ?? Infinity)))
    return issue('out-of-range');
  return ok(sum);
}
