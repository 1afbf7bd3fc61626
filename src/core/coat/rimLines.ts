import { drainedEdgeMean, tiltDifference } from '../film';
import type { LedgerArea } from './input';
import {
  areaInput,
  covers,
  film,
  stays,
  sum,
  volume,
  type BodyLine,
  type LineContext,
} from './lineParts';

/** Drained edge film against truth: viscosity and doubling time from a sheet are ±30 %, the film goes with their root. */
const EDGE_SIGMA = 0.15;
/** Angle at which mixed epoxy meets a tape or plastic wall, rad. From memory, ± 20°. */
export const WALL_ANGLE_RAD = (50 * Math.PI) / 180;
/** Mean of an evenly loaded cloth’s sag over its greatest. */
export const BELLY_MEAN_SHARE = 0.476;

export const meniscus: BodyLine = {
  id: 'meniscus',
  sigmaShare: 0.5,
  volume: (a, c) => a.dammedM * c.lengthM ** 2 * Math.cos(WALL_ANGLE_RAD) * covers(c),
  explain: (areas, c) => ({
    title: 'Climbs the walls',
    formula: 'length × lc² cos θ',
    inputs: [
      {
        label: 'length of walls',
        value: sum(areas, (a) => a.dammedM),
        quantity: 'length',
        source: 'measured',
      },
      film('capillary length, lc = √(γ / ρ g)', c.lengthM),
      {
        label: 'angle at the wall, θ',
        value: WALL_ANGLE_RAD,
        quantity: 'angle',
        source: 'from memory',
      },
    ],
    source: 'Balance of forces: a wall carries γ cos θ for each metre (Young–Laplace).',
    note: 'It leaves a raised lip where the tape was: sand it off before the next coat.',
  }),
};

const wedgeM = (a: LedgerArea, c: LineContext): number =>
  a.wedge && a.wedge.slope > 0
    ? tiltDifference(a.wedge.lengthM, a.wedge.slope, c.thicknessM, c.liquid) / 2
    : 0;

export const wedge: BodyLine = {
  id: 'wedge',
  sigmaShare: 0.3,
  volume: (a, c) => a.areaM2 * wedgeM(a, c) * covers(c),
  explain: (areas, c) => {
    const tilted = areas.filter((a) => a.wedge);
    const steepest = Math.max(...tilted.flatMap((a) => a.wedge?.slope ?? []));
    return {
      title: 'Out of level',
      formula: 'area × difference / 2; difference = L · slope · (1 − 8/π² Σ e^(−n² τ/T) / n²)',
      inputs: [
        areaInput(tilted, c.coverage),
        { label: 'rise over 1 m', value: steepest, quantity: 'length', source: 'measured' },
        film('thicker on the low side', 2 * Math.max(...tilted.map((a) => wedgeM(a, c)))),
        {
          label: 'fluidity left, τ',
          value: c.liquid.fluidityPerPa,
          quantity: 'fluidity',
          source: 'computed',
        },
      ],
      source: 'Thin-film levelling between two ends before the resin stops.',
      note: 'So that the high side still gets its thickness. Better: level the piece.',
    };
  },
};

export const belly: BodyLine = {
  id: 'belly',
  sigmaShare: 0.2,
  volume: (a, c) => a.areaM2 * a.bellyM * BELLY_MEAN_SHARE * covers(c),
  explain: (areas, c) => {
    const hanging = areas.filter((a) => a.bellyM > 0);
    return {
      title: 'Belly of the canvas',
      formula: 'area × depth in the middle × 0.476',
      inputs: [
        areaInput(hanging, c.coverage),
        film('hangs in the middle', Math.max(...hanging.map((a) => a.bellyM)), 'measured'),
      ],
      source:
        'Evenly loaded membrane, mean over greatest sag of a square (Timoshenko & Goodier, from memory); 0.5 on a disc.',
      note: 'A support from the back takes it away, and the weight of the resin makes it deeper.',
    };
  },
};

const edgeFilm = (heightM: number, c: LineContext): number => drainedEdgeMean(heightM, c.liquid);

export const edges: BodyLine = {
  id: 'edges',
  sigmaShare: EDGE_SIGMA,
  volume: (a, c) => a.openEdges.reduce((s, e) => s + e.areaM2 * edgeFilm(e.heightM, c), 0),
  explain: (areas, c) => {
    const areaM2 = sum(areas, (a) => a.openEdges.reduce((s, e) => s + e.areaM2, 0));
    const stay = sum(areas, (a) => edges.volume(a, c));
    return {
      title: 'Edges, as drained',
      formula: 'edge area × ⅔ · √(H / (ρ g τ))',
      inputs: [
        { label: 'area of open edges', value: areaM2, quantity: 'area', source: 'measured' },
        film('mean film that stays', areaM2 > 0 ? stay / areaM2 : 0),
        {
          label: 'fluidity left, τ',
          value: c.liquid.fluidityPerPa,
          quantity: 'fluidity',
          source: 'computed',
        },
        {
          label: 'fresh viscosity',
          value: c.law.viscosityPaS,
          quantity: 'viscosity',
          source: 'data sheet',
        },
        {
          label: 'viscosity doubles in',
          value: c.law.doublingS,
          quantity: 'duration',
          source: 'data sheet',
        },
        {
          label: 'age of the mix at the edge',
          value: c.restS,
          quantity: 'duration',
          source: 'rule of thumb',
        },
      ],
      source: 'Jeffreys 1930 with the fluidity integral of a doubling law.',
      note: 'Only what still hangs there when the resin stops; what runs off has its own line.',
    };
  },
};

export const runOff: BodyLine = {
  id: 'run-off',
  sigmaShare: 0.3,
  volume: (a, c) => a.areaM2 * (c.thicknessM - stays(a, c.thicknessM)) * covers(c),
  explain: (areas, c) => {
    const open = areas.filter((a) => stays(a, c.thicknessM) < c.thicknessM);
    return {
      title: 'Runs off open edges',
      formula: 'area × (film − what the edges hold)',
      inputs: [
        areaInput(open, c.coverage),
        film('film poured', c.thicknessM, 'chosen'),
        film('open edges hold', Math.min(...open.map((a) => stays(a, c.thicknessM)))),
        volume(
          'runs off',
          sum(areas, (a) => runOff.volume(a, c)),
        ),
      ],
      source:
        'Capillary statics at 60°, from memory. Feed the edge from what runs off while it is fluid.',
    };
  },
};
