import type { Point } from '@/core/geometry';
import type { DefectKind } from '@/core/piece';
import { noteDefect, repairDefect } from '@/data/repos/findings';
import { bubbleRound } from '@/data/repos/wet';
import { asId, NOT_LOOKED } from '@/records';
import type { Bench, drawn } from './acts';
import { coatNamed } from './teller';

const MINUTE = 60_000;

interface Told {
  readonly repairedMs?: number;
  readonly photo?: ReturnType<typeof drawn> | null;
  readonly count?: number;
  readonly sizeM?: number;
  readonly depthM?: number;
  /** On the first area of its coat. */
  readonly point?: Point;
}

/** Something is found on a coat, and put right where that is told. */
export function defect(
  { story }: Bench,
  foundMs: number,
  [piece, coat]: readonly [piece: string, coat: string],
  [kind, note]: readonly [kind: DefectKind, note: string],
  { repairedMs, photo = null, count, sizeM, depthM, point }: Told = {},
): void {
  story.at(foundMs, async (db, c) => {
    const { id: coatId, pieceId, areaIds } = await coatNamed(db, piece, coat);
    const [areaId] = areaIds;
    const at = point && areaId ? { areaId, point } : null;
    const told = { count: count ?? null, sizeM: sizeM ?? null, depthM: depthM ?? null };
    const look = { ...NOT_LOOKED, ...told, allOver: count === undefined ? null : false };
    return noteDefect(db, c, { pieceId, coatId, kind, note, at, look, photo });
  });
  if (repairedMs !== undefined)
    story.at(repairedMs, async (db, c) => {
      const { id } = await coatNamed(db, piece, coat);
      const found = await db.defects.filter((d) => d.coatId === id && d.note === note).first();
      return repairDefect(db, c, found?.id ?? asId(''));
    });
}

/** Warm air goes over a coat, so many minutes after its pour. */
export function warmAir(
  { story }: Bench,
  pouredMs: number,
  [piece, coat]: readonly [piece: string, coat: string],
  minutes: readonly number[],
): void {
  for (const after of minutes)
    story.at(pouredMs + after * MINUTE, async (db, c) => {
      const { id, batchId } = await coatNamed(db, piece, coat);
      return bubbleRound(db, c, batchId ?? asId(''), id, 'warm air');
    });
}
