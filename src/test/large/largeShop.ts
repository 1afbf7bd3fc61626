import { seededRandom } from '@/core/numeric';
import { SCHEMA_VERSION } from '@/data/migrations';
import { DEMO_RESINS } from '@/demo/resins';
import { asId, BATCHES, DEFAULT_SETTINGS, type PrepRecord, roomDays, TASKS } from '@/records';
import { LargeRows } from './rows';

const HOUR = 3_600_000;
const TICKED = [
  ['wipe', 'Wipe with alcohol, barely damp'],
  ['lint', 'Take off the last lint'],
  ['level', 'Level the piece'],
] as const;
const DAY = 24 * HOUR;
const WORDS = ['Signal', 'Lamp', 'Buffer', 'Platform', 'Porter', 'Siding', 'Coal', 'Gauge'];
const THINGS = ['board', 'tray', 'tile', 'panel', 'sill', 'plaque', 'lid', 'table'];

/** Sizes of a shop of many years: pieces, of them still in work, entries of the log for each. */
export const LARGE = { pieces: 1000, curing: 25, planned: 60, logEach: 20 } as const;

/** The one session that is open: its batch waits for part A. */
export const LARGE_SESSION = asId<'session'>('large-session');
const BATCH = asId<'batch'>('large-batch');

/**
 * A shop file of 1,000 pieces, 4,000 coats and 20,000 entries, made without acts.
 * @param nowMs its newest pours lie some hours before @param pieces how many, for a smaller one
 * @returns the text of the file, the same for the same arguments
 */
export function largeShop(nowMs: number, pieces: number = LARGE.pieces): string {
  const random = seededRandom(4711);
  const pick = <T>(list: readonly T[]): T => {
    const found = list[Math.floor(random() * list.length)];
    if (found === undefined) throw new RangeError('largeShop: nothing to pick');
    return found;
  };
  const b = new LargeRows(['Ada', 'Ben']);
  const [resin] = DEMO_RESINS;
  if (!resin) throw new RangeError('largeShop: no resin');
  const tasks: PrepRecord[] = [];
  const curingFrom = pieces - Math.round((LARGE.curing / LARGE.pieces) * pieces);
  const plannedFrom = curingFrom - Math.round((LARGE.planned / LARGE.pieces) * pieces);
  for (let i = 0; i < pieces; i += 1) {
    const isPlanned = i >= plannedFrom && i < curingFrom;
    const isCuring = i >= curingFrom;
    // Finished long ago, one after the other; what is in work is of the last days.
    const cameMs =
      isPlanned || isCuring ? nowMs - 6 * DAY : nowMs - (40 + (plannedFrom - i) / 3) * DAY;
    const piece = b.piece(cameMs, {
      name: `${pick(WORDS)} ${pick(THINGS)} ${i + 1}`,
      support: pick(['tile', 'sealed panel', 'bare wood'] as const),
      note: '',
      shape: { kind: 'rectangle', widthM: 0.1 + random() * 0.5, heightM: 0.1 + random() * 0.3 },
      edgeHeightM: 0.018,
      edges: ['open', 'open', 'open', 'tape wall'],
    });
    const kinds = ['seal', 'flood', 'flood', 'flood'] as const;
    for (const [n, kind] of kinds.entries()) {
      const thicknessM = kind === 'seal' ? 0.2e-3 : 1.2e-3 + random() * 0.6e-3;
      const name = kind === 'seal' ? 'Seal' : `Flood ${n}`;
      const coat = b.coat(cameMs + n * 60_000, piece, { name, kind, resin, thicknessM });
      const lies = isPlanned ? n < 1 : true;
      if (!lies) continue;
      const pouredMs = isCuring
        ? nowMs - (3 - n) * 12 * HOUR - (i % 7) * HOUR - HOUR
        : cameMs + (n + 1) * 12 * HOUR;
      b.pour(coat, resin, { pouredMs, temperatureK: 293.15 + random() * 4 });
    }
    const first = b.coats.find((c) => c.pieceId === piece.id)?.id ?? null;
    for (const [rule, title] of TICKED)
      tasks.push({
        ...TASKS.defaults,
        ...{ id: b.id('task'), pieceId: piece.id, key: `${rule}:${first}`, rule, title },
        ...{ coatId: first, scope: [], state: 'done', doneMs: Math.round(cameMs) },
      });
    for (let more = b.log.length; more < (i + 1) * LARGE.logEach; more += 1)
      b.write(cameMs + HOUR, 'note', { pieceId: piece.id, text: 'Looked at in raking light.' });
  }
  openSession(b, nowMs);
  const { pieces: rows, areas, coats, sessions, batches } = b;
  const log = [...b.log].sort((x, y) => x.atMs - y.atMs).map((e, i) => ({ ...e, seq: i + 1 }));
  const tables = {
    ...{
      settings: [DEFAULT_SETTINGS],
      resins: DEMO_RESINS,
      pieces: rows,
      areas,
      sessions,
      batches,
      coats,
    },
    ...{
      layers: [],
      templates: [],
      lots: [],
      swatches: [],
      drafts: [],
      shares: [],
      defects: [],
      photos: [],
      tasks,
      room: roomDays(b.readings),
      log,
    },
  };
  return JSON.stringify({
    ...{ format: 'bilamina.shop', version: SCHEMA_VERSION, exportedMs: nowMs, tables },
  });
}

/** Opens a session for the planned coat that came last. */
function openSession(b: LargeRows, nowMs: number): void {
  const at = b.coats.findLastIndex((c) => c.batchId === null);
  const coat = b.coats[at];
  if (!coat) throw new RangeError('largeShop: nothing is planned');
  const { resinId } = coat;
  const of = { resinId, coatIds: [coat.id] };
  const startedMs = nowMs - 60_000;
  b.sessions.push({
    ...{ ...of, id: LARGE_SESSION, startedMs, endedMs: null },
  });
  b.batches.push({
    ...{ ...of, id: BATCH, sessionId: LARGE_SESSION },
    ...BATCHES.defaults,
    ...{ targetM3: 2e-4, targetAKg: 0.12, targetBKg: 0.1 },
  });
  b.coats[at] = { ...coat, batchId: BATCH };
  b.write(startedMs, 'session started', {
    ...{ sessionId: LARGE_SESSION, batchId: BATCH, pieceId: coat.pieceId, text: coat.name },
  });
}
