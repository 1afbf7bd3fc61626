import { shapeBox } from '@/core/geometry';
import { liftsOf } from '@/core/coat';
import type { MixSplit } from '@/core/resin';
import { stampText } from '@/features/common/clockText';
import { STATE_WORDS } from '@/features/common/stateWords';
import type { Format } from '@/features/common/useFormat';
import { planOf } from '@/shop/coatFacts';
import {
  filmChecksOf,
  groundOf,
  ledgerOf,
  mixingChecksOf,
  splitOf,
  type CoatView,
  type PieceView,
} from '@/shop/coatView';
import type { Shop } from '@/shop/shop';
import { checkWords } from './checkWords';

/** One coat as the plan tells it. */
export interface PlannedCoat {
  readonly title: string;
  readonly lines: readonly string[];
  /** What has to be known before it is mixed: checks that do not hold. */
  readonly cautions: readonly string[];
}

/** The coat plan of a piece, worded: pure, so that a test can read it without a PDF. */
export interface PlanSheet {
  readonly title: string;
  readonly facts: readonly string[];
  readonly coats: readonly PlannedCoat[];
}

function amountLines(
  ledger: ReturnType<typeof ledgerOf>,
  split: MixSplit | null,
  { show, scale }: Format,
): string[] {
  if (!ledger.ok) return ['No volume yet: an area has no outline, or its resin no density.'];
  const mix = `Mix ${show(ledger.value.totalM3, 'volume').text}`;
  if (!split) return [mix];
  const lines = ledger.value.lines
    .filter((l) => l.volumeM3 !== 0)
    .map((l) => `${l.explanation.title} ${show(l.volumeM3, 'volume').text}`);
  return [
    `${mix}: A ${scale(split.aKg).text}, B ${scale(split.bKg).text}`,
    `In it: ${lines.join(', ')}.`,
  ];
}

function liftLine(view: CoatView, { show }: Format): string[] {
  const { coat, resin } = view;
  const lifts = liftsOf(planOf(coat, groundOf(view), resin.sheet), coat.thicknessM);
  if (!lifts.ok || lifts.value.length < 2) return [];
  const films = lifts.value.map((l) => show(l.thicknessM, 'film').text);
  return [`In ${lifts.value.length} pours: ${films.join(', then ')}.`];
}

function plannedCoat(view: CoatView, at: number, shop: Shop, format: Format) {
  const { coat, resin, state } = view;
  const title = `${at + 1}. ${coat.name}, ${resin.name}`;
  const film = `${format.show(coat.thicknessM, 'film').text} on ${view.areas.map((a) => a.name).join(', ')}`;
  if (coat.pouredMs !== null) {
    const lines = [`${film}: poured ${stampText(coat.pouredMs)}, ${STATE_WORDS[state]}.`];
    return { title, lines, cautions: [] };
  }
  const ledger = ledgerOf(view);
  const split = ledger.ok ? splitOf(ledger.value, resin) : null;
  const checks = split
    ? [
        ...checkWords(mixingChecksOf(view, split, shop.settings, shop.room), format),
        ...checkWords(filmChecksOf(view, ledger.ok ? ledger.value : null, shop.room), format),
      ]
    : [];
  return {
    title,
    lines: [`${film}.`, ...amountLines(ledger, split, format), ...liftLine(view, format)],
    cautions: checks.filter((c) => c.verdict !== 'fine').map((c) => `${c.title}: ${c.detail}`),
  };
}

/**
 * What a piece gets, coat by coat from the ground up: what lies, what is mixed, what to mind.
 * @param nowMs the day on the sheet
 */
export function planSheet(view: PieceView, shop: Shop, format: Format, nowMs: number): PlanSheet {
  const { piece, drawn, coats } = view;
  const [face] = drawn;
  const box = face ? shapeBox(face.shape) : null;
  const { show } = format;
  return {
    title: piece.count > 1 ? `${piece.name} × ${piece.count}` : piece.name,
    facts: [
      [
        piece.support,
        ...(box
          ? [`${show(box.widthM, 'length').text} × ${show(box.heightM, 'length').text}`]
          : []),
        ...(piece.job === '' ? [] : [piece.job]),
      ].join(' · '),
      `As planned ${stampText(nowMs)}; amounts are for ${piece.count > 1 ? `all ${piece.count} pieces` : 'the piece'}.`,
    ],
    coats: coats.map((c, i) => plannedCoat(c, i, shop, format)),
  };
}
