/** So much of the screen the strip of what presses takes from what stands below. */
export const URGENT_HEIGHT = '44px';

/** Holds a wet session, with less of the screen for it while something else presses. */
export const UNDER_STRIP = {
  '--bench-height': '100vh',
  '&:has(> [data-urgent])': { '--bench-height': `calc(100vh - ${URGENT_HEIGHT})` },
} as const;
