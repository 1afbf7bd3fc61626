/** Lets whoever shares the thread go on: a page answers, a message comes in. */
export const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));
