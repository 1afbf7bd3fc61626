import { askOf, testScene } from '@/demo/test/scenes';
import { checkShape, measureShape, pathArea, pathBox, type Point } from '../geometry';
import { thinRing } from '../geometry';
import { fitOutline, runTrace } from '.';
import { soundOutline } from './fitOutline';

describe('fitOutline and thinRing', () => {
  const ringOf = (n: number, at: (t: number) => Point) =>
    Array.from({ length: n }, (_, i) => at(i / n));
  it('a square comes back as four straight stretches, a disc as a few curves', () => {
    const side = (t: number): Point => {
      const s = (4 * t) % 1;
      return (
        (
          [
            [s, 0],
            [1, s],
            [1 - s, 1],
            [0, 1 - s],
          ] as const
        )[Math.floor(4 * t)] ?? [0, 0]
      );
    };
    const box = fitOutline(
      ringOf(801, (t) => side(t).map((v) => v * 0.2) as unknown as Point),
      2e-4,
    );
    expect(box.segments.map((s) => s.kind)).toEqual(['line', 'line', 'line', 'line']);
    expect(pathArea(box)).toBeCloseTo(0.04, 5);
    const disc = fitOutline(
      ringOf(900, (t) => [0.1 * Math.cos(2 * Math.PI * t), 0.1 * Math.sin(2 * Math.PI * t)]),
      2e-4,
    );
    expect(disc.segments.length).toBeLessThan(16);
    expect(Math.abs(pathArea(disc) / (Math.PI * 0.01) - 1)).toBeLessThan(2e-3);
  });

  it('an outline with a loop at a notch comes back without it', () => {
    const disc = ringOf(900, (t) => [
      0.1 * Math.cos(2 * Math.PI * t),
      0.1 * Math.sin(2 * Math.PI * t),
    ]);
    // Four points out of their order make loops of 4 mm: those of an edge that jumps forth and back.
    const looped = [...disc];
    [looped[100], looped[106]] = [looped[106] ?? [0, 0], looped[100] ?? [0, 0]];
    [looped[101], looped[107]] = [looped[107] ?? [0, 0], looped[101] ?? [0, 0]];
    const sound = soundOutline(looped, 2e-4);
    expect(checkShape({ kind: 'outline', outer: sound, keepBare: [] }).ok).toBe(true);
    expect(Math.abs(pathArea(sound) / (Math.PI * 0.01) - 1)).toBeLessThan(3e-3);
  });

  it('thinRing drops points and stays within its tolerance', () => {
    const ring = ringOf(5000, (t) => [Math.cos(2 * Math.PI * t), Math.sin(2 * Math.PI * t)]);
    const thin = thinRing(ring, 1e-3);
    expect(thin.length).toBeLessThan(200);
    for (const [x, y] of thin) expect(Math.hypot(x, y)).toBeCloseTo(1, 9);
  });
});

describe('tracePiece on small drawn pictures', () => {
  const [pixels, fine] = [440, 380];
  // All twenty at full size are in trace.bench.ts.
  it.each([2, 3])('scene %d: area within 2 %, inside what it states', (seed) => {
    const it = testScene(seed, pixels);
    const { input } = askOf(it, 0.3);
    const traced = runTrace(input, fine);
    if (!traced.ok) throw new Error(JSON.stringify(traced.issues));
    const { measure, outline, warnings } = traced.value;
    const error = measure.areaM2 / it.areaM2 - 1;
    expect(Math.abs(error)).toBeLessThan(0.02);
    expect(Math.abs(error) * it.areaM2).toBeLessThan(2.5 * measure.areaSigmaM2);
    expect(warnings).toEqual([]);
    expect(pathBox(outline).middle[0]).toBeCloseTo(0, 4);
    const shape = { kind: 'outline' as const, outer: outline, keepBare: [] };
    expect(measureShape(shape).areaM2 / measure.areaM2).toBeCloseTo(1, 3);
  });

  it('says when there is no mark inside, or the marks are crossed', () => {
    const { input } = askOf(testScene(2, 200), 0);
    expect(runTrace({ ...input, inside: [] }, 200)).toMatchObject({ ok: false });
    const [a, b, c, d] = input.corners;
    expect(runTrace({ ...input, corners: [a, c, b, d] }, 200)).toMatchObject({
      ok: false,
      issues: [{ path: ['corners'] }],
    });
  });
});
