import { SURFACE_TENSION } from '@/core/capillary';
import {
  drainedEdgeMean,
  fluidityLeft,
  restForEdge,
  tolerableSlope,
  trappedBubble,
  waveLeft,
} from '@/core/film';
import { shapeBox, steepest } from '@/core/geometry';
import { mixDensity } from '@/core/resin';
import type { Area, Coat, Piece, Resin } from '@/data/records/types';
import type { Format } from '@/features/common/useFormat';
import type { Check } from './model';
import { domeCheck, edgeCheck, reliefCheck } from './rimChecks';

/** A wave as long as a palm: shorter ones level sooner. */
const WAVE_M = 0.1;
/** Share of it that may stay unseen, and the bubble that an eye finds, m. Judgement, no source. */
const WAVE_SHARE = 0.05;
const SEEN_M = 100e-6;
/** What a spirit level reads, rise over run. Common practice, no source. */
const SPIRIT_LEVEL = 0.75e-3;
const LEVEL_SHARE = 0.1;
/** Film that hides the grain of a ground, m, and the supports that have one. Judgement, no source. */
const HIDES_M = 60e-6;
const GRAINED: readonly Piece['support'][] = ['bare wood', 'paper on board'];

export interface Given {
  readonly coat: Coat;
  readonly areas: readonly Area[];
  readonly piece: Piece;
  readonly resin: Resin;
  /** Resin below the coat on each area, m. */
  readonly below: ReadonlyMap<string, number>;
  /** Mean of the linear dome on the face, solved on its outline; null while the worker is at it. */
  readonly mask: number | null;
  readonly format: Format;
}

export const film = (value: number, label: string, source: 'chosen' | 'computed' = 'computed') =>
  ({ label, value, quantity: 'film', source }) as const;

function waveCheck({ coat, resin, format }: Given, fluidity: number): Check {
  const left = waveLeft(
    WAVE_M,
    coat.thicknessM,
    mixDensity(resin.sheet),
    SURFACE_TENSION,
    fluidity,
  );
  return {
    verdict: left <= WAVE_SHARE ? 'fine' : 'watch',
    title: left <= WAVE_SHARE ? 'Waves level in time' : 'Long waves stay',
    detail: `${format.show(left, 'share', 0).text} is left of a wave of ${format.show(WAVE_M, 'length').text}`,
    quantity: 'share',
    explanation: {
      title: 'What is left of a wave',
      formula: 'exp(−τ · (γk + ρg/k)/2 · (sinh x cosh x − x)/(cosh² x + x²)), x = k h',
      inputs: [
        film(coat.thicknessM, 'film, h', 'chosen'),
        { label: 'wave', value: WAVE_M, quantity: 'length', source: 'rule of thumb' },
        { label: 'fluidity left, τ', value: fluidity, quantity: 'fluidity', source: 'computed' },
      ],
      source: 'Orchard 1962, with the fluidity integral of the sheet’s doubling law.',
      note: 'Shorter waves, brush marks among them, level sooner.',
    },
  };
}

function bubbleCheck({ coat, resin, format }: Given, fluidity: number): Check {
  const size = trappedBubble(coat.thicknessM, fluidity, mixDensity(resin.sheet));
  return {
    verdict: size <= SEEN_M ? 'fine' : 'watch',
    title: size <= SEEN_M ? 'Bubbles rise in time' : 'Bubbles stay',
    detail: `up to ${format.show(size, 'film').text} stay in`,
    quantity: 'film',
    explanation: {
      title: 'Largest bubble that stays',
      formula: 'K d² + d = h, K = ρ g τ / 18',
      inputs: [
        film(coat.thicknessM, 'film, h', 'chosen'),
        { label: 'fluidity left, τ', value: fluidity, quantity: 'fluidity', source: 'computed' },
      ],
      source: 'Stokes 1851, bubble stiffened by what collects on it.',
      note: 'A lower bound: air that a porous ground feeds later, and skin, are not in it. Rest before the pour makes it worse.',
    },
  };
}

function levelCheck({ coat, areas, piece, format }: Given): Check[] {
  const face = areas[0];
  if (!face) return [];
  const { widthM, heightM } = shapeBox(face.shape);
  const span = Math.max(widthM, heightM);
  const allowed = tolerableSlope(span, coat.thicknessM, LEVEL_SHARE, 'edge to edge');
  const read = piece.level ? steepest(piece.level.tilt).slope : null;
  const slope = read ?? SPIRIT_LEVEL;
  const fine = slope <= allowed;
  const perMetre = (s: number) => `${format.show(s, 'length', 2).text}/m`;
  const title = fine
    ? 'Level enough'
    : read === null
      ? 'A spirit level is not enough'
      : 'Out of level for this film';
  return [
    {
      verdict: fine ? 'fine' : 'watch',
      title,
      detail: `wants ${perMetre(allowed)}; ${read === null ? 'a spirit level reads' : 'read'} ${perMetre(slope)}`,
      quantity: 'length',
      explanation: {
        title: 'How level is level enough',
        formula: '10 % of the film over the longest side, edge to edge',
        inputs: [
          film(coat.thicknessM, 'film', 'chosen'),
          { label: 'longest side', value: span, quantity: 'length', source: 'measured' },
        ],
        source:
          'A film between dams ends with a level surface. 10 % is judgement; a spirit level at 0.5 to 1 mm/m is common practice, no source.',
      },
    },
  ];
}

/** Film that is left on an open edge, and the rest after mixing that would leave enough to hide the ground. */
function drainCheck({ coat, areas, piece, resin, format }: Given, fluidity: number): Check[] {
  const open = areas.flatMap((a) => a.edges).filter((e) => e.kind === 'open' && e.heightM > 0);
  if (open.length === 0) return [];
  const heightM = Math.max(...open.map((e) => e.heightM));
  const density = mixDensity(resin.sheet);
  const mean = drainedEdgeMean(heightM, fluidity, density);
  const restS = restForEdge(HIDES_M, heightM, resin.sheet, density);
  const shows = GRAINED.includes(piece.support) && mean < HIDES_M;
  const show = (m: number) => format.show(m, 'film').text;
  return [
    {
      verdict: shows ? 'watch' : 'fine',
      title: shows ? 'The ground shows on edges' : 'Edges as drained',
      detail: `${show(mean)} stay; ${format.show(restS, 'duration', 0).text} of rest leave ${show(HIDES_M)}`,
      quantity: 'film',
      explanation: {
        title: 'Film on the open edges',
        formula: '⅔ √(H / (ρ g τ)); rest = Td · log2(9 ρ g τ₀ · mean² / (4 H))',
        inputs: [
          { label: 'tallest open edge, H', value: heightM, quantity: 'length', source: 'measured' },
          { label: 'fluidity left, τ', value: fluidity, quantity: 'fluidity', source: 'computed' },
          {
            label: 'age of the mix at the edge',
            value: coat.restS,
            quantity: 'duration',
            source: 'rule of thumb',
          },
        ],
        source:
          'Jeffreys 1930. The film that hides a grained ground, 60 µm, is judgement, no source.',
        note: 'Rest before the edges pulls the other way for bubbles, and must end before the cup runs hot.',
      },
    },
  ];
}

/** What the film will do between the pour and its end: each with its number and reason. */
export function filmChecks(given: Given): Check[] {
  const fluidity = fluidityLeft(given.resin.sheet, given.coat.restS);
  return [
    ...edgeCheck(given),
    ...domeCheck(given),
    ...reliefCheck(given),
    ...levelCheck(given),
    ...drainCheck(given, fluidity),
    waveCheck(given, fluidity),
    bubbleCheck(given, fluidity),
  ];
}
