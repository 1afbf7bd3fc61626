import { askOf, shoreScene } from '@/demo/test/scenes';
import { partition, regionArea } from '../places';
import { inverse, project, runTrace } from '.';

describe('places in a photo', () => {
  const it = shoreScene(640);
  const { photo, input } = askOf(it, 0);
  const at = (x: number, y: number) => project(photo.toPicture, [x, y]);
  const traced = runTrace(
    { ...input, inside: [at(-0.1, -0.05)], places: [at(0.11, 0), at(...it.island.at)] },
    560,
  );

  test('a shore is a line from edge to edge, an island a closed one; both within a millimetre', () => {
    if (!traced.ok) throw new Error(JSON.stringify(traced.issues));
    const { cuts, warnings } = traced.value;
    const back = inverse(photo.toPicture);
    expect(warnings).not.toContain('place not found');
    expect(cuts.map((c) => c.closed)).toEqual([false, true]);
    const [shore, island] = cuts;
    const seen = (shore?.px ?? []).map((p) => project(back, p));
    for (const [x, y] of seen.filter((p) => Math.abs(p[1]) < 0.08))
      expect(Math.abs(x - it.shoreX(y))).toBeLessThan(1e-3);
    const { at: middle, radiusM } = it.island;
    for (const p of island?.px ?? []) {
      const [x, y] = project(back, p);
      expect(Math.abs(Math.hypot(x - middle[0], y - middle[1]) - radiusM)).toBeLessThan(1e-3);
    }
  });

  test('they cut the outline that was found, with the place to the left of its line', () => {
    if (!traced.ok) throw new Error('no trace');
    const { outline, cuts } = traced.value;
    const made = partition({ kind: 'outline', outer: outline, keepBare: [] }, [
      { ...(cuts[0] ?? { points: [], closed: false }), of: 'rest', makes: 'shore' },
      { ...(cuts[1] ?? { points: [], closed: false }), of: 'rest', makes: 'island' },
    ]);
    if (!made.ok) throw new Error(JSON.stringify(made.issues));
    const areaM2 = (name: string) => {
      const region = made.value.get(name);
      return region ? regionArea(region) : NaN;
    };
    // The wave of the shore adds and takes alike: 0.070 m of the width, but for its mean over the height.
    const ys = Array.from({ length: 1000 }, (_, i) => -0.085 + (0.17 * (i + 0.5)) / 1000);
    const shoreM2 = ys.reduce((s, y) => s + (0.13 - it.shoreX(y)) * 0.17e-3, 0);
    expect(Math.abs(areaM2('shore') / shoreM2 - 1)).toBeLessThan(0.03);
    expect(Math.abs(areaM2('island') / (Math.PI * it.island.radiusM ** 2) - 1)).toBeLessThan(0.03);
  });

  test('a pick on what looks like the rest finds no place, and it is said', () => {
    const none = runTrace({ ...input, inside: [at(-0.1, -0.05)], places: [at(-0.1, 0.06)] }, 560);
    expect(none).toMatchObject({ ok: true, value: { warnings: ['place not found'], cuts: [] } });
  });
});
