import { seededRandom } from '../numeric';
import { LAYER_KINDS } from '../piece';
import {
  beneathPlan,
  buildUp,
  filmField,
  filmMap,
  plannedGrounds,
  staysOn,
  type BuildCoat,
  type BuildLayer,
  type PlanArea,
} from '.';
import { cutBoard, given, layer, made, on } from './test/cutBoard';
import { faceOf } from './test/planned';

/** All of them with `npm run deep`; the gate tries the first ones. */
const BUILD_UPS = process.env['DEEP'] ? 1000 : 250;

describe(`mass kept on ${BUILD_UPS} seeded build-ups of places, layers, lines and both sides`, () => {
  it('ledger and section agree, and the map where the film is even', () => {
    const random = seededRandom(41);
    let mapped = 0;
    for (let round = 0; round < BUILD_UPS; round += 1) {
      const xs = [-0.12, 0.02, 0.16].filter(() => random() < 0.7);
      if (xs.length === 0) continue;
      const board = cutBoard(xs, {}, ['mould']);
      const ids = board.areas.map((a) => a.id);
      const turned = random() < 0.15;
      const chosen = turned ? ['back'] : ids.filter(() => random() < 0.6);
      if (chosen.length === 0) continue;
      const layers = ids.flatMap((id, i): BuildLayer[] =>
        random() < 0.5
          ? [
              layer({
                ...{
                  id: `l${i}`,
                  areaIds: [id],
                  kind: LAYER_KINDS[Math.floor(random() * 9)] ?? 'paint',
                },
                ...{ greatestM: 9e-4 * random(), over: random() < 0.5 ? 'under' : null },
              }),
            ].map((l) => ({ ...l, meanM: l.greatestM, share: 1 }))
          : [],
      );
      const under: BuildCoat = {
        ...({ id: 'under', kind: 'flood', order: 1, thicknessM: 1e-3, coverage: 1 } as const),
        areaIds: ids,
        staysM: ids.map(() => 1e-3),
      };
      const thicknessM = 1.3e-3 + 2e-3 * random();
      // A line down the middle of a place, lower than any film over the highest step.
      const place = board.areas[Math.floor(random() * board.areas.length)];
      const [left, right] = place ? spanOf(place, 0) : [0, 0];
      const x = (left + right) / 2;
      const raised: BuildCoat = {
        ...{ id: 'line', kind: 'line', order: 2, areaIds: [place?.id ?? ''], coverage: 1 },
        ...{ thicknessM: 2e-4, staysM: [2e-4] },
        line: {
          points: [
            [x, -0.11],
            [x, 0.11],
          ],
          ...{ closed: false, widthM: 2e-3, angleRad: 1, as: 'raised line' },
        },
      };
      const drawn = random() < 0.5 && place ? [raised] : [];
      const back: PlanArea = { ...faceOf(board.whole.shape, ['mould']), id: 'back', kind: 'back' };
      const sides = { ...board, areas: [...board.areas, back] };
      const plan = on(sides, chosen, { ...given(thicknessM), coats: [under, ...drawn] }, layers);
      const { staysM, ledger } = made(plan);
      const volume = (id: string) => ledger.lines.find((l) => l.id === id)?.volumeM3 ?? 0;
      const told = volume('face') + volume('relief');
      const coat = { ...plan.coat, id: 'top', thicknessM, staysM };
      const lies = buildUp(sides.areas, [under, ...drawn, coat], layers);
      const section = chosen.reduce((sum, id) => {
        const film = lies.get(id)?.films.find((f) => f.coat === coat);
        const area = sides.areas.find((a) => a.id === id);
        const m2 = id === 'back' ? 0.52 * 0.22 : area ? regionOf(area) : 0;
        const bead = drawn.length > 0 && place?.id === id ? (2 / 3) * 2e-3 * 2e-4 * 0.22 : 0;
        return sum + m2 * (film ? film.topM - film.bottomM : 0) - bead;
      }, 0);
      expect(Math.abs(section - told) / told).toBeLessThan(2e-3);
      expect(beneathPlan(plan).size).toBe(ids.length + 1);
      // The map of one ground whose places are level.
      const grounds = plannedGrounds(plan);
      const [ground] = grounds;
      if (mapped < 12 && grounds.length === 1 && ground && ground.standing.length === 0) {
        const field = filmField({
          shape: ground.shape,
          walls: ground.edges.map(() => true),
          lengthM: 1.9e-3,
          cells: 4000,
        });
        const map = filmMap(field.ok ? field.value : raise(field.issues), {
          thicknessM: staysOn(coat, ground.id),
          wedgeM: 0,
          bellyMeanM: 0,
          downhill: [1, 0],
        });
        expect(Math.abs(map.volumeM3 - told) / told).toBeLessThan(2e-3);
        mapped += 1;
      }
    }
    expect(mapped).toBe(12);
  });
});

const raise = (what: unknown): never => {
  throw new Error(JSON.stringify(what));
};

/** From where to where a place reaches, m. */
function spanOf({ shape }: PlanArea, k: 0 | 1): readonly [number, number] {
  const path = shape.kind === 'outline' ? shape.outer : null;
  if (!path) throw new Error('place');
  const along = [path.start, ...path.segments.map((s) => s.to)].map((p) => p[k]);
  return [Math.min(...along), Math.max(...along)];
}

/** Area of a place by the cuts themselves, m². */
function regionOf(area: PlanArea): number {
  const [[x0, x1], [y0, y1]] = [spanOf(area, 0), spanOf(area, 1)];
  return (x1 - x0) * (y1 - y0);
}
