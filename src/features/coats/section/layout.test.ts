import { stacked } from '@/core/coat/test/stacked';
import { SECTION } from './filmPath';
import { labelHeights, scaleBarM } from './labels';
import { layoutSection } from './layout';

describe('the section drawing', () => {
  const cut = { widthM: 0.6, leftSide: 3, rightSide: 1 };
  const coats = [
    { id: 'a', thicknessM: 0.2e-3 },
    { id: 'b', thicknessM: 1.6e-3 },
    { id: 'c', thicknessM: 1.8e-3 },
  ];
  const layout = layoutSection(stacked(coats), cut, ['open', 'open', 'open', 'tape wall']);
  it('keeps true relative thickness', () => {
    const tall = layout.laminae.map((l) => l.bottomPx - l.topPx);
    expect((tall[1] ?? 0) / (tall[0] ?? 1)).toBeCloseTo(8, 9);
    expect((tall[2] ?? 0) / (tall[1] ?? 1)).toBeCloseTo(1.125, 9);
    expect(layout.laminae[0]?.bottomPx).toBe(SECTION.base);
  });
  it('keeps its scale while a surface is dragged', () => {
    const frozen = layoutSection(
      stacked([{ id: 'a', thicknessM: 9e-3 }]),
      cut,
      [],
      layout.exaggeration,
    );
    expect(frozen.exaggeration).toBe(layout.exaggeration);
  });
  it('spreads the figures of thin laminae', () => {
    const thin = layoutSection(
      stacked([
        ...Array.from({ length: 4 }, (_, i) => ({ id: String(i), thicknessM: 5e-5 })),
        { id: 'x', thicknessM: 5e-3 },
      ]),
      cut,
      [],
    );
    const y = labelHeights(thin.laminae);
    y.slice(1).forEach((v, i) => expect((y[i] ?? 0) - v).toBeGreaterThanOrEqual(19 - 1e-9));
  });
  it.each([
    [0.6, 0.1],
    [0.09, 0.01],
    [2, 0.2],
  ])('a cut of %d m has a bar of %d m', (width, bar) =>
    expect(scaleBarM(width)).toBeCloseTo(bar, 12),
  );
});
