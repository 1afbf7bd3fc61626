import { lampExplanation, lampPlan, lampTime, PENETRATION_M } from './lampTime';

describe('UV resin under a lamp', () => {
  // Jacobs’ working curve by hand: Dp 0.8 mm, 2 mm in 60 s. Ec·… cancels: 1.2 mm takes 60 · e^(−0.8/0.8) = 22.07 s.
  const sheet = { curedM: 2e-3, curedS: 60, penetrationM: 0.8e-3 };
  it.each([
    [2e-3, 60],
    [1.2e-3, 22.073],
    [2.8e-3, 163.097],
  ])('%d m takes %d s', (depthM, s) => expect(lampTime(depthM, sheet)).toBeCloseTo(s, 2));

  it('the depth that an exposure cures is Dp · ln(E/Ec): turned round by hand', () => {
    // Ec at E₀ = 50 W/m² · 60 s: 3000 · e^(−2/0.8) = 246.3 J/m²; E for 1.5 mm = 246.3 · e^(1.5/0.8) = 1606 J/m² = 32.1 s.
    const Ec = 50 * 60 * Math.exp(-2 / 0.8);
    expect(lampTime(1.5e-3, sheet)).toBeCloseTo((Ec * Math.exp(1.5 / 0.8)) / 50, 9);
  });

  it('a raised line goes in even layers; pigment makes a deep one take far longer', () => {
    expect(lampPlan(3e-3, sheet)).toMatchObject({ layers: 2, layerM: 1.5e-3 });
    expect(lampPlan(3.2e-3, sheet).layers).toBe(3);
    expect(lampPlan(1e-3, sheet)).toMatchObject({ layers: 1, layerM: 1e-3 });
    const opaque = { ...sheet, curedM: 0.5e-3, penetrationM: PENETRATION_M.opaque };
    expect(lampTime(1.5e-3, opaque) / lampTime(0.5e-3, opaque)).toBeCloseTo(Math.exp(1 / 0.35), 9);
  });

  it.each([0, -1, NaN])('refuses %d', (bad) => {
    expect(() => lampTime(bad, sheet)).toThrow('lampTime');
    expect(() => lampPlan(bad, sheet)).toThrow('lampPlan');
    expect(() => lampPlan(1e-3, sheet, bad)).toThrow('lampPlan');
    for (const part of ['curedM', 'curedS', 'penetrationM'])
      expect(() => lampTime(1e-3, { ...sheet, [part]: bad })).toThrow('lampTime');
  });
  it('what it opens to comes to the time by hand', () => {
    const plan = lampPlan(3e-3, sheet);
    const { inputs } = lampExplanation(plan, sheet);
    const [d, c0, t0, dp, each] = inputs.map((i) => i.value) as [
      number,
      number,
      number,
      number,
      number,
    ];
    expect(t0 * Math.exp((d - c0) / dp)).toBeCloseTo(each, 9);
    expect(each).toBe(plan.eachS);
  });
});
