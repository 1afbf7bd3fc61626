import { totalExplanation } from '@/core/coat';
import type { Issue } from '@/core/result';
import {
  CURING_STATES,
  splitMix,
  scaleExplanation,
  splitExplanation,
  wantedBExplanation,
  workingExplanation,
  clockExplanation,
  mixDensity,
} from '@/core/resin';
import { DEFECT_KINDS, DEFAULT_SETTINGS, SUPPORTS, type Area } from '@/records/types';
import { pieceViews, splitOf, clockNow } from '@/shop/coatView';
import { ledgerArea } from '@/records/area';
import { ledgerOf } from '@/shop/coatView';
import { FieldReader } from './common/fieldReader';
import { resolverOf } from './common/formErrors';
import { issueText } from './common/issueText';
import { SUPPORT_HATCH } from './common/materials';
import { sizeWords } from './common/PieceFrame';
import { reserveId, reserveOptions, reserveSchool } from './common/reserves';
import { nextWords, STATE_FILL, STATE_WORDS } from './common/stateWords';
import { formatOf } from './common/useFormat';
import { DEFECT_GUIDE } from '@/core/inspect';
import { demoView, METRIC, NOW, plain, US } from './test/shop';

const shop = demoView();
const views = pieceViews(shop, NOW);
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

describe('every word and pattern is there', () => {
  it('for every state, no two filled alike', () => {
    const states = ['planned', 'mixed', ...CURING_STATES] as const;
    expect(new Set(states.map((s) => STATE_FILL[s])).size).toBe(states.length);
    expect(new Set(states.map((s) => STATE_WORDS[s])).size).toBe(states.length);
  });
  it('for every support a hatch, for every defect a cause and a repair', () => {
    for (const support of SUPPORTS) expect(SUPPORT_HATCH[support]).toMatch(/^url\(#hatch-/);
    for (const kind of DEFECT_KINDS)
      for (const words of Object.values(DEFECT_GUIDE[kind]))
        expect(words.length).toBeGreaterThan(3);
  });
  it('never advises to coat over sticky resin', () => {
    expect(DEFECT_GUIDE['soft spot'].repair).toContain('never coat over sticky resin');
  });
  it('what comes next for every coat of the demo', () => {
    const words = views.flatMap((v) => v.coats).map(nextWords);
    expect(words).toContain('stops flowing');
    expect(words).toContain('recoat shuts');
    expect(words).toContain('ready to mix');
    expect(words).toContain('nothing left to wait for');
  });
  it('sizes of the demo pieces', () => {
    const sizes = views.map((v) => v.areas[0] && plain(sizeWords(v.areas[0].shape, METRIC)));
    expect(sizes).toEqual([
      '110 × 60 mm',
      '⌀ 380 mm',
      '600 × 400 mm',
      '8-sided, 150 mm across flats',
      '900 × 240 mm',
      '340 × 540 mm',
      '140 × 162 mm',
      '500 × 700 mm',
      '⌀ 220 mm',
    ]);
  });
});

describe('explanations', () => {
  const view = views.find((v) => v.piece.name === 'Viaduct painting');
  const coat = view?.upcoming;
  const top = view?.top;
  if (!view || !coat || !top) throw new Error('demo changed');
  const ledger = ledgerOf(coat);
  const split = ledger.ok ? splitOf(ledger.value, coat.resin) : null;
  if (!ledger.ok || !split) throw new Error('no ledger');
  const all = [
    ...ledger.value.lines.map((l) => l.explanation),
    totalExplanation(ledger.value, mixDensity(coat.resin.sheet)),
    splitExplanation(split, coat.resin.sheet, 'A'),
    wantedBExplanation(split.aKg, coat.resin.sheet),
    scaleExplanation(split, 1e-4),
    workingExplanation(coat.resin.sheet, split.totalKg, 295.15),
    clockExplanation(clockNow(top), 'Recoat opens', 32400, 4e6),
  ];

  it.each(all.map((e) => [e.title, e] as const))(
    '%s: formula, finite inputs with their source, own source',
    (_t, e) => {
      expect(e.formula.length).toBeGreaterThan(3);
      expect(e.source.length).toBeGreaterThan(10);
      expect(e.inputs.length).toBeGreaterThan(0);
      for (const input of e.inputs) {
        expect(Number.isFinite(input.value)).toBe(true);
        expect(METRIC.show(input.value, input.quantity).text).not.toContain('NaN');
        expect(input.source.length).toBeGreaterThan(3);
      }
    },
  );

  it('the inputs give the number: weight of B from its own opened inputs', () => {
    const { inputs } = wantedBExplanation(0.2, coat.resin.sheet);
    const value = (label: string) => inputs.find((i) => i.label.includes(label))?.value ?? NaN;
    const byHand =
      (0.2 * value(', b') * value('density of B')) / (value(', a') * value('density of A'));
    expect(value('part B')).toBeCloseTo(byHand, 12);
  });

  it('the lines of the total add up to the mix', () => {
    const { inputs } = totalExplanation(ledger.value, mixDensity(coat.resin.sheet));
    const sum = inputs.filter((i) => i.quantity === 'volume').reduce((s, i) => s + i.value, 0);
    expect(sum).toBeCloseTo(ledger.value.totalM3, 15);
  });

  it('a ratio by weight is not scolded', () => {
    const tarn = shop.resins.find((r) => r.name === 'Tarn Quick');
    const byMass = tarn && splitMix(1e-4, tarn.sheet);
    if (!tarn || !byMass?.ok) throw new Error('demo changed');
    expect(splitExplanation(byMass.value, tarn.sheet, 'A').note).toBe(
      'The sheet gives this ratio by weight.',
    );
  });

  it('counts open edges only', () => {
    const area = view.areas[0];
    const open = (a: Area) => ledgerArea(a, 1).openEdges.reduce((sum, e) => sum + e.areaM2, 0);
    // Two short sides and a long one of 600 × 400 mm, 18 mm thick.
    expect(area && open(area)).toBeCloseTo(1.4 * 0.018, 12);
    const closed = (a: Area): Area => ({
      ...a,
      edges: a.edges.map((e) => ({ ...e, kind: 'doming' })),
    });
    expect(area && open(closed(area))).toBe(0);
  });
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
