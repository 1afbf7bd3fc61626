import { toSI } from '@/core/units';

/** What a scale says in one line. */
export type ScaleLine =
  /** Its name and smallest step, when it is switched on or reached. */
  | { readonly is: 'hello'; readonly name: string; readonly stepKg: number }
  /** Weight on its pan, kg; it may be less than nothing. `steady`: it does not move any more. */
  | { readonly is: 'weight'; readonly kg: number; readonly steady: boolean }
  /** More lies on it than it can tell. */
  | { readonly is: 'over' }
  /** It switches itself off. */
  | { readonly is: 'off' };

/** Units that a scale may speak in. */
const UNITS = ['g', 'kg', 'oz', 'lb'] as const;
const unitOf = (text: string | undefined) => UNITS.find((u) => u === text);
const FIGURE = /^[+-]?\d{1,7}(\.\d{1,6})?$/;

function amount(figure: string | undefined, unit: string | undefined): number | null {
  const known = unitOf(unit);
  return known && figure !== undefined && FIGURE.test(figure) ? toSI(Number(figure), known) : null;
}

/**
 * Reads a line of our scale protocol: words apart by blanks, one line each.
 * `H 0.1 g Kitchen scale` · `W 123.4 g S` steady, `W 98.2 g M` moving · `OVER` · `OFF`
 * @returns null for anything else: a line that was cut, or of another language
 */
export function readScaleLine(text: string): ScaleLine | null {
  const [word, figure, unit, ...rest] = text.trim().split(/\s+/);
  if (word === 'OVER' || word === 'OFF')
    return figure === undefined ? { is: word === 'OVER' ? 'over' : 'off' } : null;
  const kg = amount(figure, unit);
  if (kg === null) return null;
  if (word === 'H') return kg > 0 ? { is: 'hello', name: rest.join(' '), stepKg: kg } : null;
  const [how, more] = rest;
  if (word !== 'W' || more !== undefined || (how !== 'S' && how !== 'M')) return null;
  return { is: 'weight', kg, steady: how === 'S' };
}

/** Collects bytes that come in pieces into whole lines. */
export function lineSplitter(onLine: (line: string) => void): (piece: string) => void {
  let kept = '';
  return (piece) => {
    const lines = (kept + piece).split(/\r\n|\n|\r/);
    // A line that never ends is no line.
    kept = (lines.pop() ?? '').slice(-200);
    for (const line of lines) if (line.trim() !== '') onLine(line);
  };
}
