import {
  MASK_METHODS,
  RECOAT_SCHOOLS,
  SEAL_SCHOOLS,
  SPRAY_SCHOOLS,
  TOOTH_SCHOOLS,
  type PrepSchools,
} from '@/core/prep';

/** A question on which practitioners disagree, and its answers. */
export interface SchoolField {
  readonly name: keyof PrepSchools;
  readonly label: string;
  readonly hint: string;
  readonly options: readonly (readonly [value: string, label: string])[];
}

const TOOTH_WORDS = { coarse: 'coarse, P80–P120', fine: 'fine, P220–P320' } as const;
const RECOAT_WORDS = {
  'inside the window': 'inside the window, no sanding',
  'always sand': 'let it cure, always sand',
} as const;

const same = (values: readonly string[]) => values.map((v) => [v, v] as const);

/** Schools of preparation, as settings of the shop and of a piece. */
export const SCHOOL_FIELDS: readonly SchoolField[] = [
  {
    name: 'mask',
    label: 'Masks, school',
    hint: 'Each has its own dry time, moment of removal and limit',
    options: same(MASK_METHODS),
  },
  {
    name: 'tooth',
    label: 'Tooth, school',
    hint: 'Grit between coats',
    options: TOOTH_SCHOOLS.map((v) => [v, TOOTH_WORDS[v]]),
  },
  {
    name: 'recoat',
    label: 'Recoat, school',
    hint: 'Both are right for different parts of the cure',
    options: RECOAT_SCHOOLS.map((v) => [v, RECOAT_WORDS[v]]),
  },
  {
    name: 'seal',
    label: 'Porous ground, school',
    hint: 'What closes the pores before the first coat',
    options: same(SEAL_SCHOOLS),
  },
  {
    name: 'spray',
    label: 'Spray over art, school',
    hint: 'Gloss can re-dissolve ink',
    options: same(SPRAY_SCHOOLS),
  },
  {
    name: 'gritScale',
    label: 'Grit is named by',
    hint: 'The other scale stands beside it',
    options: [
      ['P', 'P (FEPA)'],
      ['CAMI', 'CAMI'],
    ],
  },
];
