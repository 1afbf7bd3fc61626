import type { Area, Id } from '@/records';

type Row = Pick<Area, 'id' | 'cuts' | 'partOf'>;

/** For each place that a cut made, what it was cut from: another place, or in the end the face. */
function madeFrom(rows: readonly Row[]): ReadonlyMap<Id<'area'>, Id<'area'>> {
  const from = new Map<Id<'area'>, Id<'area'>>();
  for (const { id, cuts } of rows) {
    const [first] = cuts;
    if (first) from.set(first.of, id);
    for (const { of, makes } of cuts) from.set(makes, of);
  }
  return from;
}

/** The names that an area went by before, itself first. */
function ancestry(id: Id<'area'>, from: ReadonlyMap<Id<'area'>, Id<'area'>>): Id<'area'>[] {
  const line = [id];
  for (let next = from.get(id); next !== undefined && !line.includes(next); next = from.get(next))
    line.push(next);
  return line;
}

/**
 * The areas that something lies on, once faces were cut anew or joined back.
 * @param on its areas before @param before, after rows of the piece
 * @returns for each area after it the one it lay on before; null where a place is gone whose rest it does not cover
 */
export function followPlaces(
  on: readonly Id<'area'>[],
  before: readonly Row[],
  after: readonly Row[],
): readonly { readonly id: Id<'area'>; readonly was: Id<'area'> }[] | null {
  const there = after.filter((a) => a.cuts.length === 0);
  const [old, now] = [madeFrom(before), madeFrom(after)];
  const alive = new Set(there.map((a) => a.id));
  const wasOwn = new Set(before.filter((a) => a.cuts.length === 0).map((a) => a.id));
  const found = there.flatMap(({ id }) => {
    // What it was cut from since, as far as that was an area of its own before.
    const was = ancestry(id, now).find((name) => wasOwn.has(name));
    return was !== undefined && on.includes(was) ? [{ id, was }] : [];
  });
  for (const gone of on.filter((id) => !alive.has(id))) {
    // Cut up: its parts were found above. Joined back: what it was cut from must be covered as well.
    const cutUp = found.some((f) => f.was === gone);
    if (cutUp) continue;
    const [, ...line] = ancestry(gone, old);
    const home = line.find((name) => alive.has(name));
    if (home === undefined) return null;
    const parts = before.filter(
      (a) => a.cuts.length === 0 && !alive.has(a.id) && ancestry(a.id, old).includes(home),
    );
    const whole = parts.every((p) => on.includes(p.id));
    const rest = before.some((a) => a.id === home && a.cuts.length === 0)
      ? on.includes(home)
      : true;
    if (!whole || !rest) return null;
    if (!found.some((f) => f.id === home)) found.push({ id: home, was: gone });
  }
  return found;
}
