import type { CupOutlook, HeatClass } from '@/core/resin/model';

const minutes = (s: number): string => `${Math.round(s / 60)} min`;

/** What to do when, in the order of the clock. */
export function cupSteps({ workingS, edges, linesFromS, by, sigma }: CupOutlook): readonly {
  readonly when: string;
  readonly what: string;
}[] {
  const early = minutes(workingS * Math.exp(-sigma));
  return [
    { when: `to ${minutes(edges?.fromS ?? workingS)}`, what: 'flows like fresh: flood and level' },
    ...(edges
      ? [
          {
            when: `${minutes(edges.fromS)} to ${minutes(edges.toS)}`,
            what: 'clings: go round the edges',
          },
        ]
      : []),
    ...(linesFromS !== null
      ? [{ when: `from ${minutes(linesFromS)}`, what: 'lines that are drawn stay' }]
      : []),
    {
      when: `${minutes(workingS)}`,
      what:
        by === 'hot'
          ? `stop: its cup runs hot (perhaps at ${early} already)`
          : `stop: it no longer levels (perhaps at ${early} already)`,
    },
  ];
}

export const HEAT_WORDS: Readonly<Record<HeatClass, string>> = {
  warm: 'gets hand-warm when it is forgotten in its cup',
  hot: 'gets too hot to hold when it is forgotten in its cup',
  dangerous:
    'gets dangerous when it is forgotten in its cup: it can smoke, crack the cup and burn. Pour it out in time, never cover it',
};

/** What a film is at each mark. */
export const FILM_WORDS: Readonly<Record<CupOutlook['film'][number]['mark'], string>> = {
  open: 'can be worked until',
  gel: 'flows no more',
  'tack-free': 'no longer tacky',
  handle: 'bears a hand',
  full: 'fully cured',
};

/** A model that is farther off its sheet than this draws another resin, logarithm of the ratio. Judgement, no source. */
const MEETS = Math.log(1.33);

/** How well the model meets the sheet it was fitted to; the full cure, which sheets tell by many rules, does not count. */
export function fitWords({ film }: Pick<CupOutlook, 'film'>): string {
  const off = film.flatMap((f) =>
    f.mark === 'full' ? [] : [Math.abs(Math.log(f.modelS / f.sheetS))],
  );
  return Math.max(...off) < MEETS
    ? 'The model meets its sheet within a third up to handling: it can be trusted for other masses and rooms. A full cure is told by many rules.'
    : '! The model does not meet its sheet: these times hardly belong to one resin. Look at the sheet again before you trust other masses.';
}

/** How much the sheet has told, in words: the model's numbers are as good as that. */
export function determinedWords({ left }: Pick<CupOutlook, 'left'>): string {
  const warmth = left.energyJMol > 0.9;
  return warmth
    ? 'The sheet tells its pace well; how it changes with warmth is taken as usual for such resins, since all its times are for one temperature.'
    : 'The sheet tells its pace, and how it changes with warmth.';
}
