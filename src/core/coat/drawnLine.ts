import { film, POUR_SIGMA, sum, type BodyLine } from './lineParts';

/** Width and angle of a hand-drawn bead are known no better than this, share of its section. Judgement, no source. */
const LINE_SIGMA = 0.2;

export const drawn: BodyLine = {
  id: 'line',
  sigmaShare: Math.hypot(LINE_SIGMA, POUR_SIGMA),
  volume: (a) => (a.line ? a.line.lengthM * a.line.sectionM2 : 0),
  explain: (areas) => {
    const beads = areas.flatMap((a) => (a.line ? [a.line] : []));
    return {
      title: 'Drawn line',
      formula: 'length × section of its bead',
      inputs: [
        {
          label: 'length, all pieces',
          value: sum(areas, (a) => a.line?.lengthM ?? 0),
          quantity: 'length',
          source: 'measured',
        },
        film('width', Math.max(...beads.map((b) => b.widthM)), 'chosen'),
        film('height in the middle', Math.max(...beads.map((b) => b.heightM))),
        {
          label: 'section',
          value: Math.max(...beads.map((b) => b.sectionM2)),
          quantity: 'area',
          source: 'computed',
        },
      ],
      source:
        'Young–Laplace over a long strip; a narrow one is a circular segment, (w²/4)(θ − sin θ cos θ)/sin² θ.',
      note: 'A thicker line reaches farther when it is blown: common practice, no source.',
    };
  },
};
