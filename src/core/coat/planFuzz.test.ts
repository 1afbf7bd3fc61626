import { shapePath, type Shape } from '../geometry';
import { seededRandom } from '../numeric';
import { AREA_KINDS, COAT_KINDS, EDGE_KINDS, SUPPORTS } from '../piece';
import { INTENTS, planCoat, type Intent } from '.';
import { faceOf, planInput, ROOM_K } from './test/planned';

const random = seededRandom(20261126);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
const film = () => 10 ** (-5 + 4 * random());

function shapeOf(): Shape {
  const size = 10 ** (-2.3 + 2 * random());
  const shape: Shape = pick<Shape>([
    { kind: 'disc', diameterM: size },
    { kind: 'ellipse', widthM: size, heightM: size * (0.2 + random()) },
    { kind: 'rectangle', widthM: size, heightM: size * (0.05 + random()) },
    { kind: 'roundedRectangle', widthM: size, heightM: size, radiusM: (size / 2) * random() },
    { kind: 'regularPolygon', sides: 3 + Math.floor(random() * 50), sizeM: size, across: 'flats' },
  ]);
  if (random() < 0.7) return shape;
  const hole = shapePath({ kind: 'disc', diameterM: size * (0.1 + 0.8 * random()) });
  return { ...shape, keepBare: [hole] };
}

function intentOf(): Intent {
  const by = pick(INTENTS);
  switch (by) {
    case 'given':
    case 'spread':
      return { by, thicknessM: film() };
    case 'over':
      return { by, perMetreM2: random() * 1e-4 };
    case 'bury':
      return { by, coverM: film() };
    case 'fill':
      return { by, belowM: film() };
    case 'rim':
      return { by, heightM: film() };
    case 'dome':
      return { by, centreM: random() < 0.5 ? null : film() };
    case 'mix':
      return { by, volumeM3: 10 ** (-6 + 4 * random()) };
    case 'natural':
    case 'skin':
      return { by };
  }
}

/** Wishes that are tried in the gate, and by `npm run deep`. */
const WISHES = process.env['DEEP'] ? 200 : 80;

it(`any wish on any piece ends in a plan with finite numbers, or in a fault: ${WISHES} seeded`, () => {
  let plans = 0;
  for (let i = 0; i < WISHES; i += 1) {
    const edges = [pick(EDGE_KINDS), pick(EDGE_KINDS)];
    const greatestM = film();
    const area = faceOf(shapeOf(), edges, random() * 0.03, {
      kind: pick(AREA_KINDS),
      depthM: film(),
      relief:
        random() < 0.3
          ? [{ kind: 'stones', greatestM, meanM: greatestM * random(), share: random() }]
          : [],
    });
    const plan = planCoat(
      planInput([area], {
        kind: pick(COAT_KINDS),
        support: pick(SUPPORTS),
        intent: intentOf(),
        piece: { tilt: { alongX: random() * 3e-3, alongY: -random() * 3e-3 }, bellyM: film() },
      }),
      ROOM_K,
    );
    if (!plan.ok) continue;
    plans += 1;
    const { ledger, thicknessM, staysM } = plan.value;
    expect(Number.isFinite(ledger.totalM3) && ledger.totalM3 > 0).toBe(true);
    expect(Math.min(...staysM)).toBeGreaterThan(0);
    expect(Math.max(...staysM)).toBeLessThanOrEqual(thicknessM);
    for (const line of ledger.lines) expect(Number.isFinite(line.volumeM3)).toBe(true);
  }
  expect(plans).toBeGreaterThan(0.3 * WISHES);
});
