import { evidenceOf, NO_HISTORY, NO_LOOK, type CoatHistory } from './history';

const truth = (history: Partial<CoatHistory>, code: string) =>
  evidenceOf({ ...NO_HISTORY, ...history }).find((e) => e.code === code)?.truth;

it('nothing noted is no evidence, and no guess takes its place', () =>
  expect(evidenceOf(NO_HISTORY)).toEqual([]));

it.each([
  // ISO 8502-4 practice, from memory: the surface at least 3 K above the dew point.
  [{ dewMarginK: 3 }, 'near the dew point'],
  // Common practice, no source: 15 min open, 2 min of rest, 18 °C, nine tenths of the shortest stir.
  [{ openS: 900 }, 'covered late'],
  [{ restedS: 120 }, 'not rested'],
  [{ mixedAtK: 291.15 }, 'mixed cold'],
  [{ stirredS: 108, stirAtLeastS: 120 }, 'stirred short'],
  [{ maskAge: 1 }, 'mask overdue'],
] as const)('%j lies on the limit of “%s”: it tells nothing there', (history, code) =>
  expect(truth(history, code)).toBeCloseTo(0.5, 6),
);

it.each([
  [{ dewMarginK: 1 }, { dewMarginK: 6 }, 'near the dew point'],
  [{ openS: 3000 }, { openS: 300 }, 'covered late'],
  [{ coldestK: 284 }, { coldestK: 294 }, 'cured cold'],
  [{ filmM: 0.4e-3, closesFromM: 0.6e-3 }, { filmM: 1.6e-3, closesFromM: 0.6e-3 }, 'thin film'],
  [{ ratioError: -0.1, ratioRead: true }, { ratioError: 0.005, ratioRead: true }, 'ratio off'],
  [{ ground: 'shut' }, { ground: 'sanded' }, 'no tooth'],
  [{ contrast: 0.7 }, { contrast: 1 }, 'opacity low'],
  [{ slope: 0.006 }, { slope: 0 }, 'out of level'],
  [{ lookedAt: 0.3 }, { lookedAt: 2 }, 'looked early'],
] as const)('%j and %j are plain either way', (so, not, code) => {
  expect(truth(so, code)).toBeGreaterThan(0.9);
  expect(truth(not, code)).toBeLessThan(0.1);
});

it('a ratio that nobody read is no ratio', () =>
  expect(truth({ ratioError: 0, ratioRead: false }, 'ratio off')).toBeUndefined());

it('what is all over sits nowhere', () => {
  const found = evidenceOf(NO_HISTORY, { ...NO_LOOK, edgeM: 0.001, allOver: true });
  expect(found.map((e) => e.code)).toEqual(['all over']);
});
