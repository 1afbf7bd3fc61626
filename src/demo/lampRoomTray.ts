import { asId, plainArea } from '@/records';
import type { Bench } from './acts';
import { oldEpoxy } from './pieceSpec';

/**
 * A tray whose pour failed: a pit to fill, colours, a dome as high as is safe, and a back. Everything is planned,
 * nothing poured.
 */
export function tellLampRoomTray(
  b: Bench,
  ago: (days: number, hours?: number) => number,
  resin: string,
): void {
  const tray = 'Lamp-room tray';
  const disc = (diameterM: number) => ({ kind: 'disc', diameterM }) as const;
  b.piece(ago(0, 9), {
    name: tray,
    support: 'cured resin',
    note: 'First pour ran hot and left a pit; to be filled, coloured and domed. Client sets tea on it.',
    shape: disc(0.22),
    edgeHeightM: 0.008,
    edges: ['doming'],
    face: {
      surface: oldEpoxy(12, true),
    },
    about: { use: { hotCups: true, food: false, daylight: false } },
    more: [
      {
        ...plainArea(disc(0.05), 0, ['own rim'], 'recess'),
        name: 'Pit',
        at: [0.04, 0.025],
        depthM: 2.4e-3,
      },
      plainArea(disc(0.22), 0.008, ['own rim'], 'back'),
    ],
  });
  const plan = { resin } as const;
  b.coat(ago(0, 8.5), tray, {
    ...plan,
    name: 'Fill',
    kind: 'fill',
    intent: { by: 'fill', belowM: 0 },
    on: ['Pit'],
  });
  b.coat(ago(0, 8.4), tray, {
    ...plan,
    name: 'Colours',
    kind: 'art',
    thicknessM: 0.7e-3,
    on: ['Face'],
    more: {
      colours: [
        { name: 'teal', share: 0.2, swatchId: asId('demo-swatch-teal') },
        { name: 'pearl', share: 0.08, swatchId: asId('demo-swatch-pearl') },
      ],
      overrides: [{ line: 'cup', volumeM3: 5e-6, reason: 'a small cup for each colour' }],
    },
  });
  b.coat(ago(0, 8.3), tray, {
    ...plan,
    name: 'Dome',
    kind: 'dome',
    intent: { by: 'dome', centreM: null },
    on: ['Face'],
  });
  b.coat(ago(0, 8.2), tray, {
    ...plan,
    name: 'Back',
    kind: 'back',
    thicknessM: 0.8e-3,
    on: ['Back'],
  });
  b.coat(ago(0, 8.1), tray, {
    ...plan,
    name: 'Patch',
    kind: 'patch',
    thicknessM: 0.5e-3,
    on: ['Face'],
    more: { coverage: 0.05 },
  });
}
