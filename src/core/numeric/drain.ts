/** Runs what goes step by step to its end. */
export function drain<R>(steps: Generator<unknown, R, void>): R {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}
