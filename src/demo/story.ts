import type { ShopDb } from '@/data/db';
import { noteBackup, saveResin, saveSettings } from '@/data/repos/bench';
import { markLot, saveLot } from '@/data/repos/lots';
import { US_FLUID_OUNCE_M3 } from '@/core/units';
import { asId, DEFAULT_SETTINGS, plainArea } from '@/records';
import { addReadings } from '@/data/repos/room';
import { Bench, drawn } from './acts';
import { defect, warmAir } from './found';
import { loggerReadOuts } from './logger';
import { tellDoorNumerals } from './doorNumerals';
import { LENS_BOX, lensOutline, lensPhoto, lensPlan } from './lampLens';
import { tellLabels } from './luggageLabels';
import { tellLampRoomTray } from './lampRoomTray';
import { tellPlaces } from './places';
import { tellSwatches } from './swatches';
import { hangingPlate, paddleOutline } from './paddle';
import { oldEpoxy } from './pieceSpec';
import { dimpledDisc } from './pictures';
import { DEMO_OPENED, DEMO_RESINS, demoLots } from './resins';
import { Teller } from './teller';
import { tellCanvas } from './timetableCanvas';

const DAY = 24 * 3_600_000;
const HOUR = 3_600_000;
const [MILLRACE, LANTERN, TARN] = ['demo-millrace', 'demo-lantern', 'demo-tarn'];

/** An instant so many days and hours before the story ends, ms. */
export type Ago = (days: number, hours?: number) => number;

/** The one that waited too long: its mask is past the limit, and the coat has cured hard. */
function reliefMap(b: Bench, ago: Ago) {
  const name = 'Relief map';
  b.piece(ago(16, 6), {
    ...{ name, support: 'cured resin' },
    note: 'Round map of the valley whose pour failed: sunk middle, hills stand proud.',
    shape: { kind: 'disc', diameterM: 0.38 },
    ...{ edgeHeightM: 0.012, edges: ['tape wall'] },
    face: {
      surface: oldEpoxy(40, true),
      relief: [{ kind: 'paste', greatestM: 2.4e-3, meanM: 0.9e-3, share: 0.35 }],
    },
  });
  b.coat(ago(15, 6), name, { name: 'Lock', kind: 'lock', resin: MILLRACE, thicknessM: 0.7e-3 });
  b.do(ago(15, 5), name, 'dry paste', 'Lock', { doneMs: ago(24) });
  b.pour(ago(14, 4), name, 'Lock', 22, 7);
  b.touchedWhileCuring(ago(14, 4), [name, 'Lock']);
  defect(
    b,
    ago(12, 20),
    [name, 'Lock'],
    ['proud relief', 'The ridge above Mossgate still catches the glove'],
    { repairedMs: ago(12, 2) },
  );
  b.coat(ago(12, 1), name, { name: 'Flood 1', kind: 'flood', resin: LANTERN, thicknessM: 3e-3 });
  b.pour(ago(2, 2), name, 'Flood 1', 20);
  warmAir(b, ago(2, 2), [name, 'Flood 1'], [2, 4, 5, 6, 7]);
  defect(
    b,
    ago(0, 6),
    [name, 'Flood 1'],
    ['dimples', 'Seven dimples near the rim, from a long warm-air pass'],
    {
      photo: drawn('relief-map-dimples.svg', 480, 480, dimpledDisc()),
      ...{ count: 7, sizeM: 6e-3, depthM: 0.3e-3, point: [0.155, -0.03] },
    },
  );
  b.coat(ago(0, 5), name, { name: 'Flood 2', kind: 'flood', resin: MILLRACE, thicknessM: 1.8e-3 });
  b.ask(ago(0, 4.9), name, {
    title: 'Ask the museum whether the ridge stays proud',
    needed: false,
  });
  b.waive(
    ago(0, 4.4),
    name,
    'level',
    'Flood 2',
    'stands on the turntable that was levelled this morning',
  );
}

/** The ready one: masked anew, wiped and level, inside its recoat window. */
function viaduct(b: Bench, ago: Ago) {
  const name = 'Viaduct painting';
  b.piece(ago(11, 4), {
    ...{ name, support: 'sealed panel' },
    note: 'Oil on panel, six months dry, varnish off. Client wants depth, and a rim that does not look raw.',
    shape: { kind: 'rectangle', widthM: 0.6, heightM: 0.4 },
    ...{ edgeHeightM: 0.018, edges: ['open', 'open', 'tape wall', 'open'] },
  });
  b.coat(ago(11, 3), name, { name: 'Seal', kind: 'seal', resin: TARN, thicknessM: 0.2e-3 });
  b.pour(ago(6, 3), name, 'Seal', 21, 5);
  b.coat(ago(5, 2), name, { name: 'Flood 1', kind: 'flood', resin: MILLRACE, thicknessM: 1.6e-3 });
  b.pour(ago(0, 11), name, 'Flood 1', 22, 8.4);
  b.coat(ago(0, 3), name, { name: 'Flood 2', kind: 'flood', resin: MILLRACE, thicknessM: 1.8e-3 });
  b.coat(ago(0, 2.9), name, {
    ...{ name: 'Rim', kind: 'edge', resin: TARN },
    intent: { by: 'skin' },
    more: { restS: 12 * 60 },
  });
  b.do(ago(0, 1.6), name, 'mask', 'Flood 2', { method: 'painter’s tape' });
  b.do(ago(0, 1.2), name, 'wipe', 'Flood 2');
  b.do(ago(0, 1.1), name, 'level', 'Flood 2');
}

function tiles(b: Bench, ago: Ago) {
  const name = 'Hall tiles';
  b.piece(ago(8, 5), {
    ...{ name, count: 8, support: 'tile' },
    note: 'Octagonal ticket-hall floor tiles, taped rims.',
    shape: { kind: 'regularPolygon', sides: 8, sizeM: 0.15, across: 'flats' },
    ...{ edgeHeightM: 0.009, edges: ['tape wall'] },
    about: { job: 'Ticket hall', dueMs: ago(-9) },
  });
  b.coat(ago(8, 4), name, { name: 'Flood 1', kind: 'flood', resin: MILLRACE, thicknessM: 2e-3 });
  b.pour(ago(0, 8.2), name, 'Flood 1', 22);
  for (const [i, title] of ['Glue felt on the backs', 'Wrap in the museum’s own paper'].entries())
    b.ask(ago(0, 4.8 - i / 10), name, {
      ...{ title, needed: true, on: { at: 'last' as const } },
      labelS: i === 0 ? 24 * 3600 : 0,
    });
  b.keepList(ago(0, 4.6), name, 'Ticket hall: what comes last');
}

function board(b: Bench, ago: Ago) {
  const name = 'Signal-box board';
  b.piece(ago(5, 6), {
    ...{ name, support: 'bare wood' },
    note: 'Ash name board, brass chips set in the letters.',
    shape: {
      ...{ kind: 'roundedRectangle', widthM: 0.9, heightM: 0.24, radiusM: 0.03 },
      keepBare: [hangingPlate(-0.405), hangingPlate(0.405)],
    },
    ...{ edgeHeightM: 0.022, edges: ['open'] },
    face: {
      porosity: 'porous',
      surface: { kind: 'painted', resin: null, ageDays: null, sanded: false },
      relief: [{ kind: 'flakes', greatestM: 1.8e-3, meanM: 1.1e-3, share: 0.12 }],
    },
    about: {
      use: { hotCups: false, food: false, daylight: true },
      marks: [
        { name: 'Left hanging plate', at: [-0.405, 0] },
        { name: 'Right hanging plate', at: [0.405, 0] },
      ],
    },
  });
  b.coat(ago(5, 5), name, { name: 'Seal', kind: 'seal', resin: TARN, thicknessM: 0.2e-3 });
  b.do(ago(4, 6), name, 'dry paint', 'Seal');
  b.do(ago(2, 2), name, 'hardware', 'Seal');
  b.waive(ago(2, 1), name, 'edge ground', 'Seal', 'client wants the ash to show on the edges');
  b.level(ago(1, 4.5), name, {
    ...{ tilt: { alongX: 0.0004, alongY: -0.0011 }, by: 'typed' },
    props: [
      [-0.38, -0.08],
      [0.38, -0.08],
      [0, 0.09],
    ],
  });
  b.pour(ago(1, 3), name, 'Seal', 21, 9);
  b.coat(ago(1, 2), name, { name: 'Flood 1', kind: 'flood', resin: MILLRACE, thicknessM: 1.6e-3 });
  b.pour(ago(0, 0.6), name, 'Flood 1', 22);
}

/** Ink that was sprayed too thin: the finger took colour off. */
function paddle(b: Bench, ago: Ago) {
  const name = 'Guard’s paddle';
  b.piece(ago(2, 6), {
    ...{ name, support: 'sealed panel' },
    note: 'Outline taken from the sign painter’s drawing; the handle stays bare.',
    shape: paddleOutline(),
    ...{ edgeHeightM: 0.012, edges: ['open'] },
    face: { surface: { kind: 'ink', resin: null, ageDays: 3, sanded: false } },
  });
  b.coat(ago(2, 5), name, { name: 'Flood 1', kind: 'flood', resin: LANTERN, thicknessM: 1.6e-3 });
  // The handle is taped before the can is shaken: no spray on it.
  b.do(ago(1, 2.3), name, 'mask', 'Flood 1');
  b.do(ago(1, 2), name, 'fix art', 'Flood 1');
  b.do(ago(0, 5.2), name, 'rub test', 'Flood 1', { result: 'colour comes off' });
}

/** Traced from a photo, held by a dome. */
function lens(b: Bench, ago: Ago) {
  const name = 'Signal lamp lens';
  const [photoId, planPhotoId] = [asId<'photo'>('demo-lens'), asId<'photo'>('demo-lens-plan')];
  b.piece(ago(1, 7), {
    ...{ name, support: 'cured resin' },
    note: 'Signal lamp lens casting, traced from a photo; the lug was cast rough and is held by a dome.',
    shape: { kind: 'outline', outer: lensOutline(), keepBare: [] },
    ...{ edgeHeightM: 0.014, edges: ['doming'] },
    face: {
      surface: oldEpoxy(6, false),
      measured: { by: 'photo', photoId, planPhotoId, box: LENS_BOX, sigmaShare: 0.006 },
    },
    about: { use: { hotCups: false, food: false, daylight: true } },
    more: [
      plainArea({ kind: 'outline', outer: lensOutline(), keepBare: [] }, 0.014, ['doming'], 'back'),
    ],
    photos: [
      { id: photoId, ...drawn('lamp-lens.svg', 800, 600, lensPhoto()) },
      { id: planPhotoId, ...drawn('lamp-lens, straightened.svg', 600, 630, lensPlan()) },
    ],
  });
  b.coat(ago(1, 6), name, {
    ...{ name: 'Dome', kind: 'dome', resin: MILLRACE, thicknessM: 1.5e-3, on: ['Face'] },
  });
  // The finished side lies below by then: not a drop may run over.
  b.coat(ago(1, 5.9), name, {
    ...{ name: 'Back', kind: 'back', resin: MILLRACE, on: ['Back'] },
    intent: { by: 'dome', centreM: null },
  });
}

/** Small and open all round: flooded over the edge, then worked with colours. */
function coasters(b: Bench, ago: Ago) {
  const name = 'Buffet coasters';
  b.piece(ago(0, 7.5), {
    ...{ name, count: 6, support: 'tile' },
    note: 'Six slate rounds for the refreshment room; the client wants the resin over the edge.',
    about: { job: 'Dining car', dueMs: ago(-16) },
    shape: { kind: 'disc', diameterM: 0.1016 },
    ...{ edgeHeightM: 0.006, edges: ['open'] },
  });
  b.coat(ago(0, 7.4), name, {
    ...{ name: 'Flood 1', kind: 'flood', resin: MILLRACE },
    intent: { by: 'over', perMetreM2: 50e-6 },
  });
}

/** A volume is the starting point: what is left of two bottles. */
function clockFace(b: Bench, ago: Ago) {
  const name = 'Platform clock face';
  b.piece(ago(0, 7.2), {
    ...{ name, support: 'sealed panel' },
    note: 'Enamelled dial, numerals in gilding pen. One mix of 15 fl oz is all that this lot still gives.',
    shape: { kind: 'disc', diameterM: 0.5 },
    ...{ edgeHeightM: 0.012, edges: ['open'] },
  });
  b.coat(ago(0, 7.1), name, {
    ...{ name: 'Flood 1', kind: 'flood', resin: LANTERN },
    intent: { by: 'mix', volumeM3: 15 * US_FLUID_OUNCE_M3 },
  });
}

/** The air of the one room. What a session finds different it notes by itself. */
function room(b: Bench, ago: Ago) {
  b.room(ago(21, 3), 21, 0.5);
  b.room(ago(16, 20), 19, 0.52);
  b.room(ago(6, 6), 21, 0.55);
  b.room(ago(1, 14), 17, 0.6);
  b.room(ago(1, 6), 20, 0.64);
  b.room(ago(0, 6), 22, 0.56);
}

/**
 * Fernhollow Works, an invented finishing shop with a commission for an invented narrow-gauge railway museum: sixteen
 * pieces in different stages and three weeks of log, told to an empty shop through the acts of its users.
 * @param endMs the clock of the last hour
 */
export async function tellStory(db: ShopDb, endMs: number): Promise<void> {
  const ago: Ago = (days, hours = 0) => endMs - days * DAY - hours * HOUR;
  const story = new Teller(['Ines', 'Rowan']);
  const b = new Bench(story);
  story.at(ago(21, 3.5), (db2, c) => saveSettings(db2, c, { ...DEFAULT_SETTINGS, person: 'Ines' }));
  for (const resin of DEMO_RESINS) story.at(ago(21, 3), (db2, c) => saveResin(db2, c, resin));
  for (const lot of demoLots(ago)) story.at(ago(21, 2.9), (db2, c) => saveLot(db2, c, lot));
  tellSwatches(story, ago);
  for (const id of DEMO_OPENED) story.at(ago(21, 2.8), (db2, c) => markLot(db2, c, id, 'openedMs'));
  b.note(
    ago(21, 2),
    'Commission of the Fernhollow museum line begins: sixteen pieces, first six on the bench.',
  );
  const parts = [tellLabels, reliefMap, viaduct, tiles, board, paddle, lens];
  for (const part of [...parts, coasters, clockFace]) part(b, ago);
  tellCanvas(b, ago, MILLRACE);
  tellLampRoomTray(b, ago, MILLRACE);
  tellPlaces(b, ago, MILLRACE);
  tellDoorNumerals(story, b, ago);
  room(b, ago);
  const readOuts = [ago(12.5), ago(5.5), ago(1.55), ago(0, 0.1)];
  for (const { atMs, readings } of loggerReadOuts(endMs, readOuts))
    story.at(atMs, (db2, c) => addReadings(db2, c, readings));
  story.at(ago(2), (db2, c) => noteBackup(db2, c));
  await story.play(db);
}
