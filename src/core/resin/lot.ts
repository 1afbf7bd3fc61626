/** Masses of both parts, kg; null: not told. */
export interface PartsKg {
  readonly aKg: number | null;
  readonly bKg: number | null;
}

/** A lot as it was bought. */
export interface LotAmount {
  readonly full: PartsKg;
  /** It should not be used from then on; null: not told. */
  readonly bestBeforeMs: number | null;
}

/**
 * What is left of a lot, by what was weighed out of it.
 * @param full as it was bought @param used out of it, batch by batch; a part that is not in the cup yet counts nothing
 * @returns kg of each part, null where it was not told how much there was; below zero: more was weighed than was in it
 */
export function leftInLot(full: PartsKg, used: readonly PartsKg[]): PartsKg {
  const left = (part: keyof PartsKg): number | null => {
    const whole = full[part];
    return whole === null ? null : used.reduce((rest, u) => rest - (u[part] ?? 0), whole);
  };
  return { aKg: left('aKg'), bKg: left('bKg') };
}

/** What speaks against taking a lot for a batch. */
export type LotDoubt =
  | { readonly is: 'past its date'; readonly sinceMs: number }
  | { readonly is: 'not enough'; readonly part: 'A' | 'B'; readonly leftKg: number };

/**
 * @param left as {@link leftInLot} @param needs of the batch, kg @param nowMs instant
 * Source: common practice, no source.
 */
export function lotDoubts(
  { bestBeforeMs }: Pick<LotAmount, 'bestBeforeMs'>,
  left: PartsKg,
  needs: { readonly aKg: number; readonly bKg: number },
  nowMs: number,
): LotDoubt[] {
  const short = (part: 'A' | 'B', leftKg: number | null, needKg: number): LotDoubt[] =>
    leftKg !== null && leftKg < needKg ? [{ is: 'not enough', part, leftKg }] : [];
  return [
    ...(bestBeforeMs !== null && nowMs >= bestBeforeMs
      ? [{ is: 'past its date', sinceMs: bestBeforeMs } as const]
      : []),
    ...short('A', left.aKg, needs.aKg),
    ...short('B', left.bKg, needs.bKg),
  ];
}
