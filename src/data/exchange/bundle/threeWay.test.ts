import { seededRandom } from '@/core/numeric';
import { TABLE_NAMES } from '@/records';
import { type AnyRow, digest, type Rows } from './digest';
import { type Choices, compareBundle, mergedRows, type Side } from './threeWay';
import { addressOf, UNIT_TABLES, type UnitKey } from './units';

const empty = () =>
  Object.fromEntries(TABLE_NAMES.map((t) => [t, [] as AnyRow[]])) as unknown as Record<
    keyof Rows,
    AnyRow[]
  >;
const copy = (rows: Rows): Record<keyof Rows, AnyRow[]> =>
  Object.fromEntries(TABLE_NAMES.map((t) => [t, [...rows[t]]])) as Record<keyof Rows, AnyRow[]>;
const digests = (rows: Rows): Record<string, string> =>
  Object.fromEntries(
    UNIT_TABLES.flatMap((t) => rows[t].map((r) => [addressOf(t, r.id), digest(t, r)])),
  );
const OWNED = ['areas', 'coats', 'tasks'] as const;

/** A shop of a few pieces, of which only ids and one number matter. */
function small(): Rows {
  const rows = empty();
  for (let p = 0; p < 5; p += 1) {
    rows.pieces.push({ id: `p${p}`, name: `Piece ${p}`, v: 0 });
    for (const t of OWNED)
      for (let i = 0; i < 3; i += 1) rows[t].push({ id: `${t}${p}${i}`, pieceId: `p${p}`, v: 0 });
  }
  rows.resins.push({ id: 'r', name: 'Sheet', v: 0 });
  for (let i = 1; i <= 4; i += 1) rows.log.push({ id: `l${i}`, seq: i, atMs: i * 10 });
  return rows;
}

/** Some rows changed, some added, some taken away, some entries written. */
function work(rows: Rows, who: string, seed: number): Rows {
  const random = seededRandom(seed);
  const done = copy(rows);
  for (const t of [...OWNED, 'pieces', 'resins'] as const)
    done[t] = done[t].flatMap((row) => {
      const luck = random();
      if (luck < 0.15) return [{ ...row, v: `${who} ${seed}` }];
      return luck < 0.2 && t !== 'pieces' && t !== 'resins' ? [] : [row];
    });
  for (let i = 0; i < random() * 4; i += 1)
    done.tasks.push({ id: `${who}t${seed}-${i}`, pieceId: `p${Math.floor(random() * 5)}`, v: 1 });
  if (random() < 0.5) done.pieces.push({ id: `${who}p${seed}`, name: who, v: 1 });
  let [seq, atMs] = [done.log.length, 40];
  for (let i = 0; i < random() * 6; i += 1)
    done.log.push({ id: `${who}l${seed}-${i}`, seq: (seq += 1), atMs: (atMs += 1 + random() * 9) });
  return done;
}

/** What must come out, row by row, told anew: what one side alone changed stands, a clash goes as chosen. */
function wanted(base: Rows, mine: Rows, theirs: Rows, side: Side): Map<string, string> {
  const [o, a, b] = [base, mine, theirs].map(digests) as [
    Record<string, string>,
    Record<string, string>,
    Record<string, string>,
  ];
  const out = new Map<string, string>();
  for (const address of new Set([...Object.keys(a), ...Object.keys(b)])) {
    const value =
      a[address] === b[address] || b[address] === o[address]
        ? a[address]
        : a[address] === o[address]
          ? b[address]
          : side === 'mine'
            ? a[address]
            : b[address];
    if (value !== undefined) out.set(address, value);
  }
  return out;
}
const merge = (mine: Rows, theirs: Rows, base: Rows, side: Side): Rows => {
  const plan = compareBundle(mine, theirs, digests(base));
  const choices: Choices = new Map(
    plan.filter((p) => p.fate === 'both').map((p) => [p.unit, { side, whole: false }]),
  );
  return mergedRows(mine, theirs, plan, choices);
};
const sorted = (entries: Iterable<readonly [string, string]>) =>
  [...entries].sort((a, b) => (a[0] < b[0] ? -1 : 1));

describe('two shops that both changed, 500 seeds: nothing is lost', () => {
  const base = small();
  it('what one side changed, added or took away stands; a clash goes as chosen', () => {
    let clashes = 0;
    for (let seed = 0; seed < 500; seed += 1) {
      const [mine, theirs] = [work(base, 'a', seed), work(base, 'b', seed + 1000)];
      const side = seed % 2 ? 'mine' : 'theirs';
      const merged = merge(mine, theirs, base, side);
      expect(sorted(Object.entries(digests(merged)))).toEqual(
        sorted(wanted(base, mine, theirs, side)),
      );
      clashes += compareBundle(mine, theirs, digests(base)).filter((p) => p.fate === 'both').length;
    }
    // The seeds do try what is asked about.
    expect(clashes).toBeGreaterThan(500);
  });

  it('every entry of both logs once, each side in its own order, counted without gaps', () => {
    for (let seed = 0; seed < 500; seed += 1) {
      const [mine, theirs] = [work(base, 'a', seed), work(base, 'b', seed + 1000)];
      const { log } = merge(mine, theirs, base, 'mine');
      expect(log.map((e) => e['seq'])).toEqual(log.map((_, i) => i + 1));
      const both = new Set([...mine.log, ...theirs.log].map((e) => e.id));
      expect(new Set(log.map((e) => e.id))).toEqual(both);
      for (const side of [mine, theirs]) {
        const own = new Set(side.log.map((e) => e.id));
        expect(log.map((e) => e.id).filter((id) => own.has(id))).toEqual(side.log.map((e) => e.id));
      }
    }
  });

  it('handed back, the other side has the same', () => {
    for (let seed = 0; seed < 100; seed += 1) {
      const [mine, theirs] = [work(base, 'a', seed), work(base, 'b', seed + 1000)];
      const merged = merge(mine, theirs, base, 'theirs');
      // Theirs went into mine: that bundle is what both sides know.
      const back = merge(theirs, merged, theirs, 'mine');
      expect(sorted(Object.entries(digests(back)))).toEqual(
        sorted(Object.entries(digests(merged))),
      );
    }
  });
});

describe('what is known of before', () => {
  const mine = small();
  const fates = (theirs: Rows, base: Rows | null) =>
    Object.fromEntries(
      compareBundle(mine, theirs, base ? digests(base) : {}).map((p) => [p.unit, p.fate]),
    );
  it('a bundle that does not hold a row takes it away only where it is known to have held it', () => {
    const theirs = { ...mine, tasks: mine.tasks.filter((t) => t.id !== 'tasks00') };
    expect(fates(theirs, mine)['piece:p0']).toBe('theirs');
    expect(fates(theirs, null)['piece:p0']).toBe('mine');
  });
  it('without a bundle that both know, rows that differ are asked about', () => {
    const theirs = {
      ...mine,
      coats: mine.coats.map((c) => (c.id === 'coats10' ? { ...c, v: 9 } : c)),
    };
    expect(fates(theirs, null)).toMatchObject({ 'piece:p0': 'same', 'piece:p1': 'both' });
    expect(fates(theirs, mine)).toMatchObject({ 'piece:p1': 'theirs' });
  });
  it('taken whole, no row of the other side stays', () => {
    const theirs = work(mine, 'b', 77);
    const ours = work(mine, 'a', 78);
    const plan = compareBundle(ours, theirs, digests(mine));
    for (const side of ['mine', 'theirs'] as const) {
      const unit: UnitKey = 'piece:p1';
      const merged = mergedRows(ours, theirs, plan, new Map([[unit, { side, whole: true }]]));
      const of = (rows: Rows) =>
        new Set(OWNED.flatMap((t) => rows[t].filter((r) => r['pieceId'] === 'p1')));
      expect(of(merged)).toEqual(of(side === 'mine' ? ours : theirs));
    }
  });
  it('a list of acts that goes on from the other is the later one', () => {
    const batch = (n: number): AnyRow => ({
      ...{ id: 'b', sessionId: 's' },
      events: Array.from({ length: n }, (_, i) => ({ id: `e${i}` })),
    });
    const rows = (n: number) => ({ ...small(), batches: [batch(n)] });
    const fate = (a: number, b: number) =>
      compareBundle(rows(a), rows(b), {}).find((p) => p.unit === 'session:s')?.fate;
    expect([fate(2, 4), fate(4, 2), fate(3, 3)]).toEqual(['theirs', 'mine', 'same']);
  });
  it('settings: what belongs to this machine stays, and is no difference', () => {
    const with_ = (fields: object) => ({ ...small(), settings: [{ id: 'shop', ...fields }] });
    const here = with_({ rule: 'five', person: 'Ada', look: 'dark' });
    const own = with_({ rule: 'five', person: 'Ben', look: 'paper' });
    expect(compareBundle(here, own, {}).find((p) => p.unit === 'settings:shop')?.fate).toBe('same');
    const there = with_({ rule: 'six', person: 'Ben', look: 'paper' });
    const plan = compareBundle(here, there, digests(here));
    expect(mergedRows(here, there, plan, new Map()).settings).toEqual([
      { id: 'shop', rule: 'six', person: 'Ada', look: 'dark' },
    ]);
  });
});
