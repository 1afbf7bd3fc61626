import { ruleOfThumb, VOLUME_RULES } from '@/core/coat';
import type { Explanation } from '@/core/explain';
import {
  scaleRatioError,
  smallestBatchKg,
  RATIO_TOLERANCE,
  workingTime,
  type MixSplit,
} from '@/core/resin';
import type { Quantity } from '@/core/units';
import { plainCoat } from '@/records/coat';
import { thicknessOf } from '@/shop/coatFacts';
import type { Area, Coat, CoatKind, Resin, Settings } from '@/records/types';
import type { NewCoat } from '@/data/repos/coats';
import type { CoatView, PieceView } from '@/shop/coatView';
import { spanText } from '@/features/common/clockText';
import { scaleExplanation, workingExplanation } from '@/features/common/explanations';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import type { Format } from '@/features/common/useFormat';
import { intentIssueText, readIntent, type IntentDraft } from './intents';

/** What is typed when a coat is planned. */
export interface CoatDraft {
  readonly name: string;
  readonly kind: CoatKind;
  readonly resinId: string;
  readonly areaIds: readonly string[];
  readonly intent: IntentDraft;
}

export type PlannedCoat = Omit<NewCoat, 'pieceId' | 'reserve'>;

/** A name that tells a new coat from those there are. */
export function coatName(kind: CoatKind, coats: readonly CoatView[]): string {
  const alike = coats.filter((c) => c.coat.kind === kind).length;
  const word = kind[0]?.toUpperCase() + kind.slice(1);
  return kind === 'flood' || alike > 0 ? `${word} ${alike + 1}` : word;
}

/** Where a coat of a kind goes when nothing else is said; a face stands in for what there is not. */
export function defaultAreas(kind: CoatKind, areas: readonly Area[]): string[] {
  const wanted = kind === 'fill' ? 'recess' : kind === 'back' ? 'back' : 'face';
  const of = (k: Area['kind']) => areas.filter((a) => a.kind === k);
  const found = [of(wanted), of('face'), areas].find((list) => list.length > 0) ?? [];
  return found.map((a) => a.id);
}

/** Reads the form of a new coat; its thickness must lie within what the resin's sheet allows in one lift. */
export function readCoat(
  draft: CoatDraft,
  { areas, coats }: Pick<PieceView, 'areas' | 'coats'>,
  resins: readonly Resin[],
  format: Format,
): FormRead<CoatDraft, PlannedCoat> {
  const reader = new FieldReader<keyof CoatDraft>(format);
  const name = reader.text('name', draft.name, 120);
  const resin = resins.find((r) => r.id === draft.resinId);
  if (!resin) reader.errors.resinId = 'Choose a resin.';
  if (draft.areaIds.length === 0) reader.errors.areaIds = 'Choose at least one area.';
  const intent = readIntent(draft.intent, reader, 'intent');
  if (!resin || !reader.sound) return { ok: false, errors: reader.errors };
  const { kind, resinId, areaIds } = draft;
  const order = Math.max(0, ...coats.map((c) => c.coat.order)) + 1;
  const laid = coats.map((c) => c.coat);
  const found = thicknessOf({ kind, areaIds, order, intent }, areas, laid, resin.sheet);
  const { thinnestM: min, thickestM: max } = resin.sheet;
  if (!found.ok) {
    const [issue] = found.issues;
    reader.errors.intent = issue ? intentIssueText(issue, format) : 'Not possible here.';
    return { ok: false, errors: reader.errors };
  }
  // Relief that is buried goes in lifts, so only a thickness of one's own is held to one lift.
  if (intent.by === 'given' && !(found.value >= min && found.value <= max)) {
    reader.issue(
      'intent',
      { code: 'out-of-range', path: [], value: found.value, allowed: { min, max } },
      'film',
    );
    return { ok: false, errors: reader.errors };
  }
  const plan = { ...plainCoat(found.value), name, kind, resinId, areaIds, intent };
  return { ok: true, value: plan };
}

export interface Check {
  readonly verdict: 'fine' | 'watch' | 'stop';
  readonly title: string;
  readonly detail: string;
  readonly explanation: Explanation;
  /** Kind of the number that is explained. */
  readonly quantity: Quantity;
}

/** What can be told before mixing: the sheet's limits, the scale, the working time. */
export function coatChecks(
  coat: Coat,
  resin: Resin,
  split: MixSplit,
  settings: Settings,
  format: Format,
): Check[] {
  const { sheet } = resin;
  const film = (m: number) => format.show(m, 'film').text;
  const thin = coat.thicknessM < sheet.thinnestM;
  const within = !thin && coat.thicknessM <= sheet.thickestM;
  const scaleError = scaleRatioError(split.aKg, split.bKg, settings.scaleDigitKg);
  const smallest = smallestBatchKg(sheet, settings.scaleDigitKg);
  const workingS = workingTime(sheet, split.totalKg, settings.roomTemperatureK);
  return [
    {
      verdict: within ? 'fine' : thin ? 'watch' : 'stop',
      title: within
        ? 'Within the sheet’s limits'
        : thin
          ? 'Thinner than the sheet’s lift'
          : 'Thicker than one lift may be',
      detail: `one lift ${film(sheet.thinnestM)} to ${film(sheet.thickestM)}`,
      quantity: 'film',
      explanation: {
        title: 'Limits of one lift',
        formula: 'thinnest ≤ film ≤ thickest',
        inputs: [
          { label: 'film', value: coat.thicknessM, quantity: 'film', source: 'chosen' },
          { label: 'thinnest', value: sheet.thinnestM, quantity: 'film', source: 'data sheet' },
          { label: 'thickest', value: sheet.thickestM, quantity: 'film', source: 'data sheet' },
        ],
        source:
          'The resin’s data sheet. Thicker than it allows heats itself; thinner is for brushing, not for a flood.',
      },
    },
    {
      verdict: scaleError <= RATIO_TOLERANCE ? 'fine' : 'watch',
      title:
        scaleError <= RATIO_TOLERANCE ? 'The scale is fine enough' : 'Too small for this scale',
      detail: `ratio within ${format.show(scaleError, 'share', 2).text}; smallest batch ${format.show(smallest, 'mass').text}`,
      quantity: 'share',
      explanation: scaleExplanation(split, settings.scaleDigitKg),
    },
    {
      verdict: workingS >= 1200 ? 'fine' : 'watch',
      title: `${spanText(workingS * 1000)} of working time`,
      detail: `${format.show(split.totalKg, 'mass').text} in one cup at ${format.show(settings.roomTemperatureK, 'temperature').text}`,
      quantity: 'duration',
      explanation: workingExplanation(resin, split.totalKg, settings.roomTemperatureK),
    },
  ];
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
    explanation: {
      title: 'Your rule of thumb',
      formula: ruleId === 'five' ? '5 fl oz for each 12 × 12 in' : '6 fl oz for each 12 × 12 in',
      inputs: [
        { label: 'area, all pieces', value: areaM2, quantity: 'area', source: 'measured' },
        {
          label: 'film thickness it hides',
          value: thicknessM,
          quantity: 'film',
          source: 'computed',
        },
      ],
      source: 'Common practice, no source. Chosen in Settings.',
    },
  };
}
