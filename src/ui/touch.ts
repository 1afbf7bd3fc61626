/** Heights of touch targets: desk controls and bench controls (design rule: 64 px at the bench). */
export const TOUCH = { desk: '38px', bench: '72px' } as const;

/** What is aimed at with a finger is no smaller than this, also at the desk (WCAG 2.2, 2.5.5). */
export const FINGER = { '@media (pointer: coarse)': { minH: '44px', minW: '44px' } } as const;

/** What stands in a line of text keeps its size; around it a finger has 44 px. */
export const FINGER_ROUND = {
  position: 'relative',
  '@media (pointer: coarse)': { _after: { content: '""', position: 'absolute', inset: '-10px' } },
} as const;

export const focusRing = { outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' };
