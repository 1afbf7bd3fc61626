import type { Bench } from './acts';

/** A torn canvas, mended stage by stage; its base is drying. */
export function tellCanvas(b: Bench, ago: (days: number, hours?: number) => number, resin: string) {
  const name = 'Timetable canvas';
  b.piece(ago(1, 5), {
    ...{ name, support: 'canvas' },
    note: 'Torn at the 1911 column; edges pulled together from the back, acrylic base drying.',
    shape: { kind: 'rectangle', widthM: 0.5, heightM: 0.7 },
    ...{ edgeHeightM: 0.02, edges: ['tape wall'] },
    about: { bellyM: 1.5e-3 },
    face: { damage: [{ kind: 'tear', lengthM: 0.12, widthM: 0, depthM: 0 }] },
  });
  b.coat(ago(1, 4), name, { name: 'Skim', kind: 'seal', resin, thicknessM: 0.6e-3 });
  b.coat(ago(1, 3.9), name, {
    ...{ name: 'Flood 1', kind: 'flood', resin, thicknessM: 1.4e-3 },
  });
  b.do(ago(0, 6.5), name, 'tear', 'Skim');
  b.do(ago(0, 6.4), name, 'tear wet', 'Skim');
  b.note(ago(0, 4.2), 'Timetable canvas: dry from the wetting, the cloth is tight again.');
  b.do(ago(0, 4), name, 'tear base', 'Skim');
}
