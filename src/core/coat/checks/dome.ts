import type { ExplainInput } from '../../explain';
import { reachOf, shapeBox, steepest } from '../../geometry';
import { mixDensity } from '../../resin';
import { isBrushed } from '../buildUp';
import { angleFor, domeOn, mixLength } from '../domeOn';
import { filmShape } from '../filmShape';
import { RIM } from '../intent';
import { wallsOf } from '../planArea';
import { edgeKinds, film, flatAreas, type CheckArea, type CheckInput, type CheckOf } from './check';

export type DomeCheck = CheckOf<
  'dome',
  {
    readonly areaName: string;
    /** Angle of the rim, rad; null: even an upright rim does not hold it. */
    readonly rimRad: number | null;
    /** Mass that is safe on one piece, and what is left of it, kg; below 0: over. */
    readonly safeKg: number;
    readonly spareKg: number;
    /** Mass at which even an upright rim lets go, kg. */
    readonly spillsKg: number;
  }
>;

const computed = (
  label: string,
  value: number,
  quantity: ExplainInput['quantity'],
): ExplainInput => ({ label, value, quantity, source: 'computed' });

/** A recess over its rim by less than this is level with it, m. */
const ROUNDING_M = 1e-9;
/** Over the safe mean by less than rounding is not over, m³. */
const ROUNDING_M3 = 1e-12;

/** A rim that holds a film in: no open edge, and not all of them walls. */
const domes = (area: CheckArea): boolean => {
  const kinds = edgeKinds(area);
  return !kinds.includes('open') && kinds.includes('doming');
};

/**
 * Whether a film that must not run over its rims stays on its face or back, and what it would take to spill.
 * @returns null where no area ends in a dome and no recess is filled over its rim, or the coat is brushed; of several
 *   areas the one closest to spilling
 * Source: capillary statics with the balance of forces; the safe angle is from memory.
 */
export function domeCheck(input: CheckInput): DomeCheck | null {
  if (isBrushed(input.coat)) return null;
  const over = input.areas.filter((a) => a.kind === 'recess' && overRim(input, a) > 0);
  const found = [...flatAreas(input).filter(domes), ...over]
    .map((area) => domeOnArea(input, area))
    .sort((a, b) => a.figures.spareKg - b.figures.spareKg);
  return found[0] ?? null;
}

/** How far a recess is filled over its rim, m: that much of it is held by the rim alone. */
const overRim = (input: CheckInput, area: CheckArea): number =>
  area.belowM + input.coat.thicknessM - area.depthM - ROUNDING_M;

function domeOnArea(input: CheckInput, area: CheckArea): DomeCheck {
  const { coat, count, sheet } = input;
  const lengthM = mixLength(sheet);
  const recess = area.kind === 'recess';
  const shape = filmShape(area.shape, recess ? [] : wallsOf(area), lengthM);
  const density = mixDensity(sheet);
  const safe = domeOn(shape, RIM.safe, lengthM);
  const greatest = domeOn(shape, Math.PI / 2, lengthM);
  // One surface, however many coats: what lies there already is part of the dome; a recess holds its depth without one.
  const laidM = area.belowM - (recess ? area.depthM : 0);
  const t = coat.thicknessM + laidM;
  const rimRad = angleFor(shape, 'meanM', t, lengthM);
  const now = rimRad === null ? null : domeOn(shape, rimRad, lengthM);
  const roomM3 = (safe.meanM - t) * shape.areaM2;
  const safeKg = Math.max(0, safe.meanM - laidM) * shape.areaM2 * density;
  const tilt = now ? Math.max(0, safe.centreM - now.centreM) / slopeReach(input, area) : 0;
  const over = roomM3 < -ROUNDING_M3;
  return {
    id: 'dome',
    verdict: rimRad === null ? 'stop' : over ? 'watch' : 'fine',
    figures: {
      areaName: area.name,
      rimRad,
      safeKg,
      spillsKg: Math.max(0, greatest.meanM - laidM) * shape.areaM2 * density,
      spareKg: over ? roomM3 * density : Math.abs(roomM3) * density,
    },
    explanation: {
      title: 'Dome on this outline',
      formula:
        shape.discM === null
          ? 'mean = 2 lc sin(θ/2)/g · (1 − (1 − m) cos(θ/2)), turned round for the angle θ of the rim'
          : 'Young–Laplace over the disc, turned round for the angle θ of the rim; V = π a² (2 c lc² + H) − 2 π a lc² sin θ',
      inputs: [
        film(coat.thicknessM, 'mean film of the coat', 'chosen'),
        recess
          ? film(-laidM, 'depth of the recess that it fills first')
          : film(laidM, 'mean film that lies there already'),
        ...(now ? [film(now.centreM, 'height in the middle')] : []),
        film(lengthM, 'capillary length, lc = √(γ / ρ g)'),
        ...(shape.mask === undefined
          ? []
          : [computed('m, solved on the outline', shape.mask, 'number')]),
        film(safe.meanM, 'safe mean, at 60°'),
        film(safe.centreM, 'safe height in the middle, at 60°'),
        computed('safe mass on one piece', safeKg, 'mass'),
        film(greatest.meanM, 'greatest mean, at 90°'),
        computed(
          'over-dose to the greatest, one piece',
          Math.max(0, greatest.meanM - t) * shape.areaM2 * density,
          'mass',
        ),
        computed('tilt it forgives, rise over 1 m', tilt, 'length'),
        { label: 'area of one face', value: shape.areaM2, quantity: 'area', source: 'measured' },
        { label: 'pieces', value: count, quantity: 'number', source: 'chosen' },
      ],
      source:
        'Capillary statics with the balance of forces; surface tension 0.040 N/m ± 12 % and the safe angle are from memory.',
      note: 'Tilt raises the low side by its distance from the middle × slope until its rim stands at 60°. A nick, a dusty or a rounded edge lets go sooner.',
    },
  };
}

/** From the middle to the low end along the slope, m; half the longest side while it is not known where that goes. */
function slopeReach({ tilt }: CheckInput, area: CheckArea): number {
  if (tilt && steepest(tilt).slope > 0)
    return reachOf(area.shape, [-tilt.alongX, -tilt.alongY]).aheadM;
  const { widthM, heightM } = shapeBox(area.shape);
  return Math.max(widthM, heightM) / 2;
}
