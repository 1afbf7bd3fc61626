import type { Issue } from '@/core/result';
import type { Quantity } from '@/core/units';
import type { Format } from './useFormat';

function range(issue: Issue, quantity: Quantity, format: Format): string {
  const { min, max } = issue.allowed ?? {};
  const text = (value: number) => format.show(value, quantity).text;
  if (min !== undefined && max !== undefined) return `Between ${text(min)} and ${text(max)}.`;
  if (min !== undefined) return `At least ${text(min)}.`;
  return max === undefined ? 'Out of range.' : `At most ${text(max)}.`;
}

const EXAMPLES: Partial<Record<Quantity, string>> = {
  length: '30 cm, 12 in, 1/8"',
  film: '1.6 mm, 1/16 in, 60 mil',
  temperature: '22 C, 72 F',
  duration: '40 min, 6 h, 1 h 30 min',
  mass: '120 g, 4 oz',
  density: '1.12 g/ml',
  share: '10 %',
};

/** The words for an issue at a field that holds this kind of number. */
export function issueText(issue: Issue, quantity: Quantity, format: Format): string {
  const example = EXAMPLES[quantity] ? ` Write for example ${EXAMPLES[quantity]}.` : '';
  switch (issue.code) {
    case 'required':
      return 'Needed.';
    case 'not-a-number':
      return `Not a number.${example}`;
    case 'ambiguous-number':
      return `“${String(issue.value)}” can be read two ways: write it with a point, or without the comma.`;
    case 'unknown-unit':
      return `Unit not known.${example}`;
    case 'wrong-quantity':
      return `That unit measures something else.${example}`;
    case 'out-of-order':
      return quantity === 'duration'
        ? `Too early: not before ${format.show(issue.allowed?.min ?? NaN, quantity).text}.`
        : range(issue, quantity, format);
    case 'does-not-fit':
      return `Does not fit: at most ${format.show(issue.allowed?.max ?? NaN, quantity).text}.`;
    case 'out-of-range':
      return range(issue, quantity, format);
    case 'not-converged':
      return 'No answer was found: the outline is too odd for the solver.';
    case 'not-allowed':
    case 'unknown-name':
      return 'Not allowed here.';
  }
}
