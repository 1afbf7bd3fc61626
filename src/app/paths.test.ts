import { placeHelp } from '@/features/shell/help/places';
import { PATHS, placeAt } from './paths';

describe('addresses', () => {
  it('lead to the special before the general, and carry their id', () => {
    expect(placeAt('/')).toEqual({ path: '/', id: '' });
    expect(placeAt('/pieces/new')).toEqual({ path: '/pieces/new', id: '' });
    expect(placeAt('/pieces/a-1/coats')).toEqual({ path: '/pieces/:id/coats', id: 'a-1' });
    expect(placeAt('/wet/new')?.path).toBe('/wet/new');
    expect(placeAt('/wet/b2')).toEqual({ path: '/wet/:id', id: 'b2' });
    for (const nowhere of ['/nowhere', '/pieces/a/b', '/book/x', '/api/compute'])
      expect(placeAt(nowhere)).toBeNull();
  });
  it('every one has words of what it is for, of its own', () => {
    const paths = PATHS.filter((p) => p !== '/pieces/:id').map((p) => p.replace(':id', 'abc'));
    const words = paths.map(placeHelp);
    for (const [i, w] of words.entries())
      expect([paths[i], w.length > 20]).toEqual([paths[i], true]);
    expect(new Set(words).size).toBeGreaterThanOrEqual(paths.length - 1);
  });
});
