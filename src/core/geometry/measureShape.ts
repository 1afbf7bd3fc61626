import { bareAreaOf, outlineArea, outlineSides } from './outline';
import { shapePath } from './shapePath';
import { ellipsePerimeter } from './ellipsePerimeter';
import type { Shape } from './shape';

/** Side lengths in the order of {@link shapeSides}: anticlockwise from the bottom, m. */
export interface ShapeMeasure {
  readonly areaM2: number;
  readonly perimeterM: number;
  readonly sideLengthsM: readonly number[];
  /** Area error, one standard deviation, m², from the error of one length reading. */
  readonly areaSigmaM2: number;
  readonly formula: string;
}

/** Reading error of one length with a steel rule or tape, one standard deviation, m. From memory. */
export const RULE_SIGMA_M = 0.5e-3;

const sum = (values: readonly number[]): number => values.reduce((total, v) => total + v, 0);

interface Parts {
  areaM2: number;
  sides: readonly number[];
  /** Sensitivities dA/d(reading), one for each reading taken, m. */
  sensitivity: readonly number[];
  formula: string;
}

function parts(shape: Shape): Parts {
  switch (shape.kind) {
    case 'rectangle': {
      const { widthM: w, heightM: h } = shape;
      return { areaM2: w * h, sides: [w, h, w, h], sensitivity: [h, w], formula: 'w · h' };
    }
    case 'roundedRectangle': {
      const { widthM: w, heightM: h, radiusM: r } = shape;
      const side = (length: number) => length - 2 * r + (Math.PI * r) / 2;
      return {
        areaM2: w * h - (4 - Math.PI) * r * r,
        sides: [side(w), side(h), side(w), side(h)],
        sensitivity: [h, w, 2 * (4 - Math.PI) * r],
        formula: 'w · h − (4 − π) · r²',
      };
    }
    case 'disc': {
      const d = shape.diameterM;
      return {
        areaM2: (Math.PI * d * d) / 4,
        sides: [Math.PI * d],
        sensitivity: [(Math.PI * d) / 2],
        formula: 'π · d² / 4',
      };
    }
    case 'ellipse': {
      const { widthM: w, heightM: h } = shape;
      return {
        areaM2: (Math.PI * w * h) / 4,
        sides: [ellipsePerimeter(w / 2, h / 2)],
        sensitivity: [(Math.PI * h) / 4, (Math.PI * w) / 4],
        formula: 'π · w · h / 4',
      };
    }
    case 'regularPolygon': {
      const { sides: n, sizeM } = shape;
      const half = Math.PI / n;
      const inradius = (shape.across === 'flats' ? sizeM : sizeM * Math.cos(half)) / 2;
      const areaM2 = n * inradius * inradius * Math.tan(half);
      return {
        areaM2,
        sides: Array.from({ length: n }, () => 2 * inradius * Math.tan(half)),
        sensitivity: [(2 * areaM2) / sizeM],
        formula: shape.across === 'flats' ? 'n / 4 · s² · tan(π / n)' : 'n / 8 · s² · sin(2π / n)',
      };
    }
    case 'outline': {
      const sides = outlineSides(shape.outer).map((side) => side.lengthM);
      return {
        areaM2: outlineArea(shape.outer, shape.keepBare),
        sides,
        // The piece may be larger or smaller than its drawing all round by one reading error.
        sensitivity: [sum(sides)],
        formula: '½ ∮ (x dy − y dx), less the bare parts',
      };
    }
  }
}

/**
 * Area and edge lengths of a shape, with the area's uncertainty from reading its dimensions.
 * @param shape lengths in m; call `checkShape` first
 * @param readingSigmaM error of each length reading, one standard deviation, m
 * Source: closed forms (Abramowitz & Stegun 3; ellipse perimeter 17.6). A polygon's size "across
 *   corners" is the diameter of its circumcircle, "across flats" that of its incircle, also for odd n.
 */
export function measureShape(shape: Shape, readingSigmaM = RULE_SIGMA_M): ShapeMeasure {
  const { areaM2, sides, sensitivity, formula } = parts(shape);
  const bare = shape.kind === 'outline' ? [] : (shape.keepBare ?? []);
  const bareM2 = bare.length > 0 ? bareAreaOf(shapePath(shape), bare) : 0;
  return {
    areaM2: areaM2 - bareM2,
    perimeterM: sum(sides),
    sideLengthsM: sides,
    areaSigmaM2: readingSigmaM * Math.hypot(...sensitivity),
    formula: bareM2 > 0 ? `${formula}, less the bare parts` : formula,
  };
}
