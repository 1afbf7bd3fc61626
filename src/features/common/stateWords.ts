import type { CoatState } from '@/core/resin';
import type { CoatView } from '@/shop/coatView';

/** Fill of a state in every drawing: pattern tells it apart without colour. */
export const STATE_FILL: Readonly<Record<CoatState, string>> = {
  planned: 'var(--bm-colors-card)',
  mixed: 'var(--bm-colors-amber-wash)',
  wet: 'var(--bm-colors-amber)',
  set: 'var(--bm-colors-amber-pale)',
  leathery: 'url(#state-leathery)',
  'recoat open': 'url(#state-recoat)',
  'sand first': 'url(#state-sand)',
  hard: '#efe4c4',
  'fully cured': 'var(--bm-colors-verdigris-pale)',
};

export const STATE_WORDS: Readonly<Record<CoatState, string>> = {
  planned: 'planned',
  mixed: 'mixed',
  wet: 'wet',
  set: 'set, no flow',
  leathery: 'leathery',
  'recoat open': 'recoat open',
  'sand first': 'sand first',
  hard: 'hard',
  'fully cured': 'fully cured',
};

/** The word of the glossary behind a state. */
export const STATE_TERM: Partial<Readonly<Record<CoatState, string>>> = {
  wet: 'working time',
  set: 'no flow',
  leathery: 'leathery',
  'recoat open': 'recoat window',
  'sand first': 'tooth',
  'fully cured': 'cure',
};

/** What the next change of a curing coat means for whoever waits. */
export function nextWords(view: CoatView): string {
  switch (view.state) {
    case 'planned':
      return 'ready to mix';
    case 'mixed':
      return 'pour it';
    case 'wet':
      return 'stops flowing';
    case 'set':
      return 'turns leathery';
    case 'leathery':
      return 'recoat opens';
    case 'recoat open':
      return 'recoat shuts';
    case 'sand first':
      return 'hard';
    case 'hard':
      return 'fully cured';
    case 'fully cured':
      return 'nothing left to wait for';
  }
}
