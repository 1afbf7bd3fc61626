import type { CareLine } from '@/core/finish';
import { DEFECT_GUIDE } from '@/core/inspect';
import { shapeBox } from '@/core/geometry';
import { dateText, stampText } from '@/features/common/clockText';
import type { Format } from '@/features/common/useFormat';
import { edgeHeightOf, type LogEntry } from '@/records';
import type { PieceView } from '@/shop/coatView';
import { looksIn, type CoatRecord } from '@/shop/finish';
import { careText } from './words';

/** What goes with a piece, worded: pure, so that a test can read it without a PDF. */
export interface HandOver {
  readonly title: string;
  readonly facts: readonly (readonly [label: string, value: string])[];
  /** From the ground up. */
  readonly films: readonly {
    readonly name: string;
    readonly thicknessM: number;
    readonly words: string;
  }[];
  readonly coats: readonly string[];
  readonly looks: readonly string[];
  readonly care: readonly string[];
}

const LEAST_LOOKS = 12;

/** One look as the record tells it. */
const lookLine = (e: LogEntry): string => {
  const kind = e.text.split(':')[0] ?? '';
  const label =
    kind in DEFECT_GUIDE ? DEFECT_GUIDE[kind as keyof typeof DEFECT_GUIDE].label : e.text;
  const said = {
    'defect noted': `found: ${label}`,
    'defect repaired': `put right: ${label}`,
    'defect looked at': `${label}: ${String(e.figures['found'] ?? '')}`,
    'looked clean': 'looked over in raking light, clean',
    'looked over': 'looked over while wet, clean',
  }[e.kind as string];
  return `${stampText(e.atMs)} · ${said ?? e.kind}`;
};

/** The record that goes with a piece. */
export function handOver(
  view: PieceView,
  coats: readonly CoatRecord[],
  care: readonly CareLine[],
  log: readonly LogEntry[],
  format: Format,
  nowMs: number,
): HandOver {
  const { piece, drawn } = view;
  const { show } = format;
  const face = drawn[0];
  const box = face ? shapeBox(face.shape) : null;
  return {
    title: piece.count > 1 ? `${piece.name} × ${piece.count}` : piece.name,
    facts: [
      ['Support', piece.support],
      ...(box && face
        ? ([
            [
              'Size',
              `${show(box.widthM, 'length').text} × ${show(box.heightM, 'length').text}, edge ${show(edgeHeightOf(face), 'length').text}`,
            ],
          ] as const)
        : []),
      ...(piece.job ? ([['Job', piece.job]] as const) : []),
      ['Record of', dateText(nowMs)],
    ],
    films: coats.map(({ coat, resin, filmM }) => ({
      name: coat.name,
      thicknessM: filmM,
      words: `${coat.name}: ${show(filmM, 'film').text} of ${resin.name}`,
    })),
    coats: coats.map(({ coat, resin, lot, mixKg, filmM }) =>
      [
        coat.name,
        resin.name,
        lot ? `bottles ${lot.name}` : 'bottles not noted',
        `film ${show(filmM, 'film').text} as planned`,
        ...(mixKg === null ? [] : [`mixed ${show(mixKg, 'mass').text}`]),
        ...(coat.pouredMs === null ? [] : [`poured ${stampText(coat.pouredMs)}`]),
      ].join(' · '),
    ),
    looks: looksIn(log)
      .slice(-LEAST_LOOKS)
      .map((e) => lookLine(e)),
    care: care.map((line) => careText(line, format)),
  };
}
