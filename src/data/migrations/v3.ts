import type { Migration } from './migration';

const SCHOOLS = {
  tooth: 'fine',
  recoat: 'inside the window',
  seal: 'acrylic medium',
  spray: 'matte',
  mask: 'painter’s tape',
  gritScale: 'P',
};

interface SettingsV2 {
  readonly roomTemperatureK: number;
}

const with_ = (rows: readonly unknown[] | undefined, added: object): unknown[] =>
  (rows ?? []).map((row) => ({ ...(row as object), ...added }));

/** The room of the settings becomes the first entry of the room's record. */
const firstAir = (settings: unknown): unknown => ({
  id: 'air-0',
  fromMs: 0,
  temperatureK: (settings as SettingsV2).roomTemperatureK,
  humidity: 0.5,
});

/** Tasks of preparation and the room's air; areas get damage, pieces and the shop get schools. */
export const v3: Migration = {
  version: 3,
  name: 'preparation and the air of the room',
  stores: { tasks: 'id, pieceId', air: 'id, fromMs' },
  up: (tables) => ({
    ...tables,
    settings: with_(tables['settings'], { roomHumidity: 0.5, prep: SCHOOLS }),
    pieces: with_(tables['pieces'], { prep: {} }),
    areas: with_(tables['areas'], { damage: [] }),
    tasks: [],
    air: (tables['settings'] ?? []).map(firstAir),
  }),
};
