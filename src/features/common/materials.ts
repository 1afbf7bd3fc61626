import type { LayerKind, Support } from '@/core/piece';

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

/** Hatch of each layer that is not resin, in sections and lists. */
export const LAYER_HATCH: Readonly<Record<LayerKind, string>> = {
  paste: 'url(#hatch-paste)',
  paint: 'url(#hatch-paint)',
  ink: 'url(#hatch-paint)',
  leaf: 'url(#hatch-metal)',
  'tape design': 'url(#hatch-tape)',
  'relief paint': 'url(#hatch-paint)',
  'glitter in varnish': 'url(#hatch-glitter)',
  varnish: 'url(#hatch-varnish)',
  'loose grains': 'url(#hatch-paste)',
  'metal powder': 'url(#hatch-metal)',
  gilding: 'url(#hatch-metal)',
  'pressed in': 'url(#hatch-paste)',
};
