import { reliefHeights, reliefRoom, shareProud, tallestRelief, type ReliefHeights } from '.';

const block = (mm: number, change: Partial<ReliefHeights> = {}): ReliefHeights => ({
  ...{ greatestM: mm / 1e3, meanM: mm / 1e3, share: 0.4 },
  ...change,
});
const nothing = [
  block(0, { standsOnM: 5e-3 }),
  block(9, { share: 0 }),
  block(9, { meanM: 0, share: 0.9 }),
];

describe('what stands on something, or lies buried', () => {
  const onTwo = [block(1, { standsOnM: 2e-3 })];
  it('is proud from what it stands on up to its own height over that', () => {
    expect([0, 2, 2.9, 3, 4].map((mm) => shareProud(onTwo, mm / 1e3))).toEqual([
      0.4, 0.4, 0.4, 0, 0,
    ]);
    expect(tallestRelief(onTwo)).toBeCloseTo(3e-3, 15);
  });
  it('takes room only above what it stands on', () => {
    const room = (from: number, to: number) => reliefRoom(onTwo, from / 1e3, to / 1e3) * 1e3;
    expect(room(0, 2)).toBe(0);
    expect(room(0, 2.5)).toBeCloseTo(0.2, 12);
    expect(room(2.25, 2.5)).toBeCloseTo(0.1, 12);
    expect(room(0, 9)).toBeCloseTo(0.4, 12);
    expect(room(2.5, 2.5)).toBe(0);
    expect(room(3, 9)).toBe(0);
  });
  it('what is buried counts for nothing', () => {
    // A triangle's share of 2 mm (mean 1), buried to 0.5 mm: ¾ of its share stands out, and ∫ of that is 0.4 · 1.5²/4.
    const buried = [block(2, { meanM: 1e-3, aboveM: 0.5e-3 })];
    expect(shareProud(buried, 0)).toBeCloseTo(0.3, 12);
    expect(shareProud(buried, 1e-3)).toBeCloseTo(0.2, 12);
    expect(reliefRoom(buried, 0, 2e-3) * 1e3).toBeCloseTo((0.4 * 1.5 ** 2) / 4, 12);
  });
});

describe('what has no height, no mean or no share is none', () => {
  it('beside what stands', () => {
    const all = [...nothing, block(1)];
    expect(shareProud(all, 0)).toBe(0.4);
    expect(shareProud([...all, block(1, { share: 0.9 })], 0)).toBe(1);
    expect(reliefRoom(all, 0, 1e-3)).toBeCloseTo(0.4e-3, 15);
    expect(tallestRelief(all)).toBe(1e-3);
    expect(tallestRelief(nothing)).toBe(0);
  });
  it('levels out of order are refused', () => {
    expect(() => reliefRoom([], -1e-9, 0)).toThrow('reliefRoom');
    expect(() => reliefRoom([], 2e-9, 1e-9)).toThrow('reliefRoom');
    expect(() => shareProud([], -1e-9)).toThrow('shareProud');
  });
});

describe('places of a section', () => {
  // (i + ½)(√5 − 1)/2 without its whole: 0.30902, 0.92705, 0.54508, 0.16312.
  it('fall on the reliefs by their shares, each at its own quantile', () => {
    const two = [
      ...nothing,
      block(2, { standsOnM: 1e-3 }),
      block(1, { meanM: 0.5e-3, share: 0.3 }),
    ];
    const [first, second, third, fourth] = reliefHeights(two, 4);
    expect(first).toBeCloseTo(3e-3, 12);
    expect(second).toBe(0);
    expect((third ?? 0) * 1e3).toBeCloseTo((0.54508 - 0.4) / 0.3, 4);
    expect(fourth).toBeCloseTo(3e-3, 12);
    expect(reliefHeights(two, 1)).toHaveLength(1);
  });
  it('cones: high ones are rare', () => {
    // Mean a third of the greatest: (1 − z/g)², so 1 − √(1 − place/share).
    const [at] = reliefHeights([block(3, { meanM: 1e-3, share: 1 })], 1);
    expect((at ?? 0) * 1e3).toBeCloseTo(3 * (1 - Math.sqrt(1 - 0.309017)), 5);
  });
});
