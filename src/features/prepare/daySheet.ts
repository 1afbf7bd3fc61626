import { weekdayDate } from '@/features/common/dates';
import { hourMinute } from '@/features/common/hours';
import { format as formatDate } from 'date-fns';
import { sumMaterials, type CautionName, type MaterialSum } from '@/core/prep';
import { shapeSides, type Point } from '@/core/geometry';
import { roomAir } from '@/shop/room';
import type { Shop } from '@/shop/shop';
import type { PiecePrep } from '@/shop/prepFacts';
import type { Piece } from '@/records';
import { clockText } from '@/features/common/clockText';
import type { Format } from '@/features/common/useFormat';
import { amountText, packsText, type NamedNeeds } from './amounts';
import { dryingTasks, dueTasks, isToDo, maskClocks, prepOf } from '@/shop/prepView';
import { stateText } from './words';

/** One line to tick on paper. */
export interface DayLine {
  readonly title: string;
  readonly detail: string;
  readonly amounts: string;
}

export interface DayPiece {
  readonly name: string;
  readonly coat: string;
  /** Outline of its first area, m. */
  readonly outline: readonly Point[];
  readonly lines: readonly DayLine[];
}

/** What the bench has to do before its next coats, and what that takes. */
export interface DaySheet {
  readonly title: string;
  readonly room: string;
  readonly pieces: readonly DayPiece[];
  readonly materials: readonly (readonly [name: string, amount: string, packs: string])[];
  readonly cautions: readonly CautionName[];
}

/** What the open steps of a piece need before all its planned coats, step by step. */
export const pieceNeeds = (prep: PiecePrep): NamedNeeds[] =>
  prep.state.tasks.filter(isToDo).map(({ task }) => ({ label: task.title, needs: task.materials }));

/** What every piece needs before its next coat, piece by piece. */
export const dayNeeds = (shop: Shop, nowMs: number): NamedNeeds[] =>
  shop.pieces.map((piece) => ({
    label: piece.name,
    needs: dueTasks(prepOf(shop, piece, nowMs)).flatMap((t) => t.task.materials),
  }));

/** Sum of needs, rounded up to what is sold. */
export const sumNeeds = (parts: readonly NamedNeeds[]): MaterialSum[] =>
  sumMaterials(parts.flatMap((p) => p.needs));

function dayPiece(shop: Shop, piece: Piece, nowMs: number, format: Format): DayPiece | null {
  const prep = prepOf(shop, piece, nowMs);
  const due = dueTasks(prep);
  const masks = maskClocks(shop, piece, nowMs);
  const shown = [...due, ...dryingTasks(shop, piece, nowMs)];
  if (shown.length === 0) return null;
  const next = prep.facts.coats.filter((c) => !c.poured).sort((a, b) => a.order - b.order)[0];
  const lines = shown.map((t): DayLine => {
    const mask = masks.find((m) => m.task.key === t.task.key);
    const limit =
      mask && mask.phase !== 'over' && Number.isFinite(mask.removal.limitMs)
        ? `, limit ${clockText(mask.removal.limitMs, nowMs)}`
        : '';
    const grits = t.task.sanding?.steps.map((s) => `P${s.grit}`).join(', ') ?? '';
    return {
      title: t.task.title,
      detail: [`${stateText(t, nowMs)}${limit}`, grits].filter(Boolean).join(' · '),
      amounts:
        t.state === 'drying'
          ? ''
          : t.task.materials
              .map((m) => `${format.words(m.name)} ${amountText(m, format)}`)
              .join(', '),
    };
  });
  const face = prep.facts.areas[0];
  return {
    name: piece.count > 1 ? `${piece.name} × ${piece.count}` : piece.name,
    coat: next ? `before ${next.name}` : 'no coat waits',
    outline: face ? shapeSides(face.shape).flat() : [],
    lines,
  };
}

/** The sheet of the day: every piece with something to do, and the sum of what it takes. */
export function daySheet(shop: Shop, nowMs: number, format: Format): DaySheet {
  const air = roomAir(shop.room);
  const cautions = new Set(
    shop.pieces.flatMap((p) => dueTasks(prepOf(shop, p, nowMs)).flatMap((t) => t.task.cautions)),
  );
  return {
    title: `Day sheet, ${formatDate(nowMs, `${weekdayDate()} yyyy, ${hourMinute()}`)}`,
    room: `Room ${format.show(air.temperatureK, 'temperature').text}, ${format.show(air.humidity, 'share', 0).text} humidity${shop.room.last ? '' : ' (taken as usual: nobody read it)'}`,
    pieces: shop.pieces
      .map((p) => dayPiece(shop, p, nowMs, format))
      .filter((p): p is DayPiece => p !== null),
    materials: sumNeeds(dayNeeds(shop, nowMs)).map(
      (m) => [m.name, amountText(m, format), packsText(m)] as const,
    ),
    cautions: [...cautions],
  };
}
