import { METRIC } from '../test/shop';
import { EMPTY_STEP, readOwn, type OwnDraft } from './ownDraft';

const read = (change: Partial<OwnDraft>) =>
  readOwn({ ...EMPTY_STEP, title: 'Gild the line', ...change }, METRIC);
const errors = (change: Partial<OwnDraft>) => {
  const result = read(change);
  return result.ok ? [] : Object.keys(result.errors);
};

describe('a step of one’s own as it is typed', () => {
  it('waits for what comes next, for a coat, or for the last, and may dry', () => {
    const told = (change: Partial<OwnDraft>) => {
      const result = read(change);
      return result.ok ? result.value : null;
    };
    expect(told({})).toMatchObject({ kind: 'note', on: { at: 'next' }, labelS: 0 });
    expect(told({ at: 'c1', label: '2' })).toMatchObject({
      on: { at: 'coat', coatId: 'c1' },
      labelS: 7200,
    });
    expect(told({ at: 'last', label: '30 min' })).toMatchObject({
      on: { at: 'last' },
      labelS: 1800,
    });
    expect(told({ kind: 'sand', areaIds: ['f'] })).toMatchObject({ fromGrit: 120, toGrit: 240 });
  });
  it('names what is wrong at its field', () => {
    expect(errors({ title: ' ' })).toEqual(['title']);
    expect(errors({ label: 'soon' })).toEqual(['label']);
    expect(errors({ label: '0' })).toEqual(['label']);
    expect(errors({ kind: 'sand', from: '240', to: '120' }).sort()).toEqual(['areaIds', 'to']);
  });
});
