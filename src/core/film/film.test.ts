import { drainedEdgeMean } from '.';

describe('drainedEdgeMean', () => {
  // Jeffreys 1930 worked with 1100 kg/m³ and the fluidity that a mix of 1 Pa s has left which doubles in 12 min, after a
  // rest of 0, 8, 20 and 30 min: mean film in µm by edge height.
  it.each([
    [0.003, 0, 10.9],
    [0.02, 0, 28.2],
    [0.04, 0, 39.8],
    [0.02, 8, 35.5],
    [0.02, 20, 50.2],
    [0.02, 30, 67.0],
  ])('edge %d m, rest %d min: %d µm', (heightM, restMin, micron) => {
    const fluidityPerPa = (720 / Math.LN2) * 2 ** (-restMin / 12);
    const mean = drainedEdgeMean(heightM, { densityKgM3: 1100, fluidityPerPa }) * 1e6;
    expect(Math.abs(mean / micron - 1)).toBeLessThan(4e-3);
  });

  it('is two thirds of the foot: quadrature of h(z) = √(z / ρ g τ)', () => {
    const n = 20000;
    const foot = (z: number) => Math.sqrt(z / (1100 * 9.80665 * 1000));
    let sum = 0;
    for (let i = 0; i < n; i += 1) sum += foot((0.02 * (i + 0.5)) / n) / n;
    expect(
      Math.abs(drainedEdgeMean(0.02, { densityKgM3: 1100, fluidityPerPa: 1000 }) / sum - 1),
    ).toBeLessThan(1e-5);
  });

  it('is zero on no edge and throws on what is no film', () => {
    expect(drainedEdgeMean(0, { densityKgM3: 1100, fluidityPerPa: 1000 })).toBe(0);
    expect(() => drainedEdgeMean(-0.01, { densityKgM3: 1100, fluidityPerPa: 1000 })).toThrow(
      'drainedEdgeMean',
    );
    expect(() => drainedEdgeMean(0.01, { densityKgM3: 1100, fluidityPerPa: 0 })).toThrow(
      'drainedEdgeMean',
    );
  });
});
