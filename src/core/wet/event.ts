/**
 * How a mass in the cup became known: read off a scale by eye, told by a scale (or by one that is only simulated), measured
 * to a mark, taken to be what was asked for, or not told.
 */
export const WEIGHED_BY = [
  'read',
  'by the scale',
  'simulated scale',
  'to the mark',
  'assumed',
  'not told',
] as const;
export type WeighedBy = (typeof WEIGHED_BY)[number];

/** Ways of taking bubbles out. */
export const BUBBLES_BY = ['torch', 'warm air', 'pick'] as const;
export type BubblesBy = (typeof BUBBLES_BY)[number];

/** Why mixed resin is not poured. */
export const DISCARD_REASONS = [
  'too late',
  'ratio is off',
  'wrong resin',
  'spilt',
  'no longer needed',
] as const;
export type DiscardReason = (typeof DISCARD_REASONS)[number];

/** What is done at the bench with one batch. Ids are those of coats of the batch; masses in kg. */
export type WetAct =
  | { readonly is: 'weighed A'; readonly kg: number; readonly by: WeighedBy }
  /** More of A went in after B, to put the ratio right. */
  | { readonly is: 'added A'; readonly kg: number; readonly by: WeighedBy }
  /** B met A: the working time starts. */
  | { readonly is: 'mixed'; readonly kg: number; readonly by: WeighedBy }
  | { readonly is: 'stir started' }
  /** The mix went into a clean cup, with a clean stick: nothing unmixed is scraped from the first. */
  | { readonly is: 'changed cup' }
  | { readonly is: 'stir paused' }
  | { readonly is: 'stir resumed' }
  | { readonly is: 'stirred' }
  /** A colour's share of the mix went into a cup of its own. */
  | {
      readonly is: 'cup cut';
      readonly coatId: string;
      readonly colour: string;
      readonly kg: number;
      readonly by: WeighedBy;
    }
  /** A colour that was planned is not mixed after all. */
  | { readonly is: 'cup left out'; readonly coatId: string; readonly colour: string }
  /** What the cup with what is in it weighs: what was poured since the last time is the difference. */
  | { readonly is: 'cup weighed'; readonly kg: number; readonly by: WeighedBy }
  | { readonly is: 'poured'; readonly coatId: string }
  | { readonly is: 'bubble round'; readonly coatId: string; readonly by: BubblesBy }
  /** The mix did not reach: so much of what the coat was to get is missing, 0 to 1. */
  | { readonly is: 'ran short'; readonly coatId: string; readonly share: number }
  /** Looked over in raking light: nothing is wrong. */
  | { readonly is: 'looked over'; readonly coatId: string }
  | { readonly is: 'covered'; readonly coatId: string }
  /** What is left of the mix is not poured any more. */
  | { readonly is: 'discarded'; readonly why: DiscardReason }
  /** Left as it stood: before anything was mixed, or closed later with what was known. */
  | { readonly is: 'left' };
export type WetActKind = WetAct['is'];

/** Every kind of act, in the order in which they follow each other. */
export const WET_ACTS = [
  'weighed A',
  'added A',
  'mixed',
  'stir started',
  'changed cup',
  'stir paused',
  'stir resumed',
  'stirred',
  'cup cut',
  'cup left out',
  'cup weighed',
  'ran short',
  'poured',
  'bubble round',
  'looked over',
  'covered',
  'discarded',
  'left',
] as const satisfies readonly WetActKind[];

/** An act that happened. */
export type DoneAct = WetAct & { readonly id: string; readonly atMs: number };
/** An act, or that one was taken back. They stand in the order of writing, whatever the clock said. */
export type WetEvent =
  | DoneAct
  | { readonly is: 'undone'; readonly of: string; readonly id: string; readonly atMs: number };

/** Acts that stand, the newest last. */
export function standing(events: readonly WetEvent[]): DoneAct[] {
  const taken = new Set(events.flatMap((e) => (e.is === 'undone' ? [e.of] : [])));
  return events.filter((e): e is DoneAct => e.is !== 'undone' && !taken.has(e.id));
}
