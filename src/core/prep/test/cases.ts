import type { DefectKind } from '../../piece';
import type { PrepFacts, PrepLayer } from '../facts';
import {
  area,
  coat,
  damage,
  facts,
  NOW,
  old,
  OWN,
  ownNote,
  pouredAgo,
  relief,
  surface,
} from './facts';

const onFace = (...changes: Parameters<typeof area>[0][]) => [area(Object.assign({}, ...changes))];
const laid = (coatId: string, method: 'latex' | 'painter’s tape' | 'PVA glue') => ({
  masks: [{ coatId, areaId: 'face', method, laidMs: NOW - 30 * 3_600_000, takenOffMs: null }],
});
export const hard = { poured: pouredAgo(30), id: 'first', order: 1 };
export const upper = { id: 'second', name: 'Flood 2', order: 2 };
const air = (humidity: number) => ({ temperatureK: 295.15, humidity });
const defect = (kind: DefectKind) => ({
  defects: [{ id: 'd', kind, coatId: 'first' }],
});

export const varnish: PrepLayer = {
  ...{
    id: 'l',
    kind: 'glitter in varnish',
    areaIds: ['face'],
    over: null,
    turn: 0,
    name: 'Glitter',
  },
  ...{ greatestM: 4e-4, meanM: 2.5e-4, share: 1, labelS: 86_400, state: 'planned', dryMs: null },
};

/** Tape of the first coat that came off so many hours after the pour. */
const taken = (hours: number) => ({
  ...{ coatId: 'first', areaId: 'face', method: 'painter’s tape' as const },
  ...{ laidMs: NOW - 31 * 3_600_000, takenOffMs: NOW - (30 - hours) * 3_600_000 },
});
const moulded = [area({}, ['mould'])];

/** For each rule a situation in which it asks for something, and one like it in which it does not. */
export const CASES: Readonly<Record<string, readonly [fires: PrepFacts, quiet: PrepFacts]>> = {
  hardware: [facts({ hardware: ['Left hinge'] }), facts()],
  'hardware seat': [facts({ hardware: ['Left hinge'] }), facts()],
  tear: [
    facts({ support: 'canvas', areas: onFace(damage('tear')) }),
    facts({ support: 'canvas', areas: onFace(damage('dent')) }),
  ],
  'rim gap': [facts({ areas: onFace(damage('gap at the rim')) }), facts()],
  dent: [facts({ areas: onFace(damage('dent')) }), facts({ areas: onFace(damage('tear')) })],
  'loose relief': [
    facts({ areas: onFace(damage('loose relief'), relief('stones')) }),
    // A lock coat beds it.
    facts({
      areas: onFace(damage('loose relief'), relief('stones')),
      coats: [coat({ kind: 'lock' })],
    }),
  ],
  'dry inclusions': [
    facts({ areas: onFace(relief('plants')) }),
    facts({ areas: onFace(relief('fine glitter')) }),
  ],
  'dry paste': [
    facts({ areas: onFace(relief('paste')) }),
    facts({ areas: onFace(relief('sand')) }),
  ],
  'dry paint': [facts({ areas: onFace(surface('painted')) }), facts()],
  seal: [
    facts({ areas: onFace({ porosity: 'porous' }) }),
    // A resin seal coat takes its place.
    facts({ areas: onFace({ porosity: 'porous' }), coats: [coat({ kind: 'seal' })] }),
  ],
  'fix art': [
    facts({ areas: onFace(surface('ink')) }),
    facts({ areas: onFace(surface('painted')) }),
  ],
  'rub test': [facts({ areas: onFace(relief('leaf')) }), facts({ areas: onFace(relief('sand')) })],
  'edge ground': [
    facts({ support: 'bare wood', areas: onFace(surface('painted')) }),
    facts({ support: 'bare wood', areas: [area(surface('painted'), ['doming'])] }),
  ],
  'shape paste': [
    facts({ areas: onFace(relief('paste')) }),
    facts({ areas: onFace(relief('paste')), coats: [coat(hard), coat(upper)] }),
  ],
  flatten: [
    facts({ coats: [coat(hard), coat(upper)], ...defect('dimples') }),
    // Not a matter of sanding.
    facts({ coats: [coat(hard), coat(upper)], ...defect('thin edge') }),
  ],
  tooth: [
    facts({ areas: onFace(surface('old resin')) }),
    facts({ areas: onFace(surface('old resin', true)) }),
  ],
  'own sanding': [
    facts({
      own: [
        {
          ...OWN,
          kind: 'sand',
          title: 'Back',
          areaIds: ['face'],
          fromGrit: 120,
          toGrit: 220,
        },
      ],
    }),
    facts({ own: [ownNote()] }),
  ],
  polish: [
    facts({ coats: [coat(hard)], ...defect('scratches') }),
    facts({ coats: [coat(hard), coat(upper)], ...defect('scratches') }),
  ],
  unmask: [
    facts({ coats: [coat(hard)], ...laid('first', 'latex') }),
    // Its coat is not poured yet.
    facts({ coats: [coat({ id: 'first' })], ...laid('first', 'latex') }),
  ],
  mask: [facts(), facts({ areas: [area({}, ['doming'])] })],
  'loose parts': [
    facts({ areas: onFace(relief('fine glitter')) }),
    facts({ areas: onFace(relief('paste')) }),
  ],
  'sanding dust': [
    facts({ areas: onFace(surface('old resin')) }),
    facts({ areas: onFace(surface('old resin', true)) }),
  ],
  // 22 °C: 3 K over the dew point is 83.1 % (psychrolib's table in the notes), a warning from 4.3 K.
  'dew point': [facts({ air: air(0.832) }), facts({ air: air(0.76) })],
  'fit for use': [
    facts({ coats: [coat({ fit: ['food not declared'] })] }),
    // Another coat lies over it: the piece meets that one.
    facts({ coats: [coat({ fit: ['food not declared'] }), coat({ id: 'top', order: 2 })] }),
  ],
  'put right': [
    facts({ coats: [coat(hard), coat(upper)], ...defect('soft spot') }),
    facts({ coats: [coat(hard), coat(upper)], ...defect('bubbles') }),
  ],
  'repaint paste': [
    facts({ areas: onFace(relief('paste')) }),
    facts({ areas: onFace(relief('sand')) }),
  ],
  'old resin soft': [
    facts({ areas: onFace(old('sticky')) }),
    facts({ areas: onFace(old('hard')) }),
  ],
  'old resin dirty': [
    facts({ areas: onFace(old('greasy')) }),
    facts({ areas: onFace(old('sticky')) }),
  ],
  lint: [facts({ areas: onFace(surface('painted')) }), facts()],
  'brush off': [
    facts({ areas: onFace(relief('leaf')) }),
    facts({ areas: onFace(relief('stones')), coats: [coat(hard), coat(upper)] }),
  ],
  wipe: [facts(), facts({ areas: onFace(surface('ink')) })],
  // 0.4 m under 1.6 mm: 10 % of the film allow a slope of 0.4 mm/m.
  level: [facts({ slope: 0.00041 }), facts({ slope: 0.00039 })],
  belly: [facts({ support: 'canvas' }), facts({ support: 'paper on board' })],
  'warm air': [facts(), facts({ coats: [] })],
  cover: [facts(), facts({ coats: [coat(hard)] })],
  'free dam': [
    facts({
      areas: [area({ edges: [{ kind: 'dam', lengthM: 1, heightM: 0.01 }] })],
      coats: [coat({ ...hard, freesDams: true }), coat(upper)],
    }),
    // Its wall is a mould, which stays.
    facts({
      areas: [area({ edges: [{ kind: 'mould', lengthM: 1, heightM: 0.01 }] })],
      coats: [coat({ ...hard, freesDams: true }), coat(upper)],
    }),
  ],
  turn: [
    facts({ areas: onFace({ kind: 'back' }) }),
    facts({ areas: onFace({ kind: 'back' }), up: 'back' }),
  ],
  layer: [
    facts({ layers: [varnish] }),
    // What was there when the piece came is not laid.
    facts({ layers: [{ ...varnish, state: 'there before' }] }),
  ],
  'own note': [facts({ own: [ownNote()] }), facts()],
  ...Object.fromEntries(
    ['tear wet', 'tear base', 'tear skim'].map((rule) => [
      rule,
      [facts({ areas: onFace(damage('tear')) }), facts({ areas: onFace(damage('dent')) })] as const,
    ]),
  ),
  lip: [
    facts({ coats: [coat(hard)], masks: [taken(17)] }),
    // Taken off in its best span, it leaves none.
    facts({ coats: [coat(hard)], masks: [taken(10)] }),
  ],
  'file off': [
    facts({ coats: [coat(hard)], ...defect('tape lip') }),
    // The next coat’s sanding takes it.
    facts({ coats: [coat(hard), coat(upper)], ...defect('tape lip') }),
  ],
  meniscus: [
    facts({ areas: moulded, coats: [coat({ ...hard, kind: 'fill' }), coat(upper)] }),
    facts({ areas: moulded, coats: [coat(hard), coat(upper)] }),
  ],
  'back in mould': [
    facts({ support: 'cured resin', areas: moulded, coats: [coat({ kind: 'fill' })] }),
    facts({ areas: moulded, coats: [coat({ kind: 'fill' })] }),
  ],
  degrease: [
    facts({ coats: [coat({ ...hard, silicone: true }), coat(upper)] }),
    facts({ coats: [coat(hard), coat(upper)] }),
  ],
  'loose between': [
    facts({ areas: onFace(relief('sand')), coats: [coat({ ...hard, kind: 'lock' }), coat(upper)] }),
    facts({ areas: onFace(relief('sand')), coats: [coat(hard), coat(upper)] }),
  ],
  'repaint seep': [
    facts({ coats: [coat(hard)], repaired: [{ kind: 'seep', areaIds: ['face'], atMs: NOW - 1 }] }),
    // A coat went over it since.
    facts({ coats: [coat(hard)], repaired: [{ kind: 'seep', areaIds: ['face'], atMs: 0 }] }),
  ],
  'opacity trial': [facts({ coats: [coat({ colour: { share: 0.1, said: false } })] }), facts()],
  props: [facts(), facts({ areas: [area({}, ['own rim'])] })],
  covered: [facts(), facts({ coats: [coat(hard)] })],
  interleave: [facts({ coats: [coat(hard)], count: 6 }), facts({ coats: [coat(hard)] })],
};
