import type { Issue } from '@/core/result';
import { DEFAULT_SETTINGS } from '@/records';
import { FieldReader } from './fieldReader';
import { resolverOf } from './formErrors';
import { reserveId, reserveOptions, reserveSchool } from './reserves';
import { formatOf } from './useFormat';
import { METRIC, plain } from '../test/shop';

const issue = (code: Issue['code'], allowed?: Issue['allowed']): Issue => ({
  code,
  path: [],
  value: '1,234',
  ...(allowed && { allowed }),
});

describe('small helpers of the forms', () => {
  it('a scale of 0.1 g, 1 g, 0.01 g and 0.05 oz shows as many decimals as it has', () => {
    const scale = (change: Partial<typeof DEFAULT_SETTINGS>) =>
      plain(formatOf({ ...DEFAULT_SETTINGS, ...change }).scale(0.2346).text);
    expect(scale({})).toBe('234.6 g');
    expect(scale({ scaleDigitKg: 1e-3 })).toBe('235 g');
    expect(scale({ scaleDigitKg: 1e-5 })).toBe('234.60 g');
    expect(scale({ scaleUnit: 'oz', scaleDigitKg: 0.05 * 0.028349523125 })).toBe('8.28 oz');
  });

  it('a form’s resolver gives values or a message for each field', () => {
    const resolve = resolverOf<{ a: string }, number>((draft) =>
      draft.a === '1' ? { ok: true, value: 1 } : { ok: false, errors: { a: 'One, please.' } },
    );
    const options = {} as Parameters<typeof resolve>[2];
    expect(resolve({ a: '1' }, undefined, options)).toEqual({ values: { a: '1' }, errors: {} });
    expect(resolve({ a: '2' }, undefined, options)).toEqual({
      values: {},
      errors: { a: { type: 'invalid', message: 'One, please.' } },
    });
  });

  it('FieldReader keeps the first message of a field and reads a decimal comma', () => {
    const reader = new FieldReader<'a' | 'b'>(METRIC);
    expect(reader.plain('a', '2,5', 0, 10)).toBe(2.5);
    expect(reader.sound).toBe(true);
    expect(reader.plain('a', '', 0, 10)).toBeNaN();
    reader.issue('a', issue('required'), 'number');
    expect(reader.errors).toEqual({ a: 'A number from 0 to 10.' });
    expect(reader.text('b', 'x'.repeat(11), 10)).toHaveLength(11);
    expect(reader.errors.b).toBe('At most 10 characters.');
  });

  it('schools of reserve go to the screen and back', () => {
    for (const [id] of reserveOptions) expect(reserveId(reserveSchool(id))).toBe(id);
    expect(reserveId({ by: 'share', share: 0.1234 })).toBe('risk95');
    expect(reserveSchool('nonsense')).toEqual({ by: 'risk', confidence: 0.95 });
  });
});
