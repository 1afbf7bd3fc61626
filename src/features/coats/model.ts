import {
  ruleOfThumb,
  usualIntent,
  VOLUME_RULES,
  ruleExplanation,
  type Intent,
  type ReserveSchool,
} from '@/core/coat';
import { mixDensity } from '@/core/resin';
import type { Explanation } from '@/core/explain';
import type { CoatKind, Support } from '@/core/piece';
import { asId, type Area, edgeKindsOf, plainCoat, type Resin, type Settings } from '@/records';
import { filmOf } from '@/shop/coatFacts';
import type { NewCoat } from '@/data/repos/coats';
import type { CoatView, PieceView } from '@/shop/coatView';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import type { Format } from '@/features/common/useFormat';
import { readLine, type LineDraft } from './lines';
import {
  draftOfIntent,
  floodOver,
  intentIssueText,
  readIntent,
  USUAL_WORDS,
  type IntentDraft,
} from './intents';

/** What is typed when a coat is planned. */
export interface CoatDraft {
  readonly name: string;
  readonly kind: CoatKind;
  readonly resinId: string;
  readonly areaIds: readonly string[];
  readonly intent: IntentDraft;
  /** What is drawn, for a coat that is a line. */
  readonly line: LineDraft | null;
  /** Id of the coat that it lies on; empty: the topmost. */
  readonly over: string;
}

/** Fields of the form that can be wrong. */
export type CoatField = keyof CoatDraft | 'width' | 'angle';

export type PlannedCoat = Omit<NewCoat, 'pieceId' | 'reserve'>;

/** Stands in until the intention has come to a film, m. */
const PLAIN_FILM_M = 1e-3;

/** The intention that a coat of a kind starts with on its areas, as it would be typed, and why. */
export function usualDraft(
  kind: CoatKind,
  { piece, areas }: Pick<PieceView, 'piece' | 'areas'>,
  areaIds: readonly string[],
  format: Format,
): { readonly intent: IntentDraft; readonly why: string } {
  const grounds = areas.filter((a) => areaIds.includes(a.id));
  const { why } = usualOf(kind, grounds, piece.support);
  const intent = usualOn(kind, grounds, piece.support, format);
  return { intent: draftOfIntent(intent, format), why: USUAL_WORDS[why] };
}

const usualOf = (kind: CoatKind, grounds: readonly Area[], support: Support) =>
  usualIntent(
    kind,
    grounds.map((a) => ({ kind: a.kind, edges: edgeKindsOf(a), relief: a.relief })),
    support,
  );

/** The same as an intention, with a round number in the shop’s units. */
export function usualOn(
  kind: CoatKind,
  grounds: readonly Area[],
  support: Support,
  format: Format,
): Intent {
  const { intent } = usualOf(kind, grounds, support);
  return intent.by === 'over' ? { ...intent, perMetreM2: floodOver(format) } : intent;
}

/** A name that tells a new coat from those there are. */
export function coatName(kind: CoatKind, coats: readonly CoatView[]): string {
  const alike = coats.filter((c) => c.coat.kind === kind).length;
  const word = kind[0]?.toUpperCase() + kind.slice(1);
  return kind === 'flood' || alike > 0 ? `${word} ${alike + 1}` : word;
}

/** Where a coat of a kind goes when nothing else is said; a face stands in for what there is not. */
export function defaultAreas(kind: CoatKind, areas: readonly Area[]): string[] {
  const wanted = kind === 'fill' ? 'recess' : kind === 'back' ? 'back' : 'face';
  const of = (k: Area['kind']) => areas.filter((a) => a.kind === k && !a.bare);
  const found = [of(wanted), of('face'), areas].find((list) => list.length > 0) ?? [];
  return found.map((a) => a.id);
}

/** Reads the form of a new coat; its thickness must lie within what the resin's sheet allows in one lift. */
export function readCoat(
  draft: CoatDraft,
  {
    piece,
    areas,
    wholes,
    layers,
    coats,
    sealed,
    roomK,
  }: Pick<PieceView, 'piece' | 'areas' | 'wholes' | 'layers' | 'coats' | 'sealed' | 'roomK'>,
  resins: readonly Resin[],
  reserve: ReserveSchool,
  format: Format,
): FormRead<Record<CoatField, unknown>, PlannedCoat> {
  const reader = new FieldReader<CoatField>(format);
  const name = reader.text('name', draft.name, 120);
  const resin = resins.find((r) => r.id === draft.resinId);
  if (!resin) reader.errors.resinId = 'Choose a resin.';
  if (draft.areaIds.length === 0) reader.errors.areaIds = 'Choose at least one area.';
  const density = resin ? mixDensity(resin.sheet) : NaN;
  const intent = readIntent(draft.intent, reader, 'intent', density, format);
  if (!resin || !reader.sound) return { ok: false, errors: reader.errors };
  const { kind } = draft;
  const resinId = resin.id;
  const areaIds = areas.flatMap(({ id }) => (draft.areaIds.includes(id) ? [id] : []));
  const under = coats.find((c) => c.coat.id === draft.over)?.coat.order;
  const order = (under ?? Math.max(0, ...coats.map((c) => c.coat.order))) + 1;
  const laid = coats.map((c) => c.coat);
  const line = draft.kind === 'line' && draft.line ? readLine(draft.line, reader) : null;
  if (draft.kind === 'line' && !line) return { ok: false, errors: reader.errors };
  const told = { ...plainCoat(PLAIN_FILM_M), reserve, kind, areaIds, order, intent, line };
  const found = filmOf(
    told,
    { piece, areas, wholes, layers, coats: laid, sealed, roomK },
    resin.sheet,
  );
  const { thinnestM: min, thickestM: max } = resin.sheet;
  if (!found.ok) {
    const [issue] = found.issues;
    reader.errors.intent = issue ? intentIssueText(issue, format) : 'Not possible here.';
    return { ok: false, errors: reader.errors };
  }
  // Relief that is buried goes in lifts, so only a thickness of one's own is held to one lift.
  const { thicknessM } = found.value;
  if (!line && intent.by === 'given' && !(thicknessM >= min && thicknessM <= max)) {
    reader.issue(
      'intent',
      { code: 'out-of-range', path: [], value: thicknessM, allowed: { min, max } },
      'film',
    );
    return { ok: false, errors: reader.errors };
  }
  const plan = { ...plainCoat(thicknessM), name, kind, resinId, areaIds, intent, line };
  if (under !== undefined) return { ok: true, value: { ...plan, over: asId<'coat'>(draft.over) } };
  return { ok: true, value: plan };
}

export interface RuleWords {
  readonly volumeM3: number;
  readonly thicknessM: number;
  readonly explanation: Explanation;
}

/** The shop's rule of thumb for the same faces, and the thickness it hides. */
export function ruleWords(ruleId: Settings['rule'], areaM2: number): RuleWords {
  const rule = VOLUME_RULES.find((r) => r.id === ruleId) ?? VOLUME_RULES[0];
  if (!rule) throw new RangeError('ruleWords: no rules');
  const { volumeM3, thicknessM } = ruleOfThumb(rule, areaM2);
  return {
    volumeM3,
    thicknessM,
    explanation: ruleExplanation(rule, areaM2),
  };
}
