import {
  byChance,
  evidenceOf,
  MORE_THAN_CHANCE,
  NO_LOOK,
  proportion,
  type Cause,
  type EvidenceCode,
  type Proportion,
  type RescueKind,
} from '@/core/inspect';
import type { DefectKind } from '@/core/piece';
import { stateOf, type Coat, type Defect, type LogEntry } from '@/records';
import { causesOf } from './findings';
import { historyOf } from './history';
import { byId } from './ofPiece';
import type { Shop } from './shop';

/** One bar: so many findings of so many coats that were poured. */
export interface Tally {
  readonly name: string;
  readonly findings: number;
  /** Coats with a finding, of those that count for it. */
  readonly share: Proportion;
}

/** A circumstance that goes with a fault more often than chance alone makes likely. */
export interface Drift {
  readonly kind: DefectKind;
  readonly evidence: EvidenceCode;
  readonly withIt: number;
  readonly of: number;
  /** The same among coats without this fault. */
  readonly elsewhere: number;
  readonly elsewhereOf: number;
  readonly chance: number;
}

export interface RescueCost {
  readonly kind: RescueKind;
  readonly count: number;
  readonly mixedKg: number;
}

export interface Statistics {
  readonly poured: number;
  /** Poured coats on which nothing was found. Null: none was poured. */
  readonly firstTimeRight: Proportion | null;
  readonly byKind: readonly (readonly [DefectKind, number])[];
  readonly byCause: readonly (readonly [Cause, number])[];
  readonly byResin: readonly Tally[];
  readonly byLot: readonly Tally[];
  readonly byRoom: readonly Tally[];
  readonly byPerson: readonly Tally[];
  /** Coats with a finding of those poured in each month, oldest first; `name` is its first day, ISO. */
  readonly byMonth: readonly Tally[];
  /** Mix that rescues took, of all that was mixed, kg. */
  readonly reworkKg: number;
  readonly mixedKg: number;
  readonly drifts: readonly Drift[];
  readonly rescues: readonly RescueCost[];
}

const massOf = (shop: Shop, coat: Coat | undefined): number => {
  const batch = byId(shop.batches, coat?.batchId);
  if (!batch) return 0;
  const { aKg, bKg } = stateOf(batch);
  return ((aKg ?? 0) + (bKg ?? 0)) / Math.max(1, batch.coatIds.length);
};

/** Groups of coats by what is the same about them, those without an answer left out. */
function tallies(
  coats: readonly Coat[],
  found: ReadonlyMap<string, readonly Defect[]>,
  nameOf: (coat: Coat) => string | null,
): Tally[] {
  const groups = new Map<string, Coat[]>();
  for (const coat of coats) {
    const name = nameOf(coat);
    if (name !== null) groups.set(name, [...(groups.get(name) ?? []), coat]);
  }
  return [...groups].map(([name, own]) => ({
    name,
    findings: own.reduce((sum, c) => sum + (found.get(c.id)?.length ?? 0), 0),
    share: proportion(own.filter((c) => found.has(c.id)).length, own.length),
  }));
}

const counted = <T>(list: readonly T[]): (readonly [T, number])[] => {
  const counts = new Map<T, number>();
  for (const one of list) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1]);
};

/** Rooms in steps that a finisher would name, °C at the mix. Judgement, no source. */
const roomName = (k: number): string =>
  k < 291.15 ? 'under 18 °C' : k < 297.15 ? '18 to 24 °C' : 'over 24 °C';

/**
 * Circumstances that go with faults by more than chance: Fisher’s exact test over all pairs that could be tried, its limit
 * shared among them (Bonferroni; from memory).
 */
function driftsOf(
  coats: readonly Coat[],
  found: ReadonlyMap<string, readonly Defect[]>,
  told: ReadonlyMap<string, ReadonlyMap<EvidenceCode, boolean>>,
): Drift[] {
  const kinds = [...new Set([...found.values()].flat().map((d) => d.kind))];
  const codes = [...new Set([...told.values()].flatMap((m) => [...m.keys()]))];
  const tried = kinds.flatMap((kind) =>
    codes.flatMap((evidence): Drift[] => {
      const known = coats.filter((c) => told.get(c.id)?.has(evidence));
      const so = (c: Coat) => told.get(c.id)?.get(evidence) === true;
      const has = (c: Coat) => found.get(c.id)?.some((d) => d.kind === kind) ?? false;
      const withFault = known.filter(has);
      const without = known.filter((c) => !has(c));
      if (withFault.length < 2 || without.length < 2) return [];
      const withIt = withFault.filter(so).length;
      const elsewhere = without.filter(so).length;
      const chance = byChance({
        withBoth: withIt,
        faultOnly: withFault.length - withIt,
        circumstanceOnly: elsewhere,
        neither: without.length - elsewhere,
      });
      const counts = { withIt, of: withFault.length, elsewhere, elsewhereOf: without.length };
      return [{ kind, evidence, ...counts, chance }];
    }),
  );
  const limit = MORE_THAN_CHANCE / Math.max(1, tried.length);
  return tried.filter((d) => d.chance < limit).sort((a, b) => a.chance - b.chance);
}

/** Evidence that is plain either way, by coat. */
function plainEvidence(shop: Shop, coats: readonly Coat[], started: ReadonlyMap<string, LogEntry>) {
  return new Map(
    coats.map((coat) => {
      const session = byId(shop.batches, coat.batchId)?.sessionId ?? '';
      const history = historyOf(shop, coat, coat.pouredMs ?? 0, started.get(session));
      const evidence = evidenceOf(history, NO_LOOK).filter(
        (e) => e.code !== 'looked early' && Math.abs(e.truth - 0.5) > 0.3,
      );
      return [coat.id, new Map(evidence.map((e) => [e.code, e.truth > 0.5]))] as const;
    }),
  );
}

/**
 * What the findings of a shop say together.
 * @param started entries in which sessions were started, by session: who, and what was at hand
 */
export function statisticsOf(shop: Shop, started: ReadonlyMap<string, LogEntry>): Statistics {
  const coats = shop.coats.filter((c) => c.pouredMs !== null);
  const faults = shop.defects.filter((d) => d.coatId !== null && d.kind !== 'not liked');
  const found = new Map<string, Defect[]>();
  for (const d of faults) found.set(d.coatId ?? '', [...(found.get(d.coatId ?? '') ?? []), d]);
  const batch = (coat: Coat) => byId(shop.batches, coat.batchId);
  const sessionOf = (coat: Coat) => started.get(batch(coat)?.sessionId ?? '');
  const own = (nameOf: (coat: Coat) => string | null) => tallies(coats, found, nameOf);
  const causes = faults.flatMap((d) => {
    const coat = byId(shop.coats, d.coatId);
    const why = causesOf(shop, d, coat ? sessionOf(coat) : undefined);
    const [first] = why.ranked;
    return first && why.abstains === null ? [first.cause] : [];
  });
  const chosen = shop.defects.flatMap((d) => (d.rescue ? [d.rescue] : []));
  const massFor = (ids: readonly string[]) =>
    ids.reduce((sum, id) => sum + massOf(shop, byId(shop.coats, id)), 0);
  const month = (ms: number) => {
    const d = new Date(ms);
    return `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-01`;
  };
  const clean = coats.filter((c) => !found.has(c.id)).length;
  return {
    poured: coats.length,
    firstTimeRight: coats.length > 0 ? proportion(clean, coats.length) : null,
    byKind: counted(faults.map((d) => d.kind)),
    byCause: counted(causes),
    byResin: own((c) => byId(shop.resins, c.resinId)?.name ?? null),
    byLot: own((c) => byId(shop.lots, batch(c)?.lotId)?.name ?? null),
    byRoom: own((c) => {
      const k = sessionOf(c)?.figures['temperatureK'];
      return typeof k === 'number' ? roomName(k) : null;
    }),
    byPerson: own((c) => sessionOf(c)?.by || null),
    byMonth: own((c) => month(c.pouredMs ?? 0)).sort((a, b) => a.name.localeCompare(b.name)),
    reworkKg: massFor(chosen.flatMap((r) => r.coatIds)),
    mixedKg: coats.reduce((sum, c) => sum + massOf(shop, c), 0),
    drifts: driftsOf(coats, found, plainEvidence(shop, coats, started)),
    rescues: counted(chosen.map((r) => r.kind)).map(([kind, count]) => ({
      ...{ kind, count },
      mixedKg: massFor(chosen.filter((r) => r.kind === kind).flatMap((r) => r.coatIds)),
    })),
  };
}
