import { LEVEL_SHARE, SPIRIT_LEVEL, tolerableSlope } from '../../film';
import { reachOf, shapeBox, steepest } from '../../geometry';
import { isBrushed } from '../buildUp';
import { film, type CheckInput, type CheckOf } from './check';

export type LevelCheck = CheckOf<
  'level',
  {
    /** Slope that the film bears, rise over run. */
    readonly allowed: number;
    readonly slope: number;
    /** False: it was not read, and `slope` is what a spirit level leaves. */
    readonly wasRead: boolean;
  }
>;

/**
 * Whether the piece lies level enough for its film.
 * @returns null without an area, or for a coat that is brushed
 * Source: a film between dams ends with a level surface; the share is judgement.
 */
export function levelCheck({ coat, areas, tilt }: CheckInput): LevelCheck | null {
  const face = areas[0];
  if (!face || isBrushed(coat)) return null;
  const { widthM, heightM } = shapeBox(face.shape);
  const leans = tilt !== null && steepest(tilt).slope > 0;
  const span = leans
    ? reachOf(face.shape, [tilt.alongX, tilt.alongY]).lengthM
    : Math.max(widthM, heightM);
  const allowed = tolerableSlope(span, coat.thicknessM, LEVEL_SHARE, 'edge to edge');
  const slope = tilt ? steepest(tilt).slope : SPIRIT_LEVEL;
  return {
    id: 'level',
    verdict: slope <= allowed ? 'fine' : 'watch',
    figures: { allowed, slope, wasRead: tilt !== null },
    explanation: {
      title: 'How level is level enough',
      formula: '10 % of the film over the length along the slope, edge to edge',
      inputs: [
        film(coat.thicknessM, 'film', 'chosen'),
        {
          label: leans ? 'length along the steepest slope' : 'longest side',
          value: span,
          quantity: 'length',
          source: 'measured',
        },
      ],
      source:
        'A film between dams ends with a level surface. 10 % is judgement; a spirit level at 0.5 to 1 mm/m is common practice, no source.',
    },
  };
}
