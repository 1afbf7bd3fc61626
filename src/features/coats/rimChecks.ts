import { angleFor, CLOSED_FORM_SIDE, domeOn, RIM, shareProud, tallestRelief } from '@/core/coat';
import { shapeBox } from '@/core/geometry';
import { mixDensity } from '@/core/resin';
import { domeShapeOf, lengthOf } from '@/data/records/coatFacts';
import { edgeKindsOf } from '@/data/records/types';
import { film, type Given } from './filmChecks';
import type { Check } from './model';

/** Coats that are brushed thin: they wet what they touch and do not have to hold themselves. */
const BRUSHED = ['seal', 'edge', 'patch'];

/** Whether open edges hold the film, and what runs off. */
export function edgeCheck({ coat, areas, piece, resin, format }: Given): Check[] {
  const open = areas.find((a) => a.kind === 'face' && edgeKindsOf(a).includes('open'));
  if (!open || BRUSHED.includes(coat.kind)) return [];
  const shape = { ...domeShapeOf(open.shape), discM: null };
  const length = lengthOf(resin.sheet);
  const low = domeOn(shape, RIM.drawsBack, length).meanM;
  const high = domeOn(shape, RIM.safe, length).meanM;
  const t = coat.thicknessM;
  const off = Math.max(0, t - high) * shape.areaM2 * piece.count;
  const show = (m: number) => format.show(m, 'film').text;
  const title =
    t < low
      ? 'Draws back at open edges'
      : off > 0
        ? `${format.show(off, 'volume').text} run off open edges`
        : 'Open edges hold it';
  return [
    {
      verdict: t < low || off > 0 ? 'watch' : 'fine',
      title,
      detail: `they hold ${show(low)} to ${show(high)} on this outline`,
      quantity: 'film',
      explanation: {
        title: 'Film that open edges hold',
        formula: '2 lc sin(θ/2) · (1 − (1 − m) cos(θ/2)), θ from 30° to 60°',
        inputs: [
          film(t, 'film', 'chosen'),
          film(length, 'capillary length, lc = √(γ / ρ g)'),
          film(low, 'at 30°: thinner draws back'),
          film(domeOn(shape, RIM.natural, length).meanM, 'at 50°: levels itself and stays'),
          film(high, 'at 60°: thicker runs off'),
          { label: 'area of the face', value: shape.areaM2, quantity: 'area', source: 'measured' },
        ],
        source:
          'Capillary statics with the balance of forces; surface tension 0.040 N/m ± 12 % and the angles are from memory.',
        note: 'Draughts, dust and a rounded edge lower it; a taped wall holds more.',
      },
    },
  ];
}

/** Whether a film that ends in a dome all round stays on its face, and what it would take to spill. */
export function domeCheck({ coat, areas, piece, resin, below, mask, format }: Given): Check[] {
  const face = areas.find(
    (a) => a.kind === 'face' && edgeKindsOf(a).every((kind) => kind === 'doming'),
  );
  if (!face || BRUSHED.includes(coat.kind)) return [];
  const length = lengthOf(resin.sheet);
  const told = domeShapeOf(face.shape);
  // An odd outline, with sides too short for the closed form or parts taped off, is solved on a grid.
  const odd = (told.shortestM < CLOSED_FORM_SIDE * length || told.holes > 0) && mask !== null;
  const shape = odd ? { ...told, mask } : told;
  const density = mixDensity(resin.sheet);
  const safe = domeOn(shape, RIM.safe, length);
  const greatest = domeOn(shape, Math.PI / 2, length);
  // One surface, however many coats: what lies there already is part of the dome.
  const laidM = below.get(face.id) ?? 0;
  const t = coat.thicknessM + laidM;
  const angle = angleFor(shape, 'meanM', t, length);
  const now = angle === null ? null : domeOn(shape, angle, length);
  const room = (safe.meanM - t) * shape.areaM2;
  const grams = (m3: number) => format.scale(Math.abs(m3) * density).text;
  const { widthM, heightM } = shapeBox(face.shape);
  const tilt = now ? Math.max(0, safe.centreM - now.centreM) / (Math.max(widthM, heightM) / 2) : 0;
  const rim = angle === null ? '' : `rim at ${format.show(angle, 'angle', 0).text}; `;
  const over = room < -1e-12;
  return [
    {
      verdict: angle === null ? 'stop' : over ? 'watch' : 'fine',
      title:
        angle === null ? 'The dome spills' : over ? 'Dome close to spilling' : 'The dome holds',
      detail: `${rim}safe up to ${grams(Math.max(0, safe.meanM - laidM) * shape.areaM2)} a piece, ${
        over ? `${grams(room)} over` : `${grams(room)} to spare`
      }`,
      quantity: 'film',
      explanation: {
        title: 'Dome on this outline',
        formula:
          shape.discM === null
            ? 'mean = 2 lc sin(θ/2)/g · (1 − (1 − m) cos(θ/2)), turned round for the angle θ of the rim'
            : 'Young–Laplace over the disc, turned round for the angle θ of the rim; V = π a² (2 c lc² + H) − 2 π a lc² sin θ',
        inputs: [
          film(coat.thicknessM, 'mean film of the coat', 'chosen'),
          film(laidM, 'mean film that lies there already'),
          ...(now ? [film(now.centreM, 'height in the middle')] : []),
          film(length, 'capillary length, lc = √(γ / ρ g)'),
          ...(odd
            ? [
                {
                  label: 'm, solved on the outline',
                  value: mask,
                  quantity: 'number',
                  source: 'computed',
                } as const,
              ]
            : []),
          film(safe.meanM, 'safe mean, at 60°'),
          film(safe.centreM, 'safe height in the middle, at 60°'),
          {
            label: 'safe mass on one piece',
            value: Math.max(0, safe.meanM - laidM) * shape.areaM2 * density,
            quantity: 'mass',
            source: 'computed',
          },
          film(greatest.meanM, 'greatest mean, at 90°'),
          {
            label: 'over-dose to the greatest, one piece',
            value: Math.max(0, greatest.meanM - t) * shape.areaM2 * density,
            quantity: 'mass',
            source: 'computed',
          },
          {
            label: 'tilt it forgives, rise over 1 m',
            value: tilt,
            quantity: 'length',
            source: 'computed',
          },
          { label: 'area of one face', value: shape.areaM2, quantity: 'area', source: 'measured' },
          { label: 'pieces', value: piece.count, quantity: 'number', source: 'chosen' },
        ],
        source:
          'Capillary statics with the balance of forces; surface tension 0.040 N/m ± 12 % and the safe angle are from memory.',
        note: 'Tilt raises the low side by half the size × slope until its rim stands at 60°. A nick, a dusty or a rounded edge lets go sooner.',
      },
    },
  ];
}

/** Whether relief stands above the coat. */
export function reliefCheck({ coat, areas, below, format }: Given): Check[] {
  const tall = areas.filter((a) => a.relief.length > 0);
  if (tall.length === 0 || coat.kind === 'edge') return [];
  const top = (id: string) => (below.get(id) ?? 0) + coat.thicknessM;
  const [worst] = tall
    .map((a) => ({
      proudM: tallestRelief(a.relief) - top(a.id),
      share: shareProud(a.relief, top(a.id)),
      a,
    }))
    .sort((x, y) => y.proudM - x.proudM);
  if (!worst) return [];
  const { proudM, share, a } = worst;
  const stands = proudM > 1e-9;
  const show = (m: number) => format.show(m, 'film').text;
  return [
    {
      verdict: stands ? 'watch' : 'fine',
      title: stands ? 'Relief stands proud' : 'Relief is buried',
      detail: stands
        ? `by ${show(proudM)} at most, on ${format.show(share, 'share', 1).text} of ${a.name}`
        : `under ${show(-proudM)} of cover`,
      quantity: 'film',
      explanation: {
        title: 'Relief against the coat',
        formula: 'greatest relief − surface of the coat; share · (1 − z/g)^p stands above z',
        inputs: [
          film(tallestRelief(a.relief), 'greatest relief, g'),
          film(top(a.id), 'surface of the coat, z'),
          {
            label: 'share of the area above it',
            value: share,
            quantity: 'share',
            source: 'computed',
          },
        ],
        source: 'Distribution with the surveyed greatest and mean height; judgement, no source.',
        note: 'A lock coat may leave it proud on purpose; the next ones bury it.',
      },
    },
  ];
}
