import type { Explanation, ExplainInput } from '@/core/explain';
import { LEVEL_SHARE, tiltDifference, tiltFluidity, tolerableSlope } from '@/core/film';
import { measureShape, pathArea, shapePath, type FaceMeasure, type Shape } from '@/core/geometry';
import type { Area } from '@/records';
import type { PlannedFilm } from './SurveyContext';

function dimensions(shape: Shape): ExplainInput[] {
  const names: Readonly<Record<string, string>> = {
    widthM: 'width, w',
    heightM: 'height, h',
    radiusM: 'corner radius, r',
    diameterM: 'diameter, d',
    sizeM: `size across ${shape.kind === 'regularPolygon' ? shape.across : ''}, s`,
  };
  const bare: ExplainInput[] =
    (shape.keepBare?.length ?? 0) > 0
      ? [
          {
            label: 'outline with its bare parts',
            value: Math.abs(pathArea(shapePath(shape))),
            quantity: 'area',
            source: 'computed',
          },
        ]
      : [];
  if (shape.kind === 'outline')
    return [
      {
        label: 'stretches of the outline',
        value: shape.outer.segments.length,
        quantity: 'number',
        source: 'measured',
      },
      ...bare,
    ];
  const typed = Object.entries(shape).flatMap(([key, value]): ExplainInput[] => {
    if (key === 'sides')
      return [{ label: 'sides, n', value: Number(value), quantity: 'number', source: 'measured' }];
    const label = names[key];
    return label ? [{ label, value: Number(value), quantity: 'length', source: 'measured' }] : [];
  });
  return [...typed, ...bare];
}

const HOW: Readonly<Record<Area['measured']['by'], string>> = {
  rule: 'Closed form of the shape; each length read to ±0.5 mm (from memory).',
  drawing:
    'Green’s theorem over the drawn outline; taken as true to ±0.5 mm all round (from memory).',
  photo:
    'Traced from a photo straightened by a homography; error from marks, sheet, edge, height and lens by JCGM 100.',
};

/** How the area of a face was worked out. */
export function areaExplanation(
  shape: Shape,
  measure: FaceMeasure,
  by: Area['measured']['by'],
): Explanation {
  const whole = measureShape(shape);
  const lost = whole.areaM2 - measure.areaM2;
  return {
    title: 'Area of one face',
    formula: lost > 1e-9 ? `${whole.formula}, less what the edge profiles take` : whole.formula,
    inputs: [
      ...dimensions(shape),
      ...(lost > 1e-9
        ? [
            {
              label: 'taken by rounded or bevelled edges',
              value: lost,
              quantity: 'area',
              source: 'computed',
            } as const,
          ]
        : []),
    ],
    source: HOW[by],
    sigma: measure.areaSigmaM2,
  };
}

/** How the length of the edge was worked out. */
export function edgeExplanation(shape: Shape, measure: FaceMeasure): Explanation {
  return {
    title: 'Length of the edge',
    formula: 'sum of the sides',
    inputs: [
      ...dimensions(shape),
      ...measure.edges.slice(0, 8).map(({ lengthM }, i): ExplainInput => ({
        label: `side ${i + 1}`,
        value: lengthM,
        quantity: 'length',
        source: 'computed',
      })),
    ],
    source:
      'Closed form; ellipse by the arithmetic-geometric mean (Abramowitz & Stegun 17.6); curves by quadrature.',
  };
}

/** How the unrolled area of all edges was worked out. */
export function bandExplanation(measure: FaceMeasure): Explanation {
  return {
    title: 'Area of the edges, unrolled',
    formula: 'Σ length × girth − turn × first moment of the profile',
    inputs: measure.edges.slice(0, 8).flatMap(({ lengthM, girthM }, i): ExplainInput[] => [
      { label: `side ${i + 1}, length`, value: lengthM, quantity: 'length', source: 'computed' },
      { label: `side ${i + 1}, girth`, value: girthM, quantity: 'length', source: 'computed' },
    ]),
    source: 'Theorem of Pappus and Guldin; exact for straight edges and discs.',
  };
}

/** How much a recess holds when it is filled to its rim. */
export function recessExplanation(measure: FaceMeasure, depthM: number): Explanation {
  return {
    title: 'Volume that the recess holds',
    formula: 'area × depth',
    inputs: [
      { label: 'area', value: measure.areaM2, quantity: 'area', source: 'computed' },
      { label: 'depth', value: depthM, quantity: 'length', source: 'measured' },
    ],
    source: 'Geometry: a flat floor and upright walls.',
    sigma: measure.areaSigmaM2 * depthM,
  };
}

/** The film that level is judged by when no coat is planned. */
export const LEVEL_FILM_M = 1.6e-3;

/** What slope a piece tolerates along its length. */
export function levelExplanation(
  lengthM: number,
  slope: number,
  filmM = LEVEL_FILM_M,
): { readonly tolerable: number; readonly explanation: Explanation } {
  const tolerable = tolerableSlope(lengthM, filmM, LEVEL_SHARE, 'edge to edge');
  return {
    tolerable,
    explanation: {
      title: 'How level is level enough',
      formula: 'share × film ÷ length',
      inputs: [
        { label: 'length along the slope', value: lengthM, quantity: 'length', source: 'measured' },
        {
          label: 'film',
          value: filmM,
          quantity: 'film',
          source: filmM === LEVEL_FILM_M ? 'rule of thumb' : 'chosen',
        },
        {
          label: 'difference allowed, edge to edge',
          value: LEVEL_SHARE,
          quantity: 'share',
          source: 'rule of thumb',
        },
        {
          label: 'slope found, mm per m',
          value: slope * 1000,
          quantity: 'number',
          source: 'measured',
        },
        {
          label: 'slope tolerable, mm per m',
          value: tolerable * 1000,
          quantity: 'number',
          source: 'computed',
        },
      ],
      source:
        'A film between dams ends with a level surface: its thickness differs by length × slope.',
      note: 'Taken to run as far as it can. Thick resin stops sooner, and then less of the tilt shows.',
    },
  };
}

/** How much a tilt makes the planned film differ before its resin stops. */
export function unevenExplanation(
  lengthM: number,
  slope: number,
  film: PlannedFilm,
): Explanation & { readonly valueM: number } {
  const { thicknessM, densityKgM3, fluidityPerPa } = film;
  return {
    valueM: tiltDifference(lengthM, slope, thicknessM, film),
    title: `What this tilt makes of ${film.name}`,
    formula: 'L · slope · (1 − 8/π² Σ exp(−n² τ/T) / n²), T = 3 L² / (π² ρ g h³)',
    inputs: [
      {
        label: 'length along the slope, L',
        value: lengthM,
        quantity: 'length',
        source: 'measured',
      },
      { label: 'film, h', value: thicknessM, quantity: 'film', source: 'chosen' },
      {
        label: 'density of the mix, ρ',
        value: densityKgM3,
        quantity: 'density',
        source: 'data sheet',
      },
      {
        label: 'fluidity left, τ',
        value: fluidityPerPa,
        quantity: 'fluidity',
        source: 'data sheet',
      },
      {
        label: 'slowest mode, T',
        value: tiltFluidity(lengthM, thicknessM, densityKgM3),
        quantity: 'fluidity',
        source: 'computed',
      },
    ],
    source: 'Linear thin-film levelling between two dams, fluidity that the cure leaves.',
    note: 'Poured fresh; resin that has rested runs less. Open edges let some of it run off instead.',
  };
}
