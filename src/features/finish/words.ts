import type { CareLine, FinishStep } from '@/core/finish';
import { clockText, stampText } from '@/features/common/clockText';
import type { Format } from '@/features/common/useFormat';
import type { Unfinished } from '@/shop/leaving';

/** Steps after the last coat, as Prepare lists them too. */
export const FINISH_WORDS: Readonly<Record<FinishStep, { title: string; how: string }>> = {
  'drips off': { title: 'Drips off below', how: 'Warm low, peel, file flush.' },
  'seep repainted': {
    title: 'Repaint what seeped under the tape',
    how: 'Knife after warming, then the ground colour.',
  },
  'lip along the wall sanded': {
    title: 'Sand the lip along the wall',
    how: '120 then 240, flat; then polish.',
  },
  'edges painted': { title: 'Paint or gild the edges', how: 'One thin coat; two hours.' },
  'edges painted again': { title: 'Paint or gild the edges again', how: 'The second coat covers.' },
  'gilding looked over': {
    title: 'Look the gilding over',
    how: 'Redo what lifted with the mask; hold the edge.',
  },
  'bare wood oiled': {
    title: 'Oil the bare wood',
    how: 'Thin, wipe off, a day. Oily rags burn by themselves: wet, outside.',
  },
  'hardware on its marks': {
    title: 'Refit the hardware on its marks',
    how: 'Marks are on the plan of the survey.',
  },
  'pads glued on': { title: 'Glue cork or felt on', how: 'A day under light weight.' },
  photographed: {
    title: 'Photograph it in good light',
    how: 'Once straight, once in raking light.',
  },
  packed: {
    title: 'Pack it',
    how: 'Paper that resin does not stick to; nothing heavy on top until fully cured.',
  },
};

/** Lines of the care note; dates by the clocks of its coats. */
export function careText(line: CareLine, format: Format): string {
  switch (line.is) {
    case 'handle':
      return `Can be handled from ${stampText(line.fromMs)}.`;
    case 'light use':
      return `Light use from ${stampText(line.fromMs)}.`;
    case 'nothing hot':
      return `Nothing hot before ${stampText(line.fromMs)}.`;
    case 'fully cured':
      return `Fully cured by ${stampText(line.fromMs)}.`;
    case 'hot declared':
      return `Its resin is declared up to ${format.show(line.serviceK, 'temperature').text}, once fully cured.`;
    case 'hot not declared':
      return 'Not for hot cups: its resin declares no heat resistance.';
    case 'food declared':
      return `Food only once fully cured: declared by ${line.by} for ${line.for}. Local rules go first.`;
    case 'food not declared':
      return 'Not for food: its resin is not declared for food contact.';
    case 'light stable':
      return 'Its resin is declared stable in daylight.';
    case 'light not declared':
      return 'Keep it out of window light: its resin declares no light stability.';
    case 'keep from daylight':
      return 'Keep it out of window light: ink fades.';
    case 'soft cloth':
      return 'Dust and wipe with a soft, damp cloth; no solvent, no scouring.';
  }
}

/** What keeps it from leaving, and the stage where that is done. */
export function leavingWords(one: Unfinished, nowMs: number): { text: string; stage: string } {
  switch (one.is) {
    case 'in a session':
      return { text: `${one.coat.name} is in a wet session`, stage: 'coats' };
    case 'coat open':
      return { text: `${one.coat.name} is planned and not poured`, stage: 'coats' };
    case 'mask on':
      return { text: 'A mask is still on it', stage: 'prepare' };
    case 'finding open':
      return { text: 'A finding is open', stage: 'inspect' };
    case 'cures':
      return {
        text: `${one.coat.name} does not bear handling before ${clockText(one.fromMs, nowMs)}`,
        stage: 'cure',
      };
  }
}
