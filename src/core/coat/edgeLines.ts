import { drainedEdgeMean } from '../film';
import { bandFilm, beadSection } from './edgeWetting';
import type { LedgerArea } from './input';
import {
  covers,
  film,
  POUR_SIGMA,
  stays,
  sum,
  volume,
  type BodyLine,
  type LineContext,
} from './lineParts';

const bandM2 = (a: LedgerArea): number => a.openEdges.reduce((s, e) => s + e.areaM2, 0);
const edgeM = (a: LedgerArea): number => a.openEdges.reduce((s, e) => s + e.lengthM, 0);
const bandsM3 = (a: LedgerArea, c: LineContext): number =>
  bandM2(a) * bandFilm(c.edges, c.thicknessM) * c.coverage;
const beadsM3 = (a: LedgerArea, c: LineContext): number =>
  edgeM(a) * beadSection(c.edges, c.lengthM) * c.coverage;

/** Film that stays on the bands of an area once they have drained, m. */
const drained = (a: LedgerArea, c: LineContext): number => {
  const areaM2 = bandM2(a);
  const staysM3 = a.openEdges.reduce(
    (s, e) => s + e.areaM2 * drainedEdgeMean(e.heightM, c.liquid),
    0,
  );
  return areaM2 > 0 ? staysM3 / areaM2 : 0;
};

export const edges: BodyLine = {
  id: 'edges',
  sigmaShare: POUR_SIGMA,
  poured: true,
  volume: bandsM3,
  explain: (areas, c) => {
    const laid = bandFilm(c.edges, c.thicknessM);
    return {
      title: 'Wets the edges',
      formula: 'edge area × film that is laid on them',
      inputs: [
        {
          label: 'area of open edges',
          value: sum(areas, bandM2),
          quantity: 'area',
          source: 'measured',
        },
        film(
          'film laid on',
          laid,
          c.edges.by === 'brush' || c.edges.by === 'edge coat' ? 'chosen' : 'rule of thumb',
        ),
        film(
          'of it stays when it has drained',
          Math.min(laid, Math.max(...areas.map((a) => drained(a, c)))),
        ),
        {
          label: 'fluidity left, τ',
          value: c.liquid.fluidityPerPa,
          quantity: 'fluidity',
          source: 'computed',
        },
        {
          label: 'age of the mix at the edge',
          value: c.restS,
          quantity: 'duration',
          source: 'rule of thumb',
        },
      ],
      source:
        '0.4 to 0.6 mm by hand: common practice, no source. What stays: ⅔ · √(H / (ρ g τ)), Jeffreys 1930.',
      note: 'The rest of it drains into the bead and off the edge, whatever was laid on.',
    };
  },
};

export const bead: BodyLine = {
  id: 'bead',
  sigmaShare: POUR_SIGMA,
  poured: true,
  volume: beadsM3,
  explain: (areas, c) => ({
    title: 'Bead under the edge',
    formula: 'length × lc²',
    inputs: [
      {
        label: 'length of open edges',
        value: sum(areas, edgeM),
        quantity: 'length',
        source: 'measured',
      },
      film('capillary length, lc = √(γ / ρ g)', c.lengthM),
    ],
    source: 'What hangs under a lower arris, 0.5 to 1.2 lc² of section: from memory.',
    note: 'Scrape it off with a stick while it is soft, or file it later.',
  }),
};

/** What the face gives up to its edges, and what a flood over them takes besides, m³ on one piece. */
export function runsOff(a: LedgerArea, c: LineContext): number {
  const excess = a.areaM2 * (c.thicknessM - stays(a, c.thicknessM)) * covers(c);
  const wets = bandsM3(a, c) + beadsM3(a, c);
  if (c.edges.by === 'flood')
    return excess + Math.max(0, edgeM(a) * c.edges.perMetreM2 * c.coverage - wets);
  // What the face cannot hold wets the edges first.
  return excess - Math.min(excess, wets);
}

export const runOff: BodyLine = {
  id: 'run-off',
  sigmaShare: POUR_SIGMA,
  poured: true,
  volume: runsOff,
  explain: (areas, c) => {
    const held = areas.filter((a) => stays(a, c.thicknessM) < c.thicknessM);
    return {
      title: 'Runs off open edges',
      formula:
        c.edges.by === 'flood'
          ? 'length × what a metre takes − band − bead'
          : 'area × (film − what the edges hold) − band − bead',
      inputs: [
        ...(c.edges.by === 'flood'
          ? [
              {
                label: 'length of open edges',
                value: sum(areas, edgeM),
                quantity: 'length',
                source: 'measured',
              } as const,
              volume('taken by each metre', c.edges.perMetreM2, 'rule of thumb'),
            ]
          : []),
        film('film poured', c.thicknessM, 'chosen'),
        ...held.map((a) => film(`open edges of ${a.name} hold`, stays(a, c.thicknessM))),
        volume(
          'runs off',
          sum(areas, (a) => runsOff(a, c)),
        ),
      ],
      source:
        'About 50 ml a metre, 35 to 70: common practice, no source. What edges hold: capillary statics at 60°, from memory.',
      note: 'Most of it drips off: catch it and feed it back to thin places while it is fluid.',
    };
  },
};
