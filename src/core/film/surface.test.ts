import {
  drainedEdgeMean,
  fluidityLeft,
  levellingRate,
  restForEdge,
  trappedBubble,
  waveLeft,
} from '.';

const MIX = { densityKgM3: 1100, surfaceTension: 0.04 };

const off = (value: number, wanted: number) => Math.abs(value / wanted - 1);
const half = (mm: number, lengthMm: number) =>
  Math.LN2 / levellingRate(lengthMm / 1e3, mm / 1e3, MIX);
const law = { viscosityPaS: 1, workingS: 943.3 };

describe('waves level', () => {
  // Orchard 1962, half-time at 1 Pa s, s; film mm, wavelength mm.
  it.each([
    [0.5, 10, 1.866],
    [0.5, 100, 385.7],
    [1, 30, 4.078],
    [1.6, 10, 0.135],
    [1.6, 100, 11.96],
    [3, 10, 0.05455],
    [3, 100, 1.896],
  ])('film %d mm, wave %d mm: half gone in %d s', (film, wave, seconds) =>
    expect(off(half(film, wave), seconds)).toBeLessThan(1e-3),
  );
  it('goes over into the thin-film form, and its series meets the full one', () => {
    const [film, wave] = [1e-4, 0.1];
    const k = (2 * Math.PI) / wave;
    const thin = (film ** 3 / 3) * (0.04 * k ** 4 + 1100 * 9.80665 * k ** 2);
    expect(off(levellingRate(wave, film, MIX), thin)).toBeLessThan(1e-3);
    const edge = (0.02 / (2 * Math.PI)) * 0.1;
    const [below, above] = [edge * (1 - 1e-9), edge * (1 + 1e-9)];
    expect(off(levellingRate(0.1, below, MIX), levellingRate(0.1, above, MIX))).toBeLessThan(1e-3);
    expect(Number.isFinite(levellingRate(1e-4, 0.05, MIX))).toBe(true);
  });
  // What is left of a wave when a mix with a fluidity of 1039 /Pa has stopped.
  it.each([
    [0.5, 100, 0.155],
    [0.5, 300, 0.815],
    [1, 300, 0.194],
    [1.6, 300, 0.0012],
  ])('film %d mm, wave %d mm: %d is left', (film, wave, left) =>
    expect(
      off(waveLeft(wave / 1e3, film / 1e3, { ...MIX, fluidityPerPa: fluidityLeft(law) }), left),
    ).toBeLessThan(0.03),
  );
  it('throws on what is no wave', () => {
    expect(() => levellingRate(0, 1e-3, MIX)).toThrow('levellingRate');
    expect(() => waveLeft(0.1, 1e-3, { ...MIX, fluidityPerPa: -1 })).toThrow('waveLeft');
  });
});

describe('bubbles that stay', () => {
  // Stokes and Hadamard–Rybczynski with fluidity 1039 and 208 1/Pa, µm.
  it.each([
    [0.5, 1039, 27.5, 22.6],
    [1.6, 1039, 49.9, 40.9],
    [6, 1039, 97.4, 79.6],
    [3, 208, 151, 124],
  ])('film %d mm, fluidity %d: %d stiff, %d clean', (film, fluidity, stiff, clean) => {
    expect(off(trappedBubble(film / 1e3, fluidity, 1100) * 1e6, stiff)).toBeLessThan(5e-3);
    expect(off(trappedBubble(film / 1e3, fluidity, 1100, 'clean') * 1e6, clean)).toBeLessThan(5e-3);
  });
  it('is the film itself where nothing flows, and throws without one', () => {
    expect(off(trappedBubble(1e-3, 1e-9, 1100), 1e-3)).toBeLessThan(1e-6);
    expect(() => trappedBubble(0, 1, 1100)).toThrow('trappedBubble');
  });
});

describe('rest for an edge', () => {
  it('leaves what was wanted, and is the shortest that does', () => {
    const slow = { viscosityPaS: 1, workingS: 2400 };
    const rest = restForEdge(30e-6, 0.02, slow, 1100);
    const leaves = (s: number) =>
      drainedEdgeMean(0.02, { ...MIX, fluidityPerPa: fluidityLeft(slow, s) });
    expect(off(leaves(rest), 30e-6)).toBeLessThan(1e-3);
    expect(leaves(rest - 5)).toBeLessThan(30e-6);
    // No rest within the life of the cup leaves a millimetre.
    expect(restForEdge(1e-3, 0.02, slow, 1100)).toBe(Infinity);
  });
  it('none where a fresh mix leaves more already', () => {
    expect(restForEdge(20e-6, 0.02, law, 1100)).toBe(0);
    expect(() => restForEdge(0, 0.02, law, 1100)).toThrow('restForEdge');
  });
});
