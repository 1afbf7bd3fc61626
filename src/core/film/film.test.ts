import { drainedEdgeMean, fluidityLeft } from '.';

const law = { viscosityPaS: 1, doublingS: 720 };

describe('fluidityLeft', () => {
  it('equals the integral of 1/viscosity (trapezium rule over 40 doublings)', () => {
    let sum = 0;
    const step = 1;
    for (let t = 300; t < 40 * 720; t += step)
      sum += (step / 2) * (2 ** (-t / 720) + 2 ** (-(t + step) / 720));
    expect(Math.abs(fluidityLeft(law, 300) / sum - 1)).toBeLessThan(1e-6);
  });

  it('halves with each doubling time of rest', () => {
    expect(fluidityLeft(law, 720) / fluidityLeft(law)).toBeCloseTo(0.5, 12);
  });

  it.each([
    [{ viscosityPaS: 0, doublingS: 720 }, 0],
    [{ viscosityPaS: 1, doublingS: NaN }, 0],
    [law, -1],
  ])('throws outside its interval', (bad, from) => {
    expect(() => fluidityLeft(bad, from)).toThrow('fluidityLeft');
  });
});

describe('drainedEdgeMean', () => {
  // Jeffreys 1930 worked with eta 1 Pa s, doubling 12 min, 1100 kg/m³: mean film in µm by edge height and rest.
  it.each([
    [0.003, 0, 10.9],
    [0.02, 0, 28.2],
    [0.04, 0, 39.8],
    [0.02, 480, 35.5],
    [0.02, 1200, 50.2],
    [0.02, 1800, 67.0],
  ])('edge %d m, rest %d s: %d µm', (heightM, restS, micron) => {
    const mean =
      drainedEdgeMean(heightM, { densityKgM3: 1100, fluidityPerPa: fluidityLeft(law, restS) }) *
      1e6;
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
