import type { Shop } from '@/shop/shop';
import type { RoomDay, Settings } from '@/records';
import { roomOf } from '@/shop/room';
import { demoShop } from '@/demo';
import { dayNeeds, sumNeeds } from './daySheet';

/** The demo's eight pieces again and again, each with its own rows. */
function shopOf(pieces: number, nowMs: number): Shop {
  const demo = demoShop(nowMs) as unknown as Omit<Shop, 'settings' | 'room'> & {
    settings: Settings[];
    room: RoomDay[];
  };
  const copies = Array.from({ length: Math.ceil(pieces / demo.pieces.length) }, (_, i) => {
    const text = JSON.stringify({ ...demo, photos: [], log: [] });
    return JSON.parse(text.replaceAll('"demo-', `"${i}-demo-`)) as typeof demo;
  });
  const all = <
    T extends 'pieces' | 'areas' | 'coats' | 'sessions' | 'batches' | 'defects' | 'tasks',
  >(
    table: T,
  ) => copies.flatMap((c) => c[table] as Shop[T][number][]);
  return {
    settings: demo.settings[0] as Settings,
    resins: copies.flatMap((c) => c.resins),
    room: roomOf(demo.room),
    pieces: all('pieces'),
    areas: all('areas'),
    coats: all('coats'),
    sessions: all('sessions'),
    batches: all('batches'),
    defects: all('defects'),
    tasks: all('tasks'),
    ...{ layers: [], templates: [], lots: [], swatches: [] },
  } as Shop;
}

/** The list of the day from the rows of a shop: clocks, plans, states and sums. */
export function rows() {
  const nowMs = Date.UTC(2026, 10, 24, 13, 30);
  const shop = shopOf(200, nowMs);
  const times = Array.from({ length: 25 }, (_, i) => {
    const start = performance.now();
    if (sumNeeds(dayNeeds(shop, nowMs + i * 60_000)).length === 0) throw new Error('nothing to do');
    return performance.now() - start;
  });
  const median = [...times].sort((a, b) => a - b)[12] ?? NaN;
  return [
    {
      name: `preparation: materials of the day from the rows of ${shop.pieces.length} pieces`,
      figure: Number(median.toFixed(1)),
      unit: 'ms',
      limit: '<= 60',
    },
  ];
}
