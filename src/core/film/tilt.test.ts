import { tiltDifference, tiltFluidity, tolerableSlope } from '.';

describe('tolerableSlope of a 1.6 mm film', () => {
  // 10 % edge to edge is 0.16 mm, ±10 % about the mean 0.32 mm, over the length; in mm/m.
  it.each([
    [0.1, 1.6],
    [0.3, 0.533],
    [0.6, 0.267],
    [0.9, 0.178],
  ])('%d m', (lengthM, mmPerM) => {
    expect(tolerableSlope(lengthM, 1.6e-3, 0.1, 'edge to edge') * 1000).toBeCloseTo(mmPerM, 3);
    expect(tolerableSlope(lengthM, 1.6e-3, 0.1, 'about the mean') * 1000).toBeCloseTo(
      2 * mmPerM,
      2,
    );
  });
});

describe('tiltDifference', () => {
  // 3 L² / (π² ρ g h³) for 1.6 mm, 1100 kg/m³, worked by hand, in s at 1 Pa s.
  it.each([
    [0.1, 68.8],
    [0.3, 619],
    [0.9, 5572],
  ])('slowest mode over %d m', (lengthM, seconds) => {
    expect(tiltFluidity(lengthM, 1.6e-3, 1100) / seconds).toBeCloseTo(1, 3);
  });

  it.each([
    [0.5, 0.507],
    [1, 0.702],
    [2, 0.89],
    [3, 0.96],
  ])('after %d times the slowest mode, share %d of length × slope', (times, share) => {
    const T = tiltFluidity(0.3, 1.6e-3, 1100);
    expect(
      tiltDifference(0.3, 0.001, 1.6e-3, { densityKgM3: 1100, fluidityPerPa: times * T }) / 0.0003,
    ).toBeCloseTo(share, 3);
  });

  it('agrees with an explicit solution of the linear film equation between two dams', () => {
    const [L, h, rho, slope, n] = [0.2, 1.6e-3, 1100, 0.002, 60];
    const dx = L / n;
    const mobility = (rho * 9.80665 * h ** 3) / 3;
    const film = new Float64Array(n).fill(h);
    const tau = 120;
    const steps = Math.ceil(tau / ((0.4 * dx * dx) / mobility));
    for (let s = 0; s < steps; s += 1) {
      const flux = new Float64Array(n + 1);
      for (let i = 1; i < n; i += 1)
        flux[i] = -mobility * (((film[i] ?? 0) - (film[i - 1] ?? 0)) / dx + slope);
      for (let i = 0; i < n; i += 1)
        film[i] = (film[i] ?? 0) - ((tau / steps) * ((flux[i + 1] ?? 0) - (flux[i] ?? 0))) / dx;
    }
    // Cell centres lie half a cell in from the dams, where the film has the slope of the tilt.
    const ends = (film[0] ?? 0) - (film[n - 1] ?? 0) + slope * dx;
    const found = ends / tiltDifference(L, slope, h, { densityKgM3: rho, fluidityPerPa: tau });
    expect(Math.abs(found - 1)).toBeLessThan(0.01);
  });

  it('throws outside its interval', () => {
    expect(() => tiltDifference(0.3, -1, 1e-3, { densityKgM3: 1100, fluidityPerPa: 1 })).toThrow(
      'tiltDifference',
    );
    expect(() => tolerableSlope(0, 1e-3, 0.1, 'edge to edge')).toThrow('tolerableSlope');
    expect(() => tiltFluidity(NaN, 1e-3, 1100)).toThrow('tiltFluidity');
  });
  it('no fluidity, no difference; a little makes a little, and the two laws meet', () => {
    const at = (fluidityPerPa: number) =>
      tiltDifference(0.3, 0.001, 1.6e-3, { densityKgM3: 1100, fluidityPerPa });
    const T = tiltFluidity(0.3, 1.6e-3, 1100);
    expect(at(0)).toBe(0);
    expect(at(0.0999999 * T) / at(0.1000001 * T)).toBeCloseTo(1, 5);
    for (let share = 1e-6; share < 1; share *= 2)
      expect(at(2 * share * T)).toBeGreaterThan(at(share * T));
  });
});
