import { filmField } from '@/core/coat';
import { stacked } from '@/core/coat/test/stacked';
import { contourLevels, drawMap, MAP, mapScale } from './mapModel';
import { layoutSection, wallPath } from './section';

describe('the map from above', () => {
  const shape = { kind: 'disc', diameterM: 0.1 } as const;
  const scale = mapScale(shape);
  const field = filmField({ shape, walls: [false], lengthM: 1.93e-3, cells: 2000 });
  if (!field.ok) throw new Error('no field');
  const flat = { thicknessM: 2e-3, wedgeM: 0, downhill: [1, 0], bellyMeanM: 0 } as const;
  it('fits its drawing, with y upwards', () => {
    expect(scale.y(0.05)).toBeCloseTo(MAP.pad, 9);
    expect(scale.y(-0.05)).toBeCloseTo(MAP.height - MAP.pad, 9);
    expect(scale.x(0)).toBe(MAP.width / 2);
  });
  it('contours at round steps, darker inwards, from the rim to the middle', () => {
    const { bands, leastM, greatestM, volumeM3 } = drawMap(field.value, flat, scale);
    expect(bands.map((b) => Number((b.fromM * 1e3).toFixed(6)))).toEqual([0.5, 1, 1.5, 2]);
    expect(bands.every((b) => b.path.startsWith('M'))).toBe(true);
    expect(leastM).toBeLessThan(0.5e-3);
    expect(greatestM).toBeGreaterThan(2e-3);
    expect(volumeM3).toBeCloseTo(Math.PI * 0.05 ** 2 * 2e-3, 9);
  });
  it('an even film has none', () => {
    const even = filmField({ shape, walls: [true], lengthM: 1.93e-3, cells: 800 });
    expect(even.ok && drawMap(even.value, flat, scale).bands).toEqual([]);
  });
  it('levels are round and within', () => {
    expect(contourLevels(0.2e-3, 1.9e-3).map((m) => Number((m * 1e3).toFixed(6)))).toEqual([
      0.5, 1, 1.5,
    ]);
    expect(contourLevels(1, 1.05).length).toBeLessThanOrEqual(7);
  });
});

describe('the section follows what stands on the face and where it is cut', () => {
  const cut = { widthM: 0.2, leftSide: 0, rightSide: 0 };
  it('relief has its own outline, and makes the drawing tall enough', () => {
    const tall = [{ greatestM: 8e-3, meanM: 8e-3, share: 0.3 }];
    const thin = stacked([{ id: 'a', thicknessM: 1e-3 }]);
    const without = layoutSection(thin, cut, ['open']);
    const over = layoutSection(thin, cut, ['open'], null, tall);
    expect(without.reliefPath).toBe('');
    expect(over.reliefPath).toMatch(/^M/);
    expect(over.exaggeration).toBeLessThan(without.exaggeration);
  });
  it('a patch is a mound on part of the face: nothing above is raised by it, its name stands beside it', () => {
    const coats = stacked([
      { id: 'a', thicknessM: 2e-3, coverage: 1 },
      { id: 'patch', thicknessM: 1e-3, coverage: 0.1 },
      { id: 'b', thicknessM: 2e-3, coverage: 1 },
    ]);
    const { laminae } = layoutSection(coats, cut, ['open']);
    expect(laminae.map((l) => l.topM)).toEqual([2e-3, 3e-3, 4e-3]);
    const [first, patch] = laminae;
    expect(patch?.path).toContain('Q');
    expect((patch?.labelX ?? 0) - (first?.labelX ?? 0)).toBeGreaterThan(200);
  });
  it('ends in a dome where the edge domes, and has a wall where it is dammed', () => {
    const doming = layoutSection(stacked([{ id: 'a', thicknessM: 2e-3 }]), cut, ['doming']);
    const lines = doming.laminae[0]?.path.split('L').length ?? 0;
    expect(lines).toBeGreaterThan(15);
    expect(wallPath('doming', 'left', 100)).toBeNull();
    expect(wallPath('tape wall', 'right', 100)).toMatch(/^M/);
  });
});
