/** Heights of touch targets: desk controls and bench controls (design rule: 64 px at the bench). */
export const TOUCH = { desk: '38px', bench: '72px' } as const;

export const focusRing = { outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' };
