import { isBrushed } from '../buildUp';
import { mixLength } from '../domeOn';
import { filmShape } from '../filmShape';
import { heldOn, RIM } from '../intent';
import { wallsOf } from '../planArea';
import { edgeKinds, film, flatAreas, lies, type CheckInput, type CheckOf } from './check';

export type EdgeCheck = CheckOf<
  'edge',
  {
    /** Films between which open edges hold the resin on this outline, m. */
    readonly lowM: number;
    readonly highM: number;
    /** What is poured and what stays on the face, m, and what runs off all pieces, m³; 0 when the edges hold it. */
    readonly pouredM: number;
    readonly staysM: number;
    readonly runsOffM3: number;
    readonly drawsBack: boolean;
    /** It is flooded over them on purpose. */
    readonly meant: boolean;
  }
>;

/**
 * Whether open edges hold the film of a coat, and what runs off.
 * @returns null where no face or back with an open edge is covered, or the coat is brushed
 * Source: capillary statics; angles and surface tension from memory. What runs off is the ledger's.
 */
export function edgeCheck(input: CheckInput): EdgeCheck | null {
  const { coat, sheet, runsOffM3 } = input;
  const open = flatAreas(input).filter((a) => edgeKinds(a).includes('open'));
  if (open.length === 0 || isBrushed(coat)) return null;
  const lengthM = mixLength(sheet);
  const held = open.map((area) => {
    const shape = filmShape(area.shape, wallsOf(area), lengthM);
    return { area, shape, highM: heldOn(shape, RIM.safe, lengthM) };
  });
  const [worst] = held.sort((a, b) => a.highM - b.highM);
  if (!worst) return null;
  const { area, shape, highM } = worst;
  const lowM = heldOn(shape, RIM.drawsBack, lengthM);
  const t = coat.thicknessM;
  const spread = coat.intent.by === 'spread';
  // Wetted by hand or keyed by a coat below, a film stays where it was put.
  const drawsBack = t < lowM && !spread && area.belowM === 0;
  const meant = coat.intent.by === 'over';
  const over = !meant && runsOffM3 > 0;
  return {
    id: 'edge',
    verdict: drawsBack || over ? 'watch' : 'fine',
    figures: { lowM, highM, pouredM: t, staysM: lies(input, area.id), runsOffM3, drawsBack, meant },
    explanation: {
      title: 'Film that open edges hold',
      formula: '2 lc sin(θ/2)/g · (1 − (1 − m) cos(θ/2)), θ from 30° to 60°',
      inputs: [
        film(t, 'film that is poured', 'chosen'),
        film(lengthM, 'capillary length, lc = √(γ / ρ g)'),
        film(lowM, 'at 30°: thinner draws back on bare ground'),
        film(heldOn(shape, RIM.natural, lengthM), 'at 47.5°: levels itself and stays'),
        film(highM, 'at 60°: thicker runs off'),
        film(lies(input, area.id), 'stays on the face'),
        { label: 'area of the face', value: shape.areaM2, quantity: 'area', source: 'measured' },
      ],
      source:
        'Capillary statics with the balance of forces; the straightest rim decides. Surface tension 0.040 N/m ± 12 % and the angles are from memory.',
      note: 'Draughts, dust and a rounded edge lower it; a taped wall holds more.',
    },
  };
}
