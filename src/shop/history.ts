import { dewPoint, type AirStep } from '@/core/climate';
import { NO_HISTORY, type CoatHistory } from '@/core/inspect';
import {
  massRatioBA,
  RATIO_TOLERANCE,
  USUAL_ROOM_K,
  workingTime,
  type ResinSheet,
} from '@/core/resin';
import { colourLoad, contrastRatio, standing, stirTimes, type WeighedBy } from '@/core/wet';
import {
  stateOf,
  type Batch,
  type Coat,
  type LogEntry,
  type PrepRecord,
  type Resin,
} from '@/records';
import { clockOf } from './clockOf';
import { byId, ofPiece } from './ofPiece';
import type { Shop } from './shop';

const HOUR_MS = 3_600_000;
const READ: readonly (WeighedBy | null)[] = [
  ...(['read', 'by the scale', 'simulated scale', 'to the mark'] as const),
];

type Known = Partial<CoatHistory>;

/** What was weighed, stirred and rested before the pour. */
function mixed(shop: Shop, coat: Coat, batch: Batch, { sheet, declared }: Resin): Known {
  const done = stateOf(batch);
  const { aKg, bKg, mixedMs, stirredMs, stirStartedMs, idleMs } = done;
  const pouredMs = done.poured.get(coat.id) ?? coat.pouredMs;
  const lot = byId(shop.lots, batch.lotId);
  const roomK = mixedMs === null ? null : readAirAt(shop.room.read, mixedMs)?.temperatureK;
  const massKg = aKg !== null && bKg !== null ? aKg + bKg : null;
  const workingS =
    massKg === null ? null : workingTime(sheet, massKg, roomK ?? sheet.referenceTemperatureK);
  const since = (ms: number) => (mixedMs === null ? null : (ms - mixedMs) / 1000);
  const heats = standing(batch.events).filter(
    (e) => e.is === 'bubble round' && e.coatId === coat.id && e.by !== 'pick',
  );
  const torches = heats.filter((e) => e.is === 'bubble round' && e.by === 'torch');
  const last = heats.at(-1);
  const share = (ms: number | null | undefined) => {
    const s = ms === null || ms === undefined ? null : since(ms);
    return s !== null && workingS ? s / workingS : null;
  };
  const cups = coat.colours.flatMap((c) => {
    const swatch = byId(shop.swatches, c.swatchId);
    return swatch ? [swatch] : [];
  });
  const loads = cups.map(({ parts }) => colourLoad(parts, declared));
  const seen = cups.flatMap(({ trials }) => {
    const trial = trials.findLast((t) => t.seen !== null)?.seen;
    const contrast = trial ? contrastRatio(trial.overBlack, trial.overWhite) : null;
    return contrast === null ? [] : [contrast];
  });
  return {
    ratioError: aKg !== null && bKg !== null && aKg > 0 ? bKg / aKg / massRatioBA(sheet) - 1 : null,
    ratioTolerance: RATIO_TOLERANCE,
    ratioRead:
      aKg === null || bKg === null ? null : [done.aBy, done.bBy].every((by) => READ.includes(by)),
    stirredS:
      stirredMs !== null && stirStartedMs !== null
        ? (stirredMs - stirStartedMs - idleMs) / 1000
        : null,
    stirAtLeastS: stirTimes(sheet).leastS,
    changedCup: stirredMs === null ? null : done.changedCupMs !== null,
    mixedAtK: roomK ?? null,
    restedS: stirredMs !== null && pouredMs !== null ? (pouredMs - stirredMs) / 1000 : null,
    pouredAt: share(pouredMs),
    cupLoad: massKg === null ? null : massKg / sheet.workingMassKg,
    pastDate: lot?.bestBeforeMs && mixedMs !== null ? mixedMs > lot.bestBeforeMs : null,
    torchPasses: pouredMs === null ? null : torches.length,
    heatPasses: pouredMs === null ? null : heats.length,
    lastHeat: share(last?.atMs),
    rounds:
      pouredMs === null
        ? null
        : (done.rounds.get(coat.id) ?? []).filter((ms) => ms - pouredMs <= HOUR_MS).length,
    ranShort: pouredMs === null ? null : (done.short.get(coat.id) ?? 0) > 0,
    colourLoad: loads.length > 0 ? Math.max(...loads.map((l) => l.share / l.limit)) : null,
    contrast: seen.length > 0 ? Math.min(...seen) : null,
  };
}

/** The air as it was read; null before anybody read it. */
function readAirAt(read: readonly AirStep[], atMs: number): AirStep | null {
  const [first] = read;
  return first && first.fromMs <= atMs ? (read.findLast((s) => s.fromMs <= atMs) ?? null) : null;
}

/** What the room was like while it cured, as far as it was read. */
function cured({ room }: Shop, { pouredMs }: Coat, noFlowMs: number, nowMs: number): Known {
  if (pouredMs === null) return {};
  const at = readAirAt(room.read, pouredMs);
  if (!at) return {};
  const within = (toMs: number) => [
    at,
    ...room.read.filter((s) => s.fromMs > pouredMs && s.fromMs <= Math.min(toMs, nowMs)),
  ];
  const wet = room.last?.humidity === null ? [] : within(noFlowMs);
  const surface = room.surfaces.findLast((s) => Math.abs(s.atMs - pouredMs) < HOUR_MS);
  const margins = wet
    .filter((s) => s.humidity > 0)
    .map((s) => Math.min(s.temperatureK, surface?.surfaceK ?? Infinity) - dewPoint(s));
  return {
    coldestK: Math.min(...within(pouredMs + 12 * HOUR_MS).map((s) => s.temperatureK)),
    dewMarginK: margins.length > 0 ? Math.min(...margins) : null,
    humidity: wet.length > 0 ? Math.max(...wet.map((s) => s.humidity)) : null,
  };
}

/** Whether a step of a coat’s preparation was done: true, waived or left: false, nobody said: null. */
function stepDone(tasks: readonly PrepRecord[], coat: Coat, rules: readonly string[]) {
  const own = tasks.filter(
    (t) => rules.includes(t.rule) && (t.coatId === coat.id || t.key.includes(coat.id)),
  );
  if (own.length === 0) return null;
  return own.every((t) => t.state === 'done' && (t.doneMs ?? 0) <= (coat.pouredMs ?? Infinity));
}

function below(coats: readonly Coat[], coat: Coat): Coat | undefined {
  return [...coats]
    .filter((c) => c.order < coat.order && c.areaIds.some((id) => coat.areaIds.includes(id)))
    .sort((a, b) => b.order - a.order)
    .find((c) => c.pouredMs !== null && c.pouredMs < (coat.pouredMs ?? 0));
}

/** How it found the coat below when it was poured. */
function groundBelow(
  shop: Shop,
  coat: Coat,
  under: Coat | undefined,
  tasks: readonly PrepRecord[],
): CoatHistory['ground'] {
  if (!under || coat.pouredMs === null) return coat.pouredMs === null ? null : 'none';
  const sheet = byId(shop.resins, under.resinId)?.sheet;
  const clock = sheet ? clockOf(under, sheet, shop.room, coat.pouredMs) : null;
  const recoat = clock?.windows.find((w) => w.kind === 'recoat');
  if (!recoat) return null;
  if (stepDone(tasks, coat, ['tooth', 'flatten', 'own sanding'])) return 'sanded';
  if (recoat.status === 'before') return 'too soon';
  return recoat.status === 'open' ? 'open' : 'shut';
}

/** What lay below it and how it was made ready. */
function prepared(shop: Shop, coat: Coat, started: LogEntry | undefined): Known {
  const coats = ofPiece(shop.coats, coat.pieceId);
  const tasks = ofPiece(shop.tasks, coat.pieceId);
  const areas = ofPiece(shop.areas, coat.pieceId).filter((a) => coat.areaIds.includes(a.id));
  const piece = byId(shop.pieces, coat.pieceId);
  const under = below(coats, coat);
  const sealed = new Set(
    tasks.filter((t) => t.rule === 'seal' && t.state === 'done').flatMap((t) => t.scope),
  );
  const open = areas.some((a) => a.porosity !== 'sealed' && !sealed.has(a.id));
  const wet = ofPiece(shop.layers, coat.pieceId).filter(
    ({ over, state }) => state.at === 'laid' && (over === null || over === under?.id),
  );
  const film = Math.min(...coat.staysM, coat.thicknessM);
  const tallest = Math.max(0, ...areas.flatMap((a) => a.relief.map((r) => r.greatestM)));
  const laid = coats
    .filter((c) => c.order <= coat.order && c.areaIds.some((id) => coat.areaIds.includes(id)))
    .reduce((sum, c) => sum + Math.min(...c.staysM, c.thicknessM), 0);
  const tilt = piece?.level?.tilt;
  const missing = String(started?.figures['notAtHand'] ?? '');
  const spray = { ...shop.settings.prep, ...piece?.prep }.spray;
  const inked = tasks.some((t) => t.rule === 'fix art' && t.state === 'done');
  return {
    wiped: stepDone(tasks, coat, ['wipe', 'degrease']),
    dusted: stepDone(tasks, coat, ['sanding dust', 'lint', 'brush off']),
    masked: stepDone(tasks, coat, ['mask']),
    openPores: under || coat.kind === 'seal' ? false : open,
    siliconeBelow: under ? under.silicone : null,
    layerWet:
      wet.length === 0
        ? null
        : wet.some(
            ({ state }) =>
              state.at === 'laid' && state.dryMs !== null && state.dryMs > (coat.pouredMs ?? 0),
          ),
    ground: groundBelow(shop, coat, under, tasks),
    filmM: Number.isFinite(film) ? film : null,
    openEdges: areas.some((a) => a.edges.some((e) => e.kind === 'open')),
    proudM: tallest > 0 ? tallest - laid : null,
    slope: tilt ? Math.hypot(tilt.alongX, tilt.alongY) : null,
    gloves: started?.figures['atHand'] === undefined ? null : !/gloves/i.test(missing),
    glossOnInk: inked && areas.some((a) => a.surface.kind === 'ink') ? spray === 'gloss' : null,
  };
}

function looked(shop: Shop, coat: Coat, sheet: ResinSheet, foundMs: number): Known {
  const clock = clockOf(coat, sheet, shop.room, foundMs);
  const { pouredMs, coveredMs } = coat;
  const unmask = clock?.windows.find((w) => w.kind === 'unmask');
  const off = ofPiece(shop.tasks, coat.pieceId).find(
    (t) => t.rule === 'unmask' && t.state === 'done' && t.key.includes(coat.id),
  );
  const until = off?.doneMs ?? foundMs;
  const limit = unmask?.closesMs && pouredMs !== null ? unmask.closesMs - pouredMs : null;
  return {
    openS: pouredMs !== null && coveredMs !== null ? (coveredMs - pouredMs) / 1000 : null,
    lookedAt: clock ? clock.ripeS / (sheet.times.handleS * clock.pace.factor) : null,
    maskAge: limit && pouredMs !== null ? (until - pouredMs) / limit : null,
  };
}

/**
 * What the shop knows of a coat up to a look at it: only what was noted, nothing that is assumed.
 * @param started entry of the log in which its session was started; left out: not read
 */
export function historyOf(
  shop: Shop,
  coat: Coat,
  foundMs: number,
  started?: LogEntry,
): CoatHistory {
  const resin = byId(shop.resins, coat.resinId);
  if (!resin || coat.pouredMs === null) return NO_HISTORY;
  const batch = byId(shop.batches, coat.batchId);
  const noFlowMs =
    clockOf(coat, resin.sheet, shop.room, foundMs)?.spans[0]?.toMs ?? coat.pouredMs + 6 * HOUR_MS;
  const own = prepared(shop, coat, started);
  const after = looked(shop, coat, resin.sheet, foundMs);
  return {
    ...NO_HISTORY,
    curesFromK: (resin.declared.curesK ?? USUAL_ROOM_K).min,
    closesFromM: resin.sheet.thinnestM,
    ...(batch ? mixed(shop, coat, batch, resin) : {}),
    ...cured(shop, coat, noFlowMs, foundMs),
    ...own,
    ...after,
    maskAge: own.masked ? (after.maskAge ?? null) : null,
  };
}
