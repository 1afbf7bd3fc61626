import type { Refused, RescueKind, RescueStep, Shows } from '@/core/inspect';

/** Ways back, as a finisher says them. */
export const RESCUE_WORDS: Readonly<Record<RescueKind, string>> = {
  'feed and tap': 'Feed it and tap it in',
  'lift out': 'Lift it out',
  'warm and wait': 'Keep it warm and wait',
  'scrape and refill': 'Scrape it out and refill',
  'fill the spot': 'Fill the spot',
  'sand and flood': 'Sand and flood the face',
  'cut below and flood': 'Cut back below it and flood',
  'wash and recoat': 'Wash it off and recoat',
  'strip and recoat': 'Strip it and start again',
  'opaque coat': 'Coat over with an opaque colour',
  'art layer': 'Another art coat',
  'texture first': 'Texture first, then flood',
  'new face on the back': 'Make the back the new face',
  'dome over': 'Dome over it',
  'bury the relief': 'Bury the relief',
  'redo the edge': 'Redo the edge',
  'regild and seal': 'Gild again and seal it',
  'file and touch up': 'File it and touch up',
  polish: 'Sand fine and polish',
  'break up': 'Break it up for inclusions',
  accept: 'Leave it as it is',
};

/** Steps of a rescue as the preparation lists them. */
export const STEP_WORDS: Readonly<Record<RescueStep, string>> = {
  'tap with a wet glove': 'Tap it in with a wet glove, feed from what ran off',
  'lift with tweezers': 'Lift it with tweezers or a pick',
  'keep at 25 °C': 'Keep it at 25 °C for a day',
  'touch again': 'Touch it again',
  'scrape soft matter out': 'Scrape all soft matter out',
  'wipe with alcohol': 'Wipe with alcohol, barely damp',
  'sand into the spot': 'Sand into the spot and a little round it',
  'cut back below it': 'Cut back below it',
  'recolour it': 'Recolour it and let it dry',
  'wash with water': 'Wash it off with water and dry',
  'strip it off': 'Strip the coat off, warm',
  'try the opacity': 'Try the opacity on a corner',
  'lay texture paste': 'Lay texture paste and let it set',
  'gild again': 'Gild the line again',
  'gild a second time': 'Gild it a second time',
  'file it off': 'File it off flush',
  'touch up': 'Touch up the ground colour',
  'sand and polish': 'Sand fine, then polish',
  'break it up': 'Break it up, in goggles',
};

export const SHOWS_WORDS: Readonly<Record<Shows, string>> = {
  nothing: 'nothing to be seen',
  'a rim': 'a patch shows its rim',
  'a new look': 'another look',
  'all of it': 'it stays as it is',
};

/** Why it cannot be done. */
export const REFUSED_WORDS: Readonly<Record<Refused, string>> = {
  'too late while wet': 'only while the coat still flows',
  'it flows': 'not while the coat flows',
  'still soft': 'the film is still soft: wait until it is hard',
  'sticky holds nothing': 'never over sticky resin',
  'it is hard': 'it has cured hard',
  'it is all over': 'it is all over, not in spots',
  'no back': 'no back is surveyed',
  'runs over open edges': 'its edges do not hold a dome',
  'support does not bear it': 'the support bears no scraping and no solvent',
  'never cures': 'the ratio was off: it never cures',
  'no face': 'no face to lay it on',
  'no edge': 'no edge is surveyed',
};

/** Risk that another will be wanted, in a word. */
export const riskWords = (risk: number): string =>
  risk === 0 ? 'none' : risk < 0.2 ? 'low' : risk < 0.32 ? 'some' : 'high';

/** Cautions that stand where a way back can hurt. */
export const rescueCaution = (steps: readonly RescueStep[]): string | null => {
  const has = (...list: RescueStep[]) => list.some((s) => steps.includes(s));
  const told = [
    has('sand into the spot', 'sand and polish', 'file it off', 'cut back below it')
      ? 'Dust mask (P2/N95 or better), wet sanding where it goes.'
      : null,
    has('scrape soft matter out', 'strip it off', 'cut back below it')
      ? 'Cut away from the hand; uncured resin sensitises: nitrile gloves.'
      : null,
    has('wipe with alcohol') ? 'Alcohol: no flame, window open.' : null,
    has('break it up') ? 'Goggles and gloves: splinters are sharp.' : null,
  ].filter((t) => t !== null);
  return told.length > 0 ? `${told.join(' ')} The safety data sheet goes first.` : null;
};
