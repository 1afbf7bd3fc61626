import { parse } from 'regexparam';

/** Every address of Bilamina, the special before the general. */
export const PATHS = [
  '/',
  '/start',
  '/pieces',
  '/pieces/new',
  '/pieces/:id',
  '/pieces/:id/survey',
  '/pieces/:id/prepare',
  '/pieces/:id/coats',
  '/pieces/:id/cure',
  '/pieces/:id/inspect',
  '/pieces/:id/finish',
  '/resins',
  '/resins/:id',
  '/room',
  '/book',
  '/settings',
  '/wet/new',
  '/wet/:id',
] as const;
export type PlacePath = (typeof PATHS)[number];

const PARSED = PATHS.map((path) => ({ path, ...parse(path) }));

/** Which place an address leads to, and the id in it (empty where there is none); null when it leads nowhere. */
export function placeAt(pathname: string): { path: PlacePath; id: string } | null {
  for (const { path, pattern } of PARSED) {
    const match = pattern.exec(pathname);
    if (match) return { path, id: match[1] ?? '' };
  }
  return null;
}
