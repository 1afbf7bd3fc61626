import { FieldReader } from '@/features/common/fieldReader';
import { demoView, METRIC } from '../test/shop';
import { readLayer, usualLayer, type LayerDraft } from './layers';

const shop = demoView();
const view = {
  areas: shop.areas.filter((a) => a.kind === 'face' && !a.bare).slice(0, 1),
  coats: [],
};

describe('the form of a layer', () => {
  const usual = usualLayer('varnish', view, METRIC);
  const read = (change: Partial<LayerDraft>) => {
    const reader = new FieldReader<keyof LayerDraft>(METRIC);
    return {
      layer: readLayer({ ...usual, ...change }, reader),
      errors: Object.keys(reader.errors),
    };
  };
  it('takes hours, or any unit', () => {
    expect(read({ label: '24' }).layer?.labelS).toBe(86_400);
    expect(read({ label: '90 min' }).layer?.labelS).toBe(5400);
  });
  it('a label of no time at all is told at its field, and nothing is taken', () => {
    expect(read({ label: '0' })).toEqual({ layer: null, errors: ['label'] });
    expect(read({ label: '' })).toEqual({ layer: null, errors: ['label'] });
    // Tape does not dry: nothing is asked.
    expect(read({ kind: 'tape design', label: '' }).layer?.labelS).toBe(0);
  });
});
