import type { Issue } from '@/core/result';
import { issueText } from './issueText';
import { METRIC, plain, US } from '../test/shop';

const issue = (code: Issue['code'], allowed?: Issue['allowed']): Issue => ({
  code,
  path: [],
  value: '1,234',
  ...(allowed && { allowed }),
});

describe('issueText', () => {
  it.each<[Issue, Parameters<typeof issueText>[1], string]>([
    [issue('required'), 'length', 'Needed.'],
    [issue('not-a-number'), 'duration', 'Not a number. Write for example 40 min, 6 h, 1 h 30 min.'],
    [issue('not-a-number'), 'number', 'Not a number.'],
    [
      issue('ambiguous-number'),
      'length',
      '“1,234” can be read two ways: write it with a point, or without the comma.',
    ],
    [issue('unknown-unit'), 'mass', 'Unit not known. Write for example 120 g, 4 oz.'],
    [
      issue('wrong-quantity'),
      'film',
      'That unit measures something else. Write for example 1.6 mm, 1/16 in, 60 mil.',
    ],
    [issue('out-of-range', { min: 0.001, max: 10 }), 'length', 'Between 1 mm and 10 m.'],
    [issue('out-of-range', { min: 0.001 }), 'length', 'At least 1 mm.'],
    [issue('out-of-range', { max: 0.006 }), 'film', 'At most 6.00 mm.'],
    [issue('out-of-range'), 'film', 'Out of range.'],
    [issue('out-of-order', { min: 28800 }), 'duration', 'Too early: not before 8.0 h.'],
    [issue('does-not-fit', { max: 0.15 }), 'length', 'Does not fit: at most 150 mm.'],
    [issue('not-allowed'), 'number', 'Not allowed here.'],
    [issue('unknown-name'), 'number', 'Not allowed here.'],
  ])('%j of %s', (what, quantity, words) => {
    expect(plain(issueText(what, quantity, METRIC))).toBe(words);
  });

  it('speaks the shop’s units', () => {
    const limits = issue('out-of-range', { min: 278.15, max: 318.15 });
    expect(plain(issueText(limits, 'temperature', METRIC))).toBe('Between 5.0 °C and 45.0 °C.');
    expect(plain(issueText(limits, 'temperature', US))).toBe('Between 41.0 °F and 113 °F.');
  });
});
