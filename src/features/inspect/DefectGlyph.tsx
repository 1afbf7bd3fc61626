import type { DefectKind } from '@/core/piece';

/** One sign for each kind of fault, told apart by shape alone; on a field of 24. */
const PATHS: Readonly<Record<DefectKind, string>> = {
  'fish eye': 'M12 4a8 8 0 1 0 .01 0M12 10a2 2 0 1 0 .01 0',
  bubbles: 'M8 5a3.5 3.5 0 1 0 .01 0M16 10a3 3 0 1 0 .01 0M9 15a2.5 2.5 0 1 0 .01 0',
  'dust nib': 'M4 16c3-10 5 8 8-2s5 2 8-6',
  dimples: 'M3 9q4.500 7 9 0q4.500 7 9 0M3 16q4.500 5 9 0q4.500 5 9 0',
  scorch: 'M12 3c5 5 6 8 6 11a6 6 0 0 1-12 0c0-3 3-4 3-7c2 1 3 2 3 4c1-2 1-5 0-8',
  'soft spot': 'M5 13c0-6 5-9 9-7s7 5 5 9s-6 5-9 4s-5-3-5-6M8 13h8',
  'tacky all over': 'M3 8l3 5l3-5l3 5l3-5l3 5l3-5M3 16h18',
  haze: 'M4 7h16M6 12h12M4 17h16',
  drips: 'M12 3c4 6 6 8 6 12a6 6 0 0 1-12 0c0-4 2-6 6-12z',
  'tape lip': 'M3 17h8V8h10',
  seep: 'M3 8h18M7 8v7h10M14 12l3 3l-3 3',
  'thin edge': 'M3 6h18v4H3zM5 18l14-4',
  'see-through': 'M4 4h16v16H4zM4 4l16 16M12 4v16M4 12h16',
  'proud relief': 'M3 19l6-12l4 7l3-5l5 10z',
  peeling: 'M4 4h16v9c-7 0-7 0-7 7H4zM20 13l-7 7',
  scratches: 'M4 18L16 4M9 20L20 7M4 11l6-7',
  'sharp rim': 'M5 3v16h15M5 3l4 16',
  'gilding lifted': 'M12 3l8 9l-8 9l-8-9zM8 12h3l2-3l1 6l2-3',
  'muddy colour': 'M9 5a6 6 0 1 0 .01 0M15 9a6 6 0 1 0 .01 0',
  'not liked': 'M5 5l14 14M19 5L5 19',
};

/** The sign of a fault. */
export function DefectGlyph({ kind, size = 24 }: { kind: DefectKind; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <path
        d={PATHS[kind]}
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  );
}
