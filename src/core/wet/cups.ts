import { USUAL_COLOUR, type Declared } from '../resin';

/** What colours a cup: it takes room in the mix, or as good as none. */
export const PIGMENT_FORMS = ['liquid', 'paste', 'powder'] as const;
export type PigmentForm = (typeof PIGMENT_FORMS)[number];

/** One pigment of a colour, as a share of the mix in its cup by weight, 0 to 1. */
export interface Pigment {
  readonly name: string;
  readonly form: PigmentForm;
  readonly share: number;
}

/** A colour of a coat: its share of the mix, and whether it comes last, as white does. */
export interface PlannedColour {
  readonly name: string;
  readonly share: number;
  readonly white: boolean;
}

/** What is cut out of the clear mix for one colour, kg. */
export interface ColourCup {
  readonly colour: string;
  readonly kg: number;
  readonly white: boolean;
}

/**
 * Cups of colour of a coat in the order of cutting: as they were planned, white last; what is not cut stays clear. A colour
 * that is named twice is one cup.
 * @param mixKg what is poured of the coat, kg, ≥ 0
 * Source: common practice, no source.
 */
export function colourCups(colours: readonly PlannedColour[], mixKg: number): ColourCup[] {
  const cups = new Map<string, ColourCup>();
  for (const { name, share, white } of colours) {
    const before = cups.get(name);
    const kg = share * mixKg + (before ? before.kg : 0);
    cups.set(name, { colour: name, kg, white });
  }
  return whiteLast([...cups.values()]);
}

/** Cups with white after all others, else in their order. */
export const whiteLast = <C extends Pick<ColourCup, 'white'>>(cups: readonly C[]): C[] => [
  ...cups.filter((c) => !c.white),
  ...cups.filter((c) => c.white),
];

/** How much colour a cup holds against what its resin bears. Shares of the mix, 0 to 1. */
export interface ColourLoad {
  readonly share: number;
  readonly limit: number;
  /** The sheet states nothing: the usual limit for liquids is taken. */
  readonly usual: boolean;
  readonly over: boolean;
}

/**
 * Colour of a cup against the limit of its resin. Where the sheet states one it holds for all that goes in; else liquids and
 * pastes are held to one part in ten, and powders, which take up next to nothing, are left to the hand.
 * Source: the resin's sheet; common practice, no source.
 */
export function colourLoad(
  parts: readonly Pigment[],
  { colourShare }: Pick<Declared, 'colourShare'>,
): ColourLoad {
  const usual = colourShare === null;
  const share = parts
    .filter((p) => !usual || p.form !== 'powder')
    .reduce((sum, p) => sum + p.share, 0);
  const limit = colourShare ?? USUAL_COLOUR;
  return { share, limit, usual, over: !(share <= limit * (1 + 1e-9)) };
}

/**
 * How well a film hides what is under it: light from over black against light from over white.
 * @param overBlack luminance over black @param overWhite over white, both as shares of one white, 0 to 1, white > 0
 * @returns contrast ratio 0 to 1, null where white gives back no light; 0.98 and above is taken as hiding
 * Source: ISO 6504-3, contrast ratio C = Y_b / Y_w; from memory.
 */
export const contrastRatio = (overBlack: number, overWhite: number): number | null =>
  overWhite > 0 ? Math.min(1, overBlack / overWhite) : null;
/** From this contrast on a film hides. Source: ISO 6504-3, from memory. */
export const HIDES = 0.98;
