import { formatOf } from '@/features/common/useFormat';
import { DEFAULT_SETTINGS } from '@/records';
import { splitOf } from '@/shop/coatView';
import { firstDraft, firstVolume, readFirst, STARTERS, type FirstDraft } from './firstCoat';

const METRIC = formatOf(DEFAULT_SETTINGS);
const US = formatOf({ ...DEFAULT_SETTINGS, units: 'us' });
const NOW = Date.UTC(2026, 10, 24, 9);
const read = (draft: Partial<FirstDraft>, format = METRIC) =>
  readFirst({ ...firstDraft(format), ...draft }, format);
const sound = (draft: Partial<FirstDraft>, format = METRIC) => {
  const told = read(draft, format);
  if (!told.ok) throw new Error(JSON.stringify(told.errors));
  return told.value;
};

describe('the way to the first volume', () => {
  it('three answers are enough: support, width, depth', () => {
    const first = sound({ support: 'tile', width: '500', depth: '400' });
    const volume = firstVolume(first, NOW);
    const face = volume?.ledger.lines.find((l) => l.id === 'face');
    // 500 × 400 × 1.6 mm by hand.
    expect(face?.volumeM3).toBeCloseTo(0.5 * 0.4 * 1.6e-3, 9);
    expect(volume?.ledger.totalM3).toBeGreaterThan(face?.volumeM3 ?? Infinity);
    const view = volume?.view.coats[0];
    const split = view && volume ? splitOf(volume.ledger, view.resin) : null;
    // 1 : 1 by volume with the usual densities 1.10 and 1.00.
    expect((split?.aKg ?? 0) / (split?.bKg ?? 1)).toBeCloseTo(1.1, 6);
  });
  it('a disc, a porous face, and old resin are taken as the careful answer', () => {
    const disc = firstVolume(sound({ support: 'tile', shape: 'round', width: '300' }), NOW);
    const face = disc?.ledger.lines.find((l) => l.id === 'face')?.volumeM3;
    expect(face).toBeCloseTo(Math.PI * 0.15 ** 2 * 1.6e-3, 7);
    expect(sound({ width: '300', depth: '200' }).survey.areas[0]?.porosity).toBe('porous');
    const old = sound({ support: 'cured resin', width: '300', depth: '200' });
    expect(old.survey.areas[0]?.surface).toMatchObject({ kind: 'old resin', sanded: false });
  });
  it('a starter says what it is; an own label is taken as it is printed', () => {
    const starter = sound({ width: '300', depth: '200', resin: 'slow' }).resin;
    expect(starter.name).toBe(STARTERS.slow.name);
    expect(starter.note).toContain('of no maker');
    const label = { name: 'Own', ratio: '100 : 45 by weight', working: '30', nextCoat: '12 h' };
    const own = sound({ width: '300', depth: '200', resin: 'label', label }).resin;
    expect(own).toMatchObject({ name: 'Own', sheet: { ratio: { by: 'mass', a: 100, b: 45 } } });
    expect(own.note).not.toContain('of no maker');
  });
  it('says at each field what is wrong, and takes the units of the shop', () => {
    const told = read({ width: 'wide', depth: '', resin: 'label' });
    expect(told.ok ? [] : Object.keys(told.errors).sort()).toEqual(
      expect.arrayContaining(['depth', 'name', 'ratio', 'width']),
    );
    const inches = sound({ width: '20', depth: '16' }, US);
    expect(inches.survey.areas[0]?.shape).toMatchObject({ widthM: 0.508, heightM: 0.4064 });
    expect(inches.coat.thicknessM).toBeCloseTo(0.0254 / 16, 9);
  });
});
