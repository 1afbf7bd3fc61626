import type { Support } from '@/core/piece';

/** Hatch of each support in sections. */
export const SUPPORT_HATCH: Readonly<Record<Support, string>> = {
  tile: 'url(#hatch-tile)',
  'sealed panel': 'url(#hatch-wood)',
  'bare wood': 'url(#hatch-wood)',
  canvas: 'url(#hatch-canvas)',
  'paper on board': 'url(#hatch-paper)',
  plastic: 'url(#hatch-plastic)',
  'cured resin': 'url(#hatch-resin)',
};
