import { saveSwatch, trySwatch } from '@/data/repos/swatches';
import { asId, SWATCHES, type Swatch } from '@/records';
import type { Teller } from './teller';

const swatch = (name: string, told: Pick<Swatch, 'parts'> & Partial<Swatch>): Swatch => ({
  ...SWATCHES.defaults,
  ...{ id: asId(`demo-swatch-${name}`), resinId: asId('demo-millrace'), name },
  ...told,
});

const COLOURS: readonly Swatch[] = [
  swatch('teal', {
    parts: [
      { name: 'blue-green paste', form: 'paste', share: 0.04 },
      { name: 'white paste', form: 'paste', share: 0.01 },
    ],
    remark: 'Carriage colour of the museum line.',
  }),
  swatch('pearl', {
    parts: [{ name: 'pearl mica', form: 'powder', share: 0.03 }],
    alcoholDrops: 3,
    white: true,
    remark: 'Wetted with alcohol first, dregs left in the cup.',
  }),
];

/** Colours that the shop keeps as recipes, each tried once on a card. */
export function tellSwatches(story: Teller, ago: (days: number, hours?: number) => number): void {
  for (const colour of COLOURS) story.at(ago(20.9), (db, c) => saveSwatch(db, c, colour), 'Rowan');
  const tried = {
    ...{ resinId: asId<'resin'>('demo-millrace'), lotId: asId<'lot'>('demo-lot-m-318') },
    filmM: 1.5e-3,
  };
  story.at(
    ago(19.8),
    (db, c) =>
      trySwatch(db, c, asId('demo-swatch-teal'), {
        ...{ ...tried, seen: { overBlack: 0.083, overWhite: 0.091 } },
        remark: 'Hides nearly; two coats over a dark patch.',
      }),
    'Rowan',
  );
  story.at(
    ago(19.7),
    (db, c) =>
      trySwatch(db, c, asId('demo-swatch-pearl'), {
        ...{ ...tried, seen: { overBlack: 0.21, overWhite: 0.62 } },
        remark: 'Sheer: shows what is under it.',
      }),
    'Rowan',
  );
}
