import { tiltDifference } from '../film';
import type { LedgerArea } from './input';
import { areaInput, covers, film, sum, type BodyLine, type LineContext } from './lineParts';

/** Angle at which mixed epoxy meets a tape or plastic wall, rad. From memory, ± 20°. */
export const WALL_ANGLE_RAD = (50 * Math.PI) / 180;

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

/** What a tilt adds to the mean film so that the high end still gets its own, m. */
export const wedgeM = (
  { wedge: tilt }: Pick<LedgerArea, 'wedge'>,
  { thicknessM, liquid }: Pick<LineContext, 'thicknessM' | 'liquid'>,
): number =>
  tilt && tilt.slope > 0
    ? (tiltDifference(tilt.lengthM, tilt.slope, thicknessM, liquid) * tilt.aheadM) / tilt.lengthM
    : 0;

export const wedge: BodyLine = {
  id: 'wedge',
  sigmaShare: 0.3,
  volume: (a, c) => a.areaM2 * wedgeM(a, c) * covers(c),
  explain: (areas, c) => {
    const tilted = areas.flatMap((a) => (a.wedge ? [{ ...a.wedge, addsM: wedgeM(a, c) }] : []));
    const worst = [...tilted].sort((x, y) => y.addsM - x.addsM)[0];
    return {
      title: 'Out of level',
      formula:
        'area × slope · (z_max − z_mean) · (1 − 8/π² Σ e^(−n² τ/T) / n²), along the steepest slope',
      inputs: [
        areaInput(
          areas.filter((a) => a.wedge),
          c.coverage,
        ),
        {
          label: 'rise over 1 m',
          value: worst?.slope ?? 0,
          quantity: 'length',
          source: 'measured',
        },
        {
          label: 'length along the slope',
          value: worst?.lengthM ?? 0,
          quantity: 'length',
          source: 'measured',
        },
        film('adds to the mean film', worst?.addsM ?? 0),
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
  volume: (a, c) => (a.belly ? a.areaM2 * a.belly.sagM * a.belly.share * covers(c) : 0),
  explain: (areas, c) => {
    const hanging = areas.flatMap((a) => (a.belly ? [a.belly] : []));
    return {
      title: 'Belly of the canvas',
      formula: 'area × depth in the middle × mean over greatest sag',
      inputs: [
        areaInput(
          areas.filter((a) => a.belly),
          c.coverage,
        ),
        film('hangs in the middle', Math.max(...hanging.map((b) => b.sagM)), 'measured'),
        {
          label: 'mean over greatest sag',
          value: Math.max(...hanging.map((b) => b.share)),
          quantity: 'number',
          source: 'computed',
        },
      ],
      source:
        'Evenly loaded membrane: Poisson’s equation on the outline; .477 on a square, ½ on a disc.',
      note: 'A support from the back takes it away, and the weight of the resin makes it deeper.',
    };
  },
};
