import { PATTERN_INKS } from './patternInks';

/** Relative luminance and contrast, WCAG 2.2, definitions. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string): number => {
  const [low = 0, high = 0] = [luminance(a), luminance(b)].sort((p, q) => p - q);
  return (high + 0.05) / (low + 0.05);
};

describe('patterns', () => {
  it('the formula gives the ends that WCAG names', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  });
  it.each(Object.entries(PATTERN_INKS))(
    '%s stands out of its ground at 3:1',
    (_, { ground, ink }) => {
      expect(contrast(ground, ink)).toBeGreaterThanOrEqual(3);
    },
  );
});
