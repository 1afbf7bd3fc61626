import {
  drainedEdgeMean,
  fluidityLeft,
  levellingRate,
  restForEdge,
  tiltDifference,
  tiltFluidity,
  tolerableSlope,
  trappedBubble,
} from '.';

const law = { viscosityPaS: 1, workingS: 943.3 };
const liquid = { densityKgM3: 1100, surfaceTension: 0.04, fluidityPerPa: 1039 };

/** Each function with sound numbers, by name, and which of them may be 0. */
const GUARDED: readonly [
  string,
  Readonly<Record<string, number>>,
  (n: Readonly<Record<string, number>>) => number,
  readonly string[],
][] = [
  [
    'trappedBubble',
    { h: 1e-3, tau: 1039, rho: 1100 },
    ({ h, tau, rho }) => trappedBubble(h ?? NaN, tau ?? NaN, rho ?? NaN),
    [],
  ],
  [
    'drainedEdgeMean',
    { H: 0.02, tau: 1039, rho: 1100 },
    ({ H, tau, rho }) =>
      drainedEdgeMean(H ?? NaN, { densityKgM3: rho ?? NaN, fluidityPerPa: tau ?? NaN }),
    ['H'],
  ],
  [
    'restForEdge',
    { mean: 8e-5, H: 0.02, rho: 1100 },
    ({ mean, H, rho }) => restForEdge(mean ?? NaN, H ?? NaN, law, rho ?? NaN),
    [],
  ],
  [
    'fluidityLeft',
    { eta: 1, working: 2400, from: 60 },
    ({ eta, working, from }) =>
      fluidityLeft({ viscosityPaS: eta ?? NaN, workingS: working ?? NaN }, from),
    ['from'],
  ],
  [
    'tolerableSlope',
    { L: 0.3, h: 1.6e-3, share: 0.1 },
    ({ L, h, share }) => tolerableSlope(L ?? NaN, h ?? NaN, share ?? NaN, 'edge to edge'),
    [],
  ],
  [
    'tiltFluidity',
    { L: 0.3, h: 1.6e-3, rho: 1100 },
    ({ L, h, rho }) => tiltFluidity(L ?? NaN, h ?? NaN, rho ?? NaN),
    [],
  ],
  [
    'tiltDifference',
    { slope: 1e-3, tau: 1039 },
    ({ slope, tau }) =>
      tiltDifference(0.3, slope ?? NaN, 1.6e-3, { ...liquid, fluidityPerPa: tau ?? NaN }),
    ['slope', 'tau'],
  ],
  [
    'levellingRate',
    { L: 0.1, h: 1e-3, rho: 1100, gamma: 0.04 },
    ({ L, h, rho, gamma }) =>
      levellingRate(L ?? NaN, h ?? NaN, { densityKgM3: rho ?? NaN, surfaceTension: gamma ?? NaN }),
    [],
  ],
];

it.each(GUARDED)('%s refuses each number that is not above its least', (name, sound, run, zero) => {
  expect(Number.isFinite(run(sound))).toBe(true);
  for (const input of Object.keys(sound)) {
    for (const bad of [-1, NaN]) expect(() => run({ ...sound, [input]: bad })).toThrow(name);
    if (zero.includes(input)) expect(Number.isFinite(run({ ...sound, [input]: 0 }))).toBe(true);
    else expect(() => run({ ...sound, [input]: 0 })).toThrow(name);
  }
});

it('fluidity goes with the working time over the viscosity', () => {
  const once = fluidityLeft({ viscosityPaS: 1, workingS: 2400 });
  expect(fluidityLeft({ viscosityPaS: 4, workingS: 7200 }) / once).toBeCloseTo(0.75, 12);
});
