import { isBrushed } from '../buildUp';
import { domeOn, domeShapeOf, mixLength } from '../domeShape';
import { RIM } from '../intent';
import { edgeKinds, film, type CheckInput, type CheckOf } from './check';

export type EdgeCheck = CheckOf<
  'edge',
  {
    /** Films between which open edges hold the resin on this outline, m. */
    readonly lowM: number;
    readonly highM: number;
    /** What runs off all pieces, m³; 0 when the edges hold it. */
    readonly runsOffM3: number;
    readonly drawsBack: boolean;
  }
>;

/**
 * Whether open edges hold the film of a coat, and what runs off.
 * @returns null where no face with an open edge is covered, or the coat is brushed
 * Source: capillary statics; angles and surface tension from memory.
 */
export function edgeCheck({ coat, areas, count, sheet }: CheckInput): EdgeCheck | null {
  const open = areas.find((a) => a.kind === 'face' && edgeKinds(a).includes('open'));
  if (!open || isBrushed(coat)) return null;
  const shape = { ...domeShapeOf(open.shape), discM: null };
  const lengthM = mixLength(sheet);
  const lowM = domeOn(shape, RIM.drawsBack, lengthM).meanM;
  const highM = domeOn(shape, RIM.safe, lengthM).meanM;
  const t = coat.thicknessM;
  const runsOffM3 = Math.max(0, t - highM) * shape.areaM2 * count;
  const drawsBack = t < lowM;
  return {
    id: 'edge',
    verdict: drawsBack || runsOffM3 > 0 ? 'watch' : 'fine',
    figures: { lowM, highM, runsOffM3, drawsBack },
    explanation: {
      title: 'Film that open edges hold',
      formula: '2 lc sin(θ/2) · (1 − (1 − m) cos(θ/2)), θ from 30° to 60°',
      inputs: [
        film(t, 'film', 'chosen'),
        film(lengthM, 'capillary length, lc = √(γ / ρ g)'),
        film(lowM, 'at 30°: thinner draws back'),
        film(domeOn(shape, RIM.natural, lengthM).meanM, 'at 50°: levels itself and stays'),
        film(highM, 'at 60°: thicker runs off'),
        { label: 'area of the face', value: shape.areaM2, quantity: 'area', source: 'measured' },
      ],
      source:
        'Capillary statics with the balance of forces; surface tension 0.040 N/m ± 12 % and the angles are from memory.',
      note: 'Draughts, dust and a rounded edge lower it; a taped wall holds more.',
    },
  };
}
