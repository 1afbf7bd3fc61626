import { seededRandom } from '../numeric';
import {
  editText,
  FOOT_M,
  formatInchFraction,
  formatQuantity,
  fromSI,
  INCH_M,
  MIL_M,
  OUNCE_KG,
  parseQuantity,
  POUND_KG,
  toSI,
  UNITS,
  unitOf,
  US_FLUID_OUNCE_M3,
  US_GALLON_M3,
} from '.';

describe('conversion constants against NIST SP 811 Appendix B.8 and Handbook 44 Appendix C', () => {
  // Values typed from the published tables, independent of how the code derives them.
  it.each([
    ['inch', INCH_M, 2.54e-2],
    ['foot', FOOT_M, 3.048e-1],
    ['mil', MIL_M, 2.54e-5],
    ['US gallon', US_GALLON_M3, 3.785411784e-3],
    ['US fluid ounce', US_FLUID_OUNCE_M3, 2.95735295625e-5],
    ['pound', POUND_KG, 4.5359237e-1],
    ['ounce', OUNCE_KG, 2.8349523125e-2],
  ])('%s', (_name, ours, table) => {
    expect(Math.abs(ours / table - 1)).toBeLessThan(1e-15);
  });

  it.each([
    [32, '°F', 273.15],
    [212, '°F', 373.15],
    [-40, '°F', 233.15],
    [-40, '°C', 233.15],
    [72, '°F', 295.3722222],
  ])('%d %s', (value, unit, kelvin) => {
    expect(toSI(value, unit)).toBeCloseTo(kelvin, 6);
  });
});

const parsed = (text: string, quantity: Parameters<typeof parseQuantity>[1], unit: string) => {
  const result = parseQuantity(text, quantity, unit);
  return result.ok ? result.value : result.issues[0]?.code;
};

describe('parseQuantity', () => {
  it.each([
    ['12 in', 'length', 'mm', 0.3048],
    ['12in', 'length', 'mm', 0.3048],
    ['1/8"', 'length', 'mm', 0.003175],
    ['1 1/2 in', 'length', 'mm', 0.0381],
    ['1½″', 'length', 'mm', 0.0381],
    ['5\' 6"', 'length', 'mm', 1.6764],
    ['5 ft 6 in', 'length', 'mm', 1.6764],
    ['30 cm', 'length', 'mm', 0.3],
    ['3,5', 'length', 'mm', 0.0035],
    ['3,5 cm', 'length', 'mm', 0.035],
    ['1.234,5 mm', 'length', 'mm', 1.2345],
    ['1,234.5 mm', 'length', 'mm', 1.2345],
    ['63 mil', 'film', 'mm', 0.0016002],
    ['80 µm', 'film', 'mm', 8e-5],
    ['4 fl oz', 'volume', 'ml', 1.182941e-4],
    ['4 oz', 'volume', 'ml', 1.182941e-4],
    ['4 oz', 'mass', 'g', 0.11339809],
    ['72 F', 'temperature', '°C', 295.372222222],
    ['22', 'temperature', '°C', 295.15],
    ['-5 °C', 'temperature', '°C', 268.15],
    ['−5 C', 'temperature', '°C', 268.15],
    ['1 h 30 min', 'duration', 'h', 5400],
    ['12 cm²', 'area', 'cm²', 1.2e-3],
    ['12 in^2', 'area', 'cm²', 7.74192e-3],
    ['95 %', 'share', '%', 0.95],
    ['1.15', 'density', 'g/ml', 1150],
    ['1e-1 mm', 'length', 'mm', 1e-4],
  ] as const)('reads %s as %s', (text, quantity, unit, si) => {
    expect(parsed(text, quantity, unit)).toBeCloseTo(si, 8);
  });

  it.each([
    ['', 'length', 'required'],
    ['   ', 'length', 'required'],
    ['abc', 'length', 'not-a-number'],
    ['NaN', 'length', 'not-a-number'],
    ['Infinity', 'length', 'not-a-number'],
    ['1/0 in', 'length', 'not-a-number'],
    ['1.2.3 mm', 'length', 'not-a-number'],
    ['12 in 5', 'length', 'not-a-number'],
    ['6 in 5 ft', 'length', 'not-a-number'],
    ['20 C 5 C', 'temperature', 'not-a-number'],
    ['1,234 mm', 'length', 'ambiguous-number'],
    ['12 parsec', 'length', 'unknown-unit'],
    ['12 ml', 'length', 'wrong-quantity'],
    ['3 cm', 'temperature', 'wrong-quantity'],
  ] as const)('refuses %p for a %s: %s', (text, quantity, code) => {
    expect(parsed(text, quantity, quantity === 'temperature' ? '°C' : 'mm')).toBe(code);
  });

  it('holds an interval, both ends included', () => {
    const inside = (text: string) => parseQuantity(text, 'length', 'mm', { min: 1e-3, max: 10 }).ok;
    expect([
      inside('1 mm'),
      inside('0.99 mm'),
      inside('10 m'),
      inside('10 km'),
      inside('-3 mm'),
    ]).toEqual([true, false, true, false, false]);
  });

  it('reads back what editText writes, for every unit (seeded)', () => {
    const random = seededRandom(11);
    for (const unit of UNITS) {
      for (let i = 0; i < 20; i += 1) {
        const si = toSI(Number((random() * 10 ** (4 * random())).toPrecision(6)), unit.symbol);
        const again = parseQuantity(editText(si, unit.symbol), unit.quantity, unit.symbol);
        expect(again.ok && Math.abs(again.value - si) <= 1e-9 * Math.max(1e-6, Math.abs(si))).toBe(
          true,
        );
      }
    }
  });
});

describe('editText', () => {
  it('keeps what a person writes, and shows no raw conversion', () => {
    expect(editText(0.3048, 'in')).toBe('12 in');
    expect(editText(0.123456, 'mm')).toBe('123.456 mm');
    // By hand: 0.1 g / 28.349523125 g = 0.00352739619…; 6 mm / 25.4 mm = 0.236220472…
    expect(editText(1e-4, 'oz')).toBe('0.0035274 oz');
    expect(editText(6e-3, 'in')).toBe('0.23622 in');
    expect(editText(0, 'in')).toBe('0 in');
  });
});

describe('formatQuantity', () => {
  it.each([
    [0.6, 'length', 'metric', '600 mm'],
    [0.0125, 'length', 'metric', '12.5 mm'],
    [12.5, 'length', 'metric', '12.5 m'],
    [0.3048, 'length', 'us', '12 in'],
    [1.6e-3, 'film', 'metric', '1.60 mm'],
    [28.2e-6, 'film', 'metric', '28.2 µm'],
    [1e-4, 'film', 'metric', '0.10 mm'],
    [1.6e-3, 'film', 'us', '63.0 mil'],
    [478e-6, 'volume', 'metric', '478 ml'],
    [8.94e-6, 'volume', 'metric', '8.9 ml'],
    [4 * US_FLUID_OUNCE_M3, 'volume', 'us', '4.00 fl oz'],
    [295.15, 'temperature', 'metric', '22.0 °C'],
    [295.15, 'temperature', 'us', '71.6 °F'],
    [-1e-5, 'volume', 'metric', '−10.0 ml'],
    [-1e-12, 'volume', 'metric', '0.0 ml'],
    [0.24, 'area', 'metric', '2400 cm²'],
    [0.17346, 'share', 'metric', '17.3 %'],
  ] as const)('%d as %s, %s: %s', (value, quantity, system, text) => {
    expect(formatQuantity(value, quantity, system).text.replace('\u00a0', ' ')).toBe(text);
  });

  it('shows a dash for what is not finite, without a unit', () => {
    expect(formatQuantity(NaN, 'length', 'metric').text).toBe('–');
    expect(formatQuantity(Infinity, 'volume', 'us').text).toBe('–');
  });

  it.each([
    [0.003175, '1/8 in'],
    [0.0381, '1 1/2 in'],
    [0.3048, '12 in'],
    [0, '0 in'],
    [-0.0127, '−1/2 in'],
    [0.0253, '1 in'],
  ])('%d m is %s', (lengthM, text) => {
    expect(formatInchFraction(lengthM).text.replace('\u00a0', ' ')).toBe(text);
  });

  it('throws on a symbol that is no unit', () => {
    expect(() => unitOf('furlong')).toThrow('furlong');
    expect(() => fromSI(1, 'furlong')).toThrow('furlong');
  });
});
