import {
  areaInput,
  covers,
  edgesOnly,
  film,
  POUR_SIGMA,
  stays,
  sum,
  type BodyLine,
  type LineContext,
} from './lineParts';
import type { LedgerArea } from './input';
import { reliefRoom } from './relief';

/** Surface tension and angles of a dome against truth, share of its mean. Judgement, no source. */
const DOME_SIGMA = 0.06;
export const face: BodyLine = {
  id: 'face',
  sigmaShare: POUR_SIGMA,
  poured: true,
  volume: (a, c) => (a.cover.by === 'film' ? a.areaM2 * stays(a, c.thicknessM) * covers(c) : 0),
  explain: (areas, c) => {
    const flat = areas.filter((a) => a.cover.by === 'film');
    const held = flat.filter((a) => stays(a, c.thicknessM) < c.thicknessM);
    return {
      title: 'Film on the face',
      formula: 'area × thickness',
      inputs: [
        areaInput(flat, c.coverage),
        film('film thickness', c.thicknessM, 'chosen'),
        ...held.map((a) => film(`open edges of ${a.name} hold`, stays(a, c.thicknessM))),
      ],
      source: 'Geometry; a flood is poured to ± 4 %, with what runs off: judgement, no source.',
    };
  },
};

export const dome: BodyLine = {
  id: 'dome',
  sigmaShare: DOME_SIGMA,
  volume: (a, c) => (a.cover.by === 'dome' ? a.areaM2 * c.thicknessM * covers(c) : 0),
  explain: (areas, c) => ({
    title: 'Dome inside its rim',
    formula: 'area × mean film; mean = 2 lc sin(θ/2)/g · (1 − (1 − m) cos(θ/2))',
    inputs: [
      areaInput(
        areas.filter((a) => a.cover.by === 'dome'),
        c.coverage,
      ),
      film('mean film of the coat', c.thicknessM, 'chosen'),
      film('capillary length, lc = √(γ / ρ g)', c.lengthM),
    ],
    source:
      'Young–Laplace with the balance of forces; surface tension 0.040 N/m ± 12 %, from memory.',
    note: 'Thicker in the middle, nothing at the rim: the film checks give its angle.',
  }),
};

export const relief: BodyLine = {
  id: 'relief',
  sigmaShare: 0.25,
  volume: (a, c) => {
    const from = a.belowM;
    const to = from + stays(a, c.thicknessM);
    return -a.areaM2 * reliefRoom(a.relief, from, to) * covers(c);
  },
  explain: (areas, c) => {
    const tall = areas.filter((a) => a.relief.length > 0);
    const below = Math.min(...tall.map((a) => a.belowM));
    return {
      title: 'Room that relief takes',
      formula: '− area × ∫ share proud dz, between the two surfaces of the coat',
      inputs: [
        areaInput(tall, c.coverage),
        film('lies under the coat', below),
        film('reaches up to', below + c.thicknessM),
        film(
          'greatest relief',
          Math.max(...tall.flatMap((a) => a.relief).map((r) => r.greatestM)),
          'measured',
        ),
      ],
      source:
        'Share proud = share · (1 − z/g)^p with the surveyed greatest g and mean height; judgement, no source.',
      note: 'Relief that stands above the coat takes no room in it.',
    };
  },
};

const pits = (a: LedgerArea, c: LineContext) =>
  a.cover.by === 'recess' ? [{ areaM2: a.areaM2 * c.coverage, depthM: c.thicknessM }] : a.pits;

export const recess: BodyLine = {
  id: 'recess',
  sigmaShare: 0.05,
  volume: (a, c) => (edgesOnly(c) ? 0 : pits(a, c).reduce((s, p) => s + p.areaM2 * p.depthM, 0)),
  explain: (areas, c) => ({
    title: areas.some((a) => a.cover.by === 'recess') ? 'Fills the recess' : 'Runs into the recess',
    formula: 'area of the recess × depth that is filled',
    inputs: [
      {
        label: 'recesses, all pieces',
        value: sum(areas, (a) => pits(a, c).reduce((s, p) => s + p.areaM2, 0)),
        quantity: 'area',
        source: 'measured',
      },
      film(
        'deepest that is filled',
        Math.max(...areas.flatMap((a) => pits(a, c)).map((p) => p.depthM)),
        'measured',
      ),
    ],
    source:
      'Geometry. A coat on the face levels over an open recess and fills it; its film there is on the line above.',
  }),
};

export const soak: BodyLine = {
  id: 'soak',
  sigmaShare: 0.5,
  volume: (a, c) => a.areaM2 * a.soakM * covers(c),
  explain: (areas, c) => {
    const thirsty = areas.filter((a) => a.soakM > 0);
    return {
      title: 'Soaks into the ground',
      formula: 'area × what the ground drinks',
      inputs: [
        areaInput(thirsty, c.coverage),
        film('drinks', Math.max(...thirsty.map((a) => a.soakM)), 'rule of thumb'),
      ],
      source: 'ml for each m² of a porous ground: judgement, no source; ± half.',
      note: 'A ground that drinks also breathes: seal it before a flood, or bubbles come for hours.',
    };
  },
};
