import {
  placeOf,
  planCoat,
  type BuildLayer,
  type PlanArea,
  type PlanInput,
  type PlanWhole,
  type WholeCut,
} from '..';
import { faceOf, planInput, ROOM_K } from './planned';

/** A board of 520 × 220 mm, cut at so many places from left to right. */
export function cutBoard(
  xs: readonly number[],
  cut: Partial<WholeCut> = {},
  edges: Parameters<typeof faceOf>[1] = ['open'],
): { readonly whole: PlanWhole; readonly areas: readonly PlanArea[] } {
  const face = faceOf({ kind: 'rectangle', widthM: 0.52, heightM: 0.22 }, edges, 0.02);
  const cuts = [...xs]
    .sort((a, b) => b - a)
    .map((x, i): WholeCut => ({
      ...{ of: 'p0', makes: `p${xs.length - i}`, closed: false, kind: 'line', wallM: null },
      points: [
        [x, 0.2],
        [x, -0.2],
      ],
      ...cut,
    }));
  const whole: PlanWhole = { ...face, id: 'whole', cuts };
  const ids = ['p0', ...cuts.map((c) => c.makes).reverse()];
  const areas = ids.map((id): PlanArea => {
    const place = placeOf(whole, id);
    if (!place) throw new Error(id);
    return { ...face, id, name: id, partOf: 'whole', shape: place.shape, edges: place.edges };
  });
  return { whole, areas };
}

export const on = (
  { whole, areas }: ReturnType<typeof cutBoard>,
  areaIds: readonly string[],
  wish: Parameters<typeof planInput>[1] = {},
  layers: readonly BuildLayer[] = [],
): PlanInput => {
  const plan = planInput(areas, wish);
  return { ...plan, coat: { ...plan.coat, areaIds }, wholes: [whole], layers };
};
export const made = (plan: PlanInput) => {
  const found = planCoat(plan, ROOM_K);
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return found.value;
};
export const given = (thicknessM: number) => ({ intent: { by: 'given', thicknessM } }) as const;
export const layer = (change: Partial<BuildLayer>): BuildLayer => ({
  ...{ id: 'l', kind: 'paste', areaIds: ['p1'], over: null, turn: 0 },
  ...{ greatestM: 3e-3, meanM: 3e-3, share: 1 },
  ...change,
});
