import type { EvidenceCode } from '@/core/inspect';
import { EVIDENCE_WORDS } from '@/features/common/causeWords';
import type { Quantity } from '@/core/units';
import type { Shop } from '@/shop/shop';
import type { LogEntry } from '@/records';
import { clockText } from '@/features/common/clockText';
import type { Format } from '@/features/common/useFormat';

export interface NamedEntry {
  readonly entry: LogEntry;
  readonly piece: string;
  readonly coat: string;
  readonly undone: boolean;
}

/** Entries with the names of what they are about, kept when every word of the search is in them. */
export function filterLog(
  entries: readonly LogEntry[],
  shop: Pick<Shop, 'pieces' | 'coats'>,
  search: string,
): NamedEntry[] {
  const pieces = new Map(shop.pieces.map((p) => [p.id, p.name]));
  const coats = new Map(shop.coats.map((c) => [c.id, c.name]));
  const undone = new Set(entries.filter((e) => e.kind === 'undone').map((e) => e.aboutId));
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const named = entries.map((entry) => ({
    entry,
    piece: entry.pieceId ? (pieces.get(entry.pieceId) ?? '') : '',
    coat: entry.coatId ? (coats.get(entry.coatId) ?? '') : '',
    undone: undone.has(entry.id),
  }));
  if (words.length === 0) return named;
  return named.filter(({ entry, piece, coat }) => {
    const text = `${entry.kind} ${piece} ${coat} ${entry.text} ${entry.by}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** Figures of the log that are shown: what they are called and how they are written. */
const FIGURES: Readonly<Record<string, readonly [label: string, quantity: Quantity | 'scale']>> = {
  aKg: ['A', 'scale'],
  bKg: ['B', 'scale'],
  aM3: ['A', 'volume'],
  bM3: ['B', 'volume'],
  shortShare: ['missing', 'share'],
  addedAKg: ['A added after', 'scale'],
  ratioErrorShare: ['ratio off by', 'share'],
  targetM3: ['mix', 'volume'],
  thicknessM: ['film', 'film'],
  staysM: ['of it stays', 'film'],
  greatestM: ['at most', 'film'],
  temperatureK: ['room', 'temperature'],
  surfaceK: ['surface', 'temperature'],
  humidity: ['humidity', 'share'],
  stirredS: ['stirred for', 'duration'],
  leastS: ['at least', 'duration'],
  pausedS: ['paused for', 'duration'],
  cupKg: ['cup', 'scale'],
  usedKg: ['used since', 'scale'],
  batches: ['batches', 'number'],
  overBlack: ['over black', 'share'],
  overWhite: ['over white', 'share'],
  count: ['spots', 'number'],
  sizeM: ['width of one', 'length'],
  depthM: ['depth', 'film'],
  looks: ['lights', 'number'],
  steps: ['steps', 'number'],
  twice: ['there already', 'number'],
};
/** What the same figure is called in entries of one kind. */
const OWN: Partial<Readonly<Record<LogEntry['kind'], typeof FIGURES>>> = {
  'readings added': { count: ['readings', 'number'] },
};
/** Instants that are told where they are not those of the entry: what was done or read earlier. */
const INSTANTS: Readonly<Record<string, string>> = { doneMs: 'done', fromMs: 'read' };
const MINUTE_MS = 60_000;

const plain = (word: string) => word;
const isCode = (word: string): word is EvidenceCode => word in EVIDENCE_WORDS;
const askedWords = (test: string): string => (isCode(test) ? EVIDENCE_WORDS[test].so : test);
/** What is told in words beside the figures, in the order in which it is said. */
const TOLD: Readonly<Record<string, (word: string) => string>> = {
  colour: plain,
  by: plain,
  short: plain,
  why: plain,
  stood: (word) => `stood: ${word}`,
  coverNotTold: (coats) => `not told when covered: ${coats}`,
  lot: (name) => `from ${name}`,
  atHand: (things) => `at hand: ${things}`,
  notAtHand: (things) => `not at hand: ${things}`,
  test: (test) => `asked whether ${askedWords(test)}`,
  answer: plain,
  found: plain,
};

/** What an entry says, with its figures in the user's units. */
export function entryWords({ entry, piece, coat }: NamedEntry, format: Format): string {
  const figures = Object.entries(entry.figures).flatMap(([name, value]) => {
    const at = INSTANTS[name];
    if (at && typeof value === 'number' && Math.abs(value - entry.atMs) >= MINUTE_MS)
      return [`${at} ${clockText(value, entry.atMs)}`];
    const known = OWN[entry.kind]?.[name] ?? FIGURES[name];
    if (!known || typeof value !== 'number') return [];
    // Said only where something ran off.
    if (name === 'staysM' && value === entry.figures['thicknessM']) return [];
    const [label, quantity] = known;
    return [
      `${label} ${quantity === 'scale' ? format.scale(value).text : format.show(value, quantity).text}`,
    ];
  });
  // The piece stands beside its entries already.
  const subject = (entry.text === piece ? '' : entry.text) || coat;
  const how = Object.entries(TOLD).flatMap(([name, said]) => {
    const word = entry.figures[name];
    return typeof word === 'string' && word !== '' ? [said(word)] : [];
  });
  return [subject, ...figures, ...how].filter(Boolean).join(' · ');
}
