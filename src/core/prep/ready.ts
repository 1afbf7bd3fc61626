/** A step of the user's own that is ready to be taken: what is usual of it. */
export interface ReadyStep {
  readonly title: string;
  readonly at: 'next' | 'last';
  /** Drying time of its label, s; 0: it does not dry. */
  readonly labelS: number;
  readonly needed: boolean;
}

const HOUR_S = 3600;

/** Steps that finishers add themselves. Common practice, no source; a label goes first. */
export const READY_STEPS: readonly ReadyStep[] = [
  { title: 'Gild the line', at: 'next', labelS: 2 * HOUR_S, needed: true },
  { title: 'Paint the rim', at: 'last', labelS: 24 * HOUR_S, needed: true },
  { title: 'Glue cork or felt on', at: 'last', labelS: 24 * HOUR_S, needed: true },
  { title: 'Oil the bare wood', at: 'last', labelS: 24 * HOUR_S, needed: true },
  { title: 'Refit the hardware on its marks', at: 'last', labelS: 0, needed: true },
  { title: 'Ask the client', at: 'next', labelS: 0, needed: true },
];
