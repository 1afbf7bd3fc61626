import {
  checkSheet,
  COLOUR_LIMITS,
  RESIN_DENSITY_KG_M3,
  RATIO_LIMITS,
  ROOM_LIMITS_K,
  SERVICE_LIMITS_K,
  USUAL_DENSITY_KG_M3,
  STIR_LIMITS_S,
  type Declared,
  type ResinSheet,
  type SheetTimes,
} from '@/core/resin';
import { editText, type Quantity } from '@/core/units';
import type { Resin } from '@/records';
import { FieldReader } from '../fieldReader';
import type { FormRead } from '../formErrors';
import type { Format } from '../useFormat';

/** What is typed in a data sheet, as text. Names of times are those of the sheet. */
export type SheetDraft = {
  name: string;
  note: string;
  by: 'volume' | 'mass';
  a: string;
  b: string;
  price: string;
  per: 'kg' | 'l';
  densityA: string;
  densityB: string;
  viscosity: string;
  reference: string;
  energy: string;
  workingMass: string;
  /** Another mass that the sheet states a working time for, and that time; both empty: none. */
  alsoMass: string;
  alsoWorking: string;
  thinnest: string;
  thickest: string;
  stir: string;
  service: string;
  foodBy: string;
  foodFor: string;
  light: 'not said' | 'stable' | 'yellows';
  /** Greatest share of colour; empty: the sheet does not say. */
  colour: string;
  /** Ends of the room that it cures in; both empty: not said. */
  coldest: string;
  warmest: string;
} & Record<keyof SheetTimes, string>;

export type SheetField = keyof SheetDraft;

interface TimeWords {
  readonly label: string;
  readonly hint?: string;
}

/** Times of the sheet in the order in which they pass. */
export const TIME_FIELDS: readonly (readonly [keyof SheetTimes, TimeWords])[] = [
  ['workingS', { label: 'Working time', hint: 'In a cup of the mass above' }],
  ['noFlowS', { label: 'No longer flows' }],
  ['leatheryS', { label: 'Leathery', hint: 'Masks may come off' }],
  ['unmaskClosesS', { label: 'Masks off, latest' }],
  ['recoatOpensS', { label: 'Recoat opens' }],
  ['recoatClosesS', { label: 'Recoat shuts', hint: 'After it: sand first' }],
  ['handleS', { label: 'Handle, demould' }],
  ['hardS', { label: 'Hard' }],
  ['warmLoadS', { label: 'Warm load' }],
  ['fullS', { label: 'Full cure' }],
];

/** How much faster ten degrees more make a cure, as kJ/mol; 55 is usual (from memory, 45–65). */
const WARMTH: readonly (readonly [energy: string, times: string, usual: string])[] = [
  ['48 kJ/mol', '× 1.9', ''],
  ['55 kJ/mol', '× 2.1', ', as usual'],
  ['62 kJ/mol', '× 2.3', ''],
];

/** The choices, with what is stored where that is none of them. */
export const warmthOptions = (
  stored: string,
  { either }: Format,
): readonly (readonly [string, string])[] => {
  const more = either('10 °C', '18 °F');
  const usual = WARMTH.map(
    ([energy, times, word]) => [energy, `${times} for ${more} more${word}`] as const,
  );
  return stored === '' || usual.some(([energy]) => energy === stored)
    ? usual
    : [...usual, [stored, `as stored: ${stored}`]];
};

const hours = (s: number): string => editText(s, s >= 7200 ? 'h' : 'min');

/** A density as the sheet gives it; empty where it gives none. */
const densityText = (sheet: ResinSheet, part: 'A' | 'B'): string =>
  sheet.assumedDensity?.includes(part)
    ? ''
    : editText(part === 'A' ? sheet.densityAKgM3 : sheet.densityBKgM3, 'g/ml');

export function draftOfResin(resin: Resin, format: Format): SheetDraft {
  const { name, note, price, sheet, declared } = resin;
  const film = (m: number) => editText(m, format.typed('film'));
  const times = Object.fromEntries(
    TIME_FIELDS.map(([key]) => [key, hours(sheet.times[key])]),
  ) as Record<keyof SheetTimes, string>;
  return {
    ...times,
    name,
    note,
    by: sheet.ratio.by,
    a: String(sheet.ratio.a),
    b: String(sheet.ratio.b),
    price: price ? String(price.amount) : '',
    per: price?.per ?? 'kg',
    densityA: densityText(sheet, 'A'),
    densityB: densityText(sheet, 'B'),
    viscosity: editText(sheet.viscosityPaS, 'Pa·s'),
    reference: editText(sheet.referenceTemperatureK, format.typed('temperature')),
    energy: editText(sheet.activationEnergyJMol, 'kJ/mol'),
    workingMass: editText(sheet.workingMassKg, format.typed('mass')),
    alsoMass: sheet.workingAlso ? editText(sheet.workingAlso.massKg, format.typed('mass')) : '',
    alsoWorking: sheet.workingAlso ? hours(sheet.workingAlso.workingS) : '',
    thinnest: film(sheet.thinnestM),
    thickest: film(sheet.thickestM),
    stir: editText(sheet.stirS, 'min'),
    service:
      declared.serviceK === null ? '' : editText(declared.serviceK, format.typed('temperature')),
    ...{ foodBy: declared.food?.by ?? '', foodFor: declared.food?.for ?? '' },
    colour: declared.colourShare === null ? '' : editText(declared.colourShare, '%'),
    coldest: declared.curesK ? editText(declared.curesK.min, format.typed('temperature')) : '',
    warmest: declared.curesK ? editText(declared.curesK.max, format.typed('temperature')) : '',
    light: declared.uvStable === null ? 'not said' : declared.uvStable ? 'stable' : 'yellows',
  };
}

/** Field of the form for a path of the checked sheet, and what kind of number it holds. */
const FIELD_OF: Readonly<Record<string, readonly [SheetField, Quantity]>> = {
  viscosityPaS: ['viscosity', 'viscosity'],
  activationEnergyJMol: ['energy', 'molarEnergy'],
  workingMassKg: ['workingMass', 'mass'],
  thinnestM: ['thinnest', 'film'],
  thickestM: ['thickest', 'film'],
  stirS: ['stir', 'duration'],
};

function fieldOf(path: readonly (string | number)[]): readonly [SheetField, Quantity] {
  if (path[0] === 'workingAlso')
    return path[1] === 'massKg' ? ['alsoMass', 'mass'] : ['alsoWorking', 'duration'];
  if (path[0] === 'times') return [path[1] as keyof SheetTimes, 'duration'];
  return FIELD_OF[String(path[0])] ?? ['name', 'number'];
}

/** Reads both densities; the usual one stands where none is given, and that is kept. */
function readDensities(draft: SheetDraft, reader: FieldReader<SheetField>) {
  const assumedDensity: ('A' | 'B')[] = [];
  const read = (part: 'A' | 'B'): number => {
    const field = `density${part}` as const;
    if (draft[field].trim() !== '')
      return reader.quantity(field, draft[field], 'density', RESIN_DENSITY_KG_M3);
    assumedDensity.push(part);
    return USUAL_DENSITY_KG_M3[part];
  };
  const densities = { densityAKgM3: read('A'), densityBKgM3: read('B') };
  return assumedDensity.length > 0 ? { ...densities, assumedDensity } : densities;
}

/** Reads a second working time: mass and time, or neither. */
function readAlso(
  draft: SheetDraft,
  reader: FieldReader<SheetField>,
): NonNullable<ResinSheet['workingAlso']> | null {
  const [mass, time] = [draft.alsoMass.trim(), draft.alsoWorking.trim()];
  if (mass === '' && time === '') return null;
  if (mass === '') reader.errors.alsoMass = 'Of which mass?';
  if (time === '') reader.errors.alsoWorking = 'And how long is that worked?';
  if (mass === '' || time === '') return null;
  return {
    massKg: reader.quantity('alsoMass', mass, 'mass', { min: 1e-9 }),
    workingS: reader.quantity('alsoWorking', time, 'duration', { min: 60 }),
  };
}

/** Reads the room that a resin cures in: both ends, or neither. */
function readRoom(draft: SheetDraft, reader: FieldReader<SheetField>): Declared['curesK'] {
  const [coldest, warmest] = [draft.coldest.trim(), draft.warmest.trim()];
  if (coldest === '' && warmest === '') return null;
  if (coldest === '') reader.errors.coldest = 'And not below?';
  if (warmest === '') reader.errors.warmest = 'And not above?';
  if (coldest === '' || warmest === '') return null;
  const min = reader.quantity('coldest', coldest, 'temperature', ROOM_LIMITS_K);
  const max = reader.quantity('warmest', warmest, 'temperature', ROOM_LIMITS_K);
  if (min > max) reader.errors.warmest = 'Must be warmer than the coldest.';
  return { min, max };
}

/** Reads what a resin is declared for; both parts of a declaration for food are needed, or none. */
function readDeclared(draft: SheetDraft, reader: FieldReader<SheetField>): Declared {
  const [by, what] = [draft.foodBy.trim(), draft.foodFor.trim()];
  if (by !== '' && what === '') reader.errors.foodFor = 'For what: dry food, all food …';
  if (by === '' && what !== '') reader.errors.foodBy = 'Who declares it?';
  return {
    serviceK:
      draft.service.trim() === ''
        ? null
        : reader.quantity('service', draft.service, 'temperature', SERVICE_LIMITS_K),
    food: by !== '' && what !== '' ? { by: by.slice(0, 120), for: what.slice(0, 120) } : null,
    uvStable: draft.light === 'not said' ? null : draft.light === 'stable',
    colourShare:
      draft.colour.trim() === ''
        ? null
        : reader.quantity('colour', draft.colour, 'share', COLOUR_LIMITS),
    curesK: readRoom(draft, reader),
  };
}

/** Reads a data sheet: the sheet in SI, or a message for every field that is wrong. */
export function readSheet(
  draft: SheetDraft,
  format: Format,
): FormRead<SheetDraft, Omit<Resin, 'id' | 'learnsFromMs'>> {
  const reader = new FieldReader<SheetField>(format);
  const name = reader.text('name', draft.name, 120);
  const positive = { min: 1e-9 };
  const price =
    draft.price.trim() === ''
      ? null
      : { amount: reader.plain('price', draft.price, 0, 100_000), per: draft.per };
  const sheet: ResinSheet = {
    ratio: {
      by: draft.by,
      a: reader.plain('a', draft.a, RATIO_LIMITS.min, RATIO_LIMITS.max),
      b: reader.plain('b', draft.b, RATIO_LIMITS.min, RATIO_LIMITS.max),
    },
    ...readDensities(draft, reader),
    viscosityPaS: reader.quantity('viscosity', draft.viscosity, 'viscosity', positive),
    referenceTemperatureK: reader.quantity(
      'reference',
      draft.reference,
      'temperature',
      ROOM_LIMITS_K,
    ),
    activationEnergyJMol: reader.quantity('energy', draft.energy, 'molarEnergy', positive),
    workingMassKg: reader.quantity('workingMass', draft.workingMass, 'mass', positive),
    workingAlso: readAlso(draft, reader),
    thinnestM: reader.quantity('thinnest', draft.thinnest, 'film', positive),
    thickestM: reader.quantity('thickest', draft.thickest, 'film', positive),
    stirS: reader.quantity('stir', draft.stir, 'duration', STIR_LIMITS_S),
    times: Object.fromEntries(
      TIME_FIELDS.map(([key]) => [key, reader.quantity(key, draft[key], 'duration', { min: 60 })]),
    ) as unknown as SheetTimes,
  };
  const declared = readDeclared(draft, reader);
  if (reader.sound) {
    const checked = checkSheet(sheet);
    if (!checked.ok)
      for (const issue of checked.issues) {
        const [field, quantity] = fieldOf(issue.path);
        reader.issue(field, issue, quantity);
      }
  }
  if (!reader.sound) return { ok: false, errors: reader.errors };
  return { ok: true, value: { name, note: draft.note.trim(), price, sheet, declared } };
}
