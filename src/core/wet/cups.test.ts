import { colourCups, colourLoad, contrastRatio, HIDES, type PlannedColour } from './cups';
import { strokesOf, type StrokeCoat } from './strokes';

const colour = (name: string, share: number, white = false): PlannedColour => ({
  ...{ name, share, white },
});

describe('colours cut out of a batch', () => {
  it('white last; one that is named twice is one cup; the rest stays clear', () => {
    const cups = colourCups(
      [colour('white', 0.1, true), colour('teal', 0.2), colour('rust', 0.05), colour('teal', 0.1)],
      0.4,
    );
    expect(cups.map((c) => c.colour)).toEqual(['teal', 'rust', 'white']);
    expect(cups.map((c) => Number(c.kg.toFixed(6)))).toEqual([0.12, 0.02, 0.04]);
  });
  it('liquid at most one part in ten; powders are freer: common practice, no source', () => {
    const parts = [
      { name: 'ink', form: 'liquid', share: 0.1 },
      { name: 'mica', form: 'powder', share: 0.3 },
    ] as const;
    const none = { colourShare: null };
    expect(colourLoad(parts, none)).toEqual({ share: 0.1, limit: 0.1, usual: true, over: false });
    const more = [{ ...parts[0], share: 0.101 }, parts[1]];
    expect(colourLoad(more, none).over).toBe(true);
    // What a sheet states holds for all that goes in.
    expect(colourLoad(parts, { colourShare: 0.2 })).toMatchObject({ usual: false, over: true });
    expect(colourLoad([{ ...parts[1], share: NaN }], { colourShare: 0.2 }).over).toBe(true);
  });
  it('a film that gives back as much light over black as over white hides: ISO 6504-3, from memory', () => {
    expect(contrastRatio(0.49, 0.5)).toBeCloseTo(0.98, 12);
    expect(contrastRatio(0.6, 0.5)).toBe(1);
    expect(contrastRatio(0.1, 0)).toBeNull();
    expect(HIDES).toBe(0.98);
  });
});

describe('the order of strokes: common practice, no source', () => {
  const coat: StrokeCoat = {
    ...{ kind: 'flood', boundary: false, openEdges: true, floods: true },
    ...{ relief: false, colours: false },
  };
  it('a flood: ribbon, middle, over the edge last, edges twice, run-off fed back, then the look', () => {
    expect(strokesOf(coat)).toEqual([
      ...['level', 'ribbon', 'middle', 'over the edge', 'edges by finger', 'edges again'],
      ...['feed run-off', 'raking look'],
    ]);
  });
  it('clear along a boundary comes before all resin, relief is streamed on, colours go onto wet clear', () => {
    const art = strokesOf({ ...coat, kind: 'art', boundary: true, relief: true, colours: true });
    const at = (stroke: (typeof art)[number]) => art.indexOf(stroke);
    expect(at('barrier line')).toBe(1);
    expect(at('stream')).toBeLessThan(at('ribbon'));
    expect(at('colours')).toBeGreaterThan(at('middle'));
  });
  it('what does not run over its edge is not sent there', () => {
    for (const kind of ['line', 'patch'] as const)
      expect(strokesOf({ ...coat, kind })).toHaveLength(3);
    expect(strokesOf({ ...coat, floods: false })).not.toContain('over the edge');
    expect(strokesOf({ ...coat, kind: 'edge', floods: false })).toEqual([
      ...['level', 'sides first', 'edges by finger', 'edges again', 'raking look'],
    ]);
  });
});
