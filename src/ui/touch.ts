/** Heights of touch targets: desk controls and bench controls (design rule: 64 px at the bench). */
export const TOUCH = { desk: '38px', bench: '72px' } as const;

/** What is aimed at with a finger is no smaller than this, also at the desk (WCAG 2.2, 2.5.5). */
export const FINGER = { '@media (pointer: coarse)': { minH: '44px', minW: '44px' } } as const;

/** What stands in a line of text, or is small for what it lies on, keeps its size; around it a finger has 44 px. */
export const FINGER_ROUND = {
  position: 'relative',
  '@media (pointer: coarse)': {
    _after: { content: '""', position: 'absolute', inset: '-12px' },
    // Where two stand close, what is aimed at lies over what reaches out to it.
    '& > *': { position: 'relative', zIndex: 1 },
    // The rows of a table are as far apart as a finger is wide.
    'td &': { marginBlock: '10px' },
  },
} as const;

/** Lines that hold links among words: for a finger as far apart as it is wide, each link as high as its line. */
export const FINGER_LINES = {
  '@media (pointer: coarse)': { lineHeight: '44px', '& a': { paddingBlock: '14px' } },
} as const;

/** The same for a list whose lines begin with a link. */
export const FINGER_LIST = {
  '@media (pointer: coarse)': { '& a': { display: 'inline-block', paddingBlock: '13px' } },
} as const;

/** A line in a drawing that is taken hold of: the unseen stroke round it, in pixels of the screen. */
export const HAND_LINE = {
  className: 'bm-hand-line',
  fill: 'none',
  stroke: 'transparent',
  strokeWidth: 26,
} as const;

/** The unseen disc round a point in a drawing that is dragged. */
export const HAND_SPOT = { className: 'bm-hand-spot', fill: 'transparent', r: 16 } as const;

/** What every place does for a finger; said with force, as what is said for all gives way to a size of its own. */
export const FINGER_EVERYWHERE = {
  '@media (pointer: coarse)': {
    summary: { minHeight: '44px !important', paddingBlock: '10px' },
    'label:has(> input[type=checkbox])': { minHeight: '44px !important' },
    'input:not([type=checkbox], [type=radio]), select': {
      minHeight: '44px !important',
    },
    'input[type=file]': { paddingBlock: '8px' },
    [`.${HAND_LINE.className}`]: { strokeWidth: '44px', vectorEffect: 'non-scaling-stroke' },
    [`.${HAND_SPOT.className}`]: { r: '22px' },
  },
} as const;

export const focusRing = { outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' };
