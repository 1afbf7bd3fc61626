import { THICKNESS_LIMITS_M, type Ledger } from '@/core/coat';
import { SIZE_LIMITS_M } from '@/core/geometry';
import { usualGround, type Support, type Surface } from '@/core/piece';
import type { NewCoat } from '@/data/repos/coats';
import type { Survey } from '@/data/repos/survey';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import { EMPTY_LABEL, sheetFromLabel, type LabelDraft } from '@/features/common/sheet/label';
import { readSheet } from '@/features/common/sheet/model';
import { typicalDraft } from '@/features/common/sheet/typical';
import type { Format } from '@/features/common/useFormat';
import { asId, COATS, LIVE_TABLES, PIECES, plainArea, plainCoat, type Resin } from '@/records';
import { ledgerOf, viewPiece, type PieceView } from '@/shop/coatView';
import { settle } from '@/shop/settle';
import { keepShop, type ShopRows } from '@/shop/shop';

/** Resins of no maker, for who has no sheet at hand: what labels of such resins usually say. Common practice, no source. */
export const STARTERS = {
  coating: {
    name: 'Starter: coating resin',
    ratio: '1 : 1 by volume',
    working: '40 min',
    nextCoat: '24 h',
  },
  slow: {
    name: 'Starter: slow resin',
    ratio: '2 : 1 by volume',
    working: '120 min',
    nextCoat: '36 h',
  },
} as const satisfies Readonly<Record<string, LabelDraft>>;
export type ResinChoice = keyof typeof STARTERS | 'label';

/** What is asked on the way to the first volume, as text. */
export interface FirstDraft {
  readonly name: string;
  readonly support: Support;
  readonly shape: 'rectangle' | 'round';
  readonly width: string;
  readonly depth: string;
  readonly edge: string;
  readonly thickness: string;
  readonly resin: ResinChoice;
  readonly label: LabelDraft;
}

export const FIRST_DRAFT: FirstDraft = {
  ...{ name: '', support: 'bare wood', shape: 'rectangle', width: '', depth: '' },
  ...{ edge: '', thickness: '', resin: 'coating', label: EMPTY_LABEL },
};
/** The same with what is usual filled in, in the units of the shop. */
export const firstDraft = ({ units }: Format): FirstDraft =>
  units === 'us'
    ? { ...FIRST_DRAFT, edge: '3/4 in', thickness: '1/16 in' }
    : { ...FIRST_DRAFT, edge: '18 mm', thickness: '1.6 mm' };

export interface FirstRead {
  readonly survey: Survey;
  readonly resin: Omit<Resin, 'id' | 'learnsFromMs'>;
  readonly coat: Omit<NewCoat, 'pieceId' | 'areaIds' | 'resinId'>;
}
export type FirstField = keyof FirstDraft | keyof LabelDraft;
type FirstErrors = FormRead<Record<FirstField, string>, FirstRead>;

/** The sheet that was chosen: of the label, or a starter that says what it is. */
function readResin(draft: FirstDraft, format: Format): FormRead<LabelDraft, FirstRead['resin']> {
  const own = draft.resin === 'label';
  const label = sheetFromLabel(own ? draft.label : STARTERS[draft.resin], format);
  if (!label.ok) return label;
  const sheet = readSheet({ ...typicalDraft(format), ...label.value }, format);
  if (!sheet.ok) return { ok: false, errors: { ratio: Object.values(sheet.errors).join(' ') } };
  const note = `A starter sheet: what such resins usually say, of no maker. Put it right from the sheet of your own resin before you rely on a time or a weight. ${sheet.value.note}`;
  return { ok: true, value: own ? sheet.value : { ...sheet.value, note } };
}

/** Old resin of which nothing was told. */
const OLD_HARD = { kind: 'not known', state: 'hard' } as const;

/** Reads the answers; what is left empty but for the size is taken as usual. */
export function readFirst(draft: FirstDraft, format: Format): FirstErrors {
  const reader = new FieldReader<FirstField>(format);
  const length = (field: 'width' | 'depth') =>
    reader.quantity(field, draft[field], 'length', SIZE_LIMITS_M);
  const widthM = length('width');
  const depthM = draft.shape === 'round' ? widthM : length('depth');
  const edgeM = reader.quantity('edge', draft.edge, 'length', { min: 0, max: 1 });
  const thicknessM = reader.quantity('thickness', draft.thickness, 'film', THICKNESS_LIMITS_M);
  const resin = readResin(draft, format);
  if (!reader.sound || !resin.ok)
    return { ok: false, errors: { ...reader.errors, ...(resin.ok ? {} : resin.errors) } };
  const { porosity, surface } = usualGround(draft.support);
  const shape =
    draft.shape === 'round'
      ? ({ kind: 'disc', diameterM: widthM } as const)
      : ({ kind: 'rectangle', widthM, heightM: depthM } as const);
  const area = plainArea(shape, edgeM);
  const ground: Surface =
    surface === 'bare' ? area.surface : { ...area.surface, kind: surface, resin: OLD_HARD };
  return {
    ok: true,
    value: {
      survey: {
        ...{
          name: draft.name.trim() || `First ${draft.support}`,
          count: 1,
          support: draft.support,
        },
        ...{ note: '', job: '', dueMs: null, marks: [], level: null, bellyM: 0 },
        use: { hotCups: false, food: false, daylight: false },
        areas: [{ ...area, porosity, surface: ground, id: null }],
      },
      resin: resin.value,
      coat: { ...plainCoat(thicknessM), name: 'Flood 1' },
    },
  };
}

export interface FirstVolume {
  readonly view: PieceView;
  readonly ledger: Ledger;
}

/** The volume of the coat as it will be on the bench, by the same ledger; null where that refuses. */
export function firstVolume({ survey, resin, coat }: FirstRead, nowMs: number): FirstVolume | null {
  const { areas, ...told } = survey;
  const pieceId = asId<'piece'>('first');
  const piece = { ...PIECES.defaults, ...told, id: pieceId, createdMs: nowMs };
  const rows = areas.map((area, i) => ({ ...area, id: asId<'area'>(`first-${i}`), pieceId }));
  const sheet: Resin = { ...resin, id: asId('first'), learnsFromMs: null };
  const planned = {
    ...{ ...COATS.defaults, ...coat, id: asId<'coat'>('first'), pieceId, order: 1 },
    ...{ areaIds: rows.map((a) => a.id), resinId: sheet.id, staysM: [coat.thicknessM] },
  };
  const empty = Object.fromEntries(LIVE_TABLES.map((table) => [table, []]));
  const tables = { ...empty, pieces: [piece], areas: rows, resins: [sheet], coats: [planned] };
  const { shop } = keepShop(tables as unknown as ShopRows, settle);
  const [own] = shop.pieces;
  const view = own && viewPiece(shop, own, nowMs);
  const first = view?.coats[0];
  const ledger = first && ledgerOf(first);
  return view && ledger?.ok ? { view, ledger: ledger.value } : null;
}
