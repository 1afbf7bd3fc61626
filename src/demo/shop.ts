import { DEFAULT_SETTINGS } from '@/records';
import type { AnyTables } from '@/data/migrations';
import { DemoBuilder } from './builder';
import { dimpledDisc } from './pictures';
import { hangingPlate, paddleOutline } from './paddle';
import { LENS_BOX, lensOutline, lensPhoto, lensPlan } from './lampLens';
import { lampRoomTray } from './lampRoomTray';
import { prepareDemo } from './preparation';
import { DEMO_RESINS } from './resins';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const C = 273.15;

/**
 * Fernhollow Works, an invented finishing shop with a commission for an invented narrow-gauge railway
 * museum: nine pieces in different stages and three weeks of log, with all clocks set from `nowMs`.
 */
export function demoShop(nowMs: number): AnyTables {
  const b = new DemoBuilder(['Ines', 'Rowan']);
  const [millrace, lantern, tarn] = DEMO_RESINS;
  if (!millrace || !lantern || !tarn) throw new RangeError('demo: resins missing');
  const ago = (days: number, hours = 0) => nowMs - days * DAY - hours * HOUR;

  for (const resin of DEMO_RESINS) b.write(ago(21, 3), 'resin added', { text: resin.name });
  b.write(ago(21, 2), 'note', {
    text: 'Commission of the Fernhollow museum line begins: nine pieces, first six on the bench.',
  });

  const labels = b.piece(ago(20, 5), {
    name: 'Luggage label set',
    count: 12,
    support: 'bare wood',
    note: 'Plywood, station names in gilding pen. Twelve alike.',
    shape: { kind: 'roundedRectangle', widthM: 0.11, heightM: 0.06, radiusM: 0.012 },
    edgeHeightM: 0.004,
    edges: ['doming'],
  });
  const labelSeal = b.coat(ago(20, 4), labels, {
    name: 'Seal',
    kind: 'seal',
    resin: tarn,
    thicknessM: 0.15e-3,
  });
  const sealed = b.pour(labelSeal, tarn, { pouredMs: ago(19, 4), temperatureK: C + 21 });
  b.defect(ago(18, 3), sealed, 'dust nib', 'Two hairs on Alderbrook and Mossgate', ago(18, 1));
  const labelFlood = b.coat(ago(18, 2), labels, {
    name: 'Dome',
    kind: 'dome',
    resin: millrace,
    thicknessM: 1.4e-3,
  });
  const domed = b.pour(labelFlood, millrace, {
    pouredMs: ago(17, 5),
    temperatureK: C + 22,
    later: [[9 * HOUR, C + 19]],
  });
  b.defect(ago(16, 2), domed, 'bubbles', 'Pinholes along the grain of three labels', ago(15, 6));
  b.write(ago(9, 3), 'note', {
    pieceId: labels.id,
    text: 'Cork glued to the backs, left for a day.',
  });

  const map = b.piece(ago(16, 6), {
    name: 'Relief map',
    support: 'cured resin',
    note: 'Round map of the valley whose pour failed: sunk middle, hills stand proud.',
    shape: { kind: 'disc', diameterM: 0.38 },
    edgeHeightM: 0.012,
    edges: ['dammed'],
    face: {
      surface: { kind: 'old resin', ageDays: 40, sanded: true },
      relief: [{ kind: 'paste', greatestM: 2.4e-3, meanM: 0.9e-3, share: 0.35 }],
    },
  });
  const mapLock = b.coat(ago(15, 6), map, {
    name: 'Lock',
    kind: 'lock',
    resin: millrace,
    thicknessM: 0.7e-3,
  });
  const locked = b.pour(mapLock, millrace, { pouredMs: ago(14, 4), temperatureK: C + 22 });
  b.defect(
    ago(12, 20),
    locked,
    'proud relief',
    'The ridge above Mossgate still catches the glove',
    ago(12, 2),
  );
  const mapFlood = b.coat(ago(12, 1), map, {
    name: 'Flood 1',
    kind: 'flood',
    resin: lantern,
    thicknessM: 3e-3,
  });
  const flooded = b.pour(mapFlood, lantern, {
    pouredMs: ago(2, 2),
    temperatureK: C + 20,
    later: [
      [12 * HOUR, C + 17],
      [22 * HOUR, C + 21],
    ],
  });
  const dimples = b.defect(
    ago(0, 6),
    flooded,
    'dimples',
    'Seven dimples near the rim, from a long warm-air pass',
  );
  b.photo(dimples, 'relief-map-dimples.svg', 480, 480, dimpledDisc());
  b.coat(ago(0, 5), map, { name: 'Flood 2', kind: 'flood', resin: millrace, thicknessM: 1.8e-3 });

  const viaduct = b.piece(ago(11, 4), {
    name: 'Viaduct painting',
    support: 'sealed panel',
    note: 'Oil on panel, six months dry, varnish off. Client wants depth, and a rim that does not look raw.',
    shape: { kind: 'rectangle', widthM: 0.6, heightM: 0.4 },
    edgeHeightM: 0.018,
    edges: ['open', 'open', 'dammed', 'open'],
  });
  const viaductSeal = b.coat(ago(11, 3), viaduct, {
    name: 'Seal',
    kind: 'seal',
    resin: tarn,
    thicknessM: 0.2e-3,
  });
  b.pour(viaductSeal, tarn, { pouredMs: ago(6, 3), temperatureK: C + 21 });
  const viaductFlood = b.coat(ago(5, 2), viaduct, {
    name: 'Flood 1',
    kind: 'flood',
    resin: millrace,
    thicknessM: 1.6e-3,
  });
  b.pour(viaductFlood, millrace, { pouredMs: ago(0, 11), temperatureK: C + 22 });
  b.coat(ago(0, 3), viaduct, {
    name: 'Flood 2',
    kind: 'flood',
    resin: millrace,
    thicknessM: 1.8e-3,
  });
  b.coat(ago(0, 2.9), viaduct, {
    name: 'Rim',
    kind: 'edge',
    resin: tarn,
    intent: { by: 'skin' },
    more: { restS: 12 * 60 },
  });

  const tiles = b.piece(ago(8, 5), {
    name: 'Hall tiles',
    count: 8,
    support: 'tile',
    note: 'Octagonal ticket-hall floor tiles, taped rims.',
    shape: { kind: 'regularPolygon', sides: 8, sizeM: 0.15, across: 'flats' },
    edgeHeightM: 0.009,
    edges: ['dammed'],
  });
  const tileFlood = b.coat(ago(8, 4), tiles, {
    name: 'Flood 1',
    kind: 'flood',
    resin: millrace,
    thicknessM: 2e-3,
  });
  b.pour(tileFlood, millrace, {
    pouredMs: ago(0, 8.2),
    temperatureK: C + 22,
    later: [[2 * HOUR, C + 21]],
  });

  const board = b.piece(ago(5, 6), {
    name: 'Signal-box board',
    support: 'bare wood',
    note: 'Ash name board, brass chips set in the letters.',
    shape: {
      kind: 'roundedRectangle',
      widthM: 0.9,
      heightM: 0.24,
      radiusM: 0.03,
      keepBare: [hangingPlate(-0.405), hangingPlate(0.405)],
    },
    edgeHeightM: 0.022,
    edges: ['open'],
    face: {
      porosity: 'porous',
      surface: { kind: 'painted', ageDays: null, sanded: false },
      relief: [{ kind: 'flakes', greatestM: 1.8e-3, meanM: 1.1e-3, share: 0.12 }],
    },
    about: {
      use: { hotCups: false, food: false, daylight: true },
      marks: [
        { name: 'Left hanging plate', at: [-0.405, 0] },
        { name: 'Right hanging plate', at: [0.405, 0] },
      ],
      level: {
        tilt: { alongX: 0.0004, alongY: -0.0011 },
        by: 'typed',
        readMs: Math.round(ago(1, 2)),
        props: [
          [-0.38, -0.08],
          [0.38, -0.08],
          [0, 0.09],
        ],
      },
    },
  });
  const boardSeal = b.coat(ago(5, 5), board, {
    name: 'Seal',
    kind: 'seal',
    resin: tarn,
    thicknessM: 0.2e-3,
  });
  b.pour(boardSeal, tarn, { pouredMs: ago(1, 3), temperatureK: C + 21 });
  const boardFlood = b.coat(ago(1, 2), board, {
    name: 'Flood 1',
    kind: 'flood',
    resin: millrace,
    thicknessM: 1.6e-3,
  });
  b.pour(boardFlood, millrace, { pouredMs: ago(0, 0.6), temperatureK: C + 22 });

  const paddle = b.piece(ago(2, 6), {
    name: 'Guard’s paddle',
    support: 'sealed panel',
    note: 'Outline taken from the sign painter’s drawing; the handle stays bare.',
    shape: paddleOutline(),
    edgeHeightM: 0.012,
    edges: ['open'],
    face: { surface: { kind: 'ink', ageDays: 3, sanded: false } },
  });
  b.coat(ago(2, 5), paddle, {
    name: 'Flood 1',
    kind: 'flood',
    resin: lantern,
    thicknessM: 1.6e-3,
  });

  const lens = b.piece(ago(1, 7), {
    name: 'Signal lamp lens',
    support: 'cured resin',
    note: 'Signal lamp lens casting, traced from a photo; the lug was cast rough and is held by a dome.',
    shape: { kind: 'outline', outer: lensOutline(), keepBare: [] },
    edgeHeightM: 0.014,
    edges: ['doming'],
    face: { surface: { kind: 'old resin', ageDays: 6, sanded: false } },
    about: { use: { hotCups: false, food: false, daylight: true }, marks: [], level: null },
  });
  const [photoId, planPhotoId] = b.tracedPhotos(ago(1, 7), lens, [
    ['lamp-lens.svg', 800, 600, lensPhoto()],
    ['lamp-lens, straightened.svg', 600, 630, lensPlan()],
  ]);
  b.traced(lens, { by: 'photo', photoId, planPhotoId, box: LENS_BOX, sigmaShare: 0.006 });
  b.coat(ago(1, 6), lens, { name: 'Dome', kind: 'dome', resin: millrace, thicknessM: 1.5e-3 });

  const canvas = b.piece(ago(1, 5), {
    name: 'Timetable canvas',
    support: 'canvas',
    note: 'Torn at the 1911 column; edges pulled together from the back, acrylic base drying.',
    shape: { kind: 'rectangle', widthM: 0.5, heightM: 0.7 },
    edgeHeightM: 0.02,
    edges: ['dammed'],
    about: { bellyM: 1.5e-3 },
    face: { damage: [{ kind: 'tear', lengthM: 0.12, widthM: 0, depthM: 0 }] },
  });
  b.coat(ago(1, 4), canvas, { name: 'Skim', kind: 'seal', resin: millrace, thicknessM: 0.6e-3 });
  b.coat(ago(1, 3.9), canvas, {
    name: 'Flood 1',
    kind: 'flood',
    resin: millrace,
    thicknessM: 1.4e-3,
  });
  b.write(ago(0, 4), 'note', {
    pieceId: canvas.id,
    text: 'Back brushed with water: cloth is tight again.',
  });

  lampRoomTray(b, ago, millrace);

  const { tasks, air } = prepareDemo(b, ago);
  const { pieces, areas, coats, sessions, batches, defects, photos } = b;
  const log = [...b.log]
    .sort((x, y) => x.atMs - y.atMs)
    .map((entry, i) => ({ ...entry, seq: i + 1 }));
  const room = { roomTemperatureK: C + 22, roomHumidity: 0.56 };
  const settings = [{ ...DEFAULT_SETTINGS, person: 'Ines', ...room, lastBackupMs: ago(2) }];
  return {
    settings,
    resins: DEMO_RESINS,
    pieces,
    areas,
    sessions,
    batches,
    coats,
    defects,
    photos,
    tasks,
    air,
    log,
  };
}
