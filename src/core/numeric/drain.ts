/**
 * Runs what goes step by step to its end.
 * @param observe told what each step yields; false leaves it @returns its end, or null when it was left
 */
export function drain<Y, R>(
  steps: Generator<Y, R, void>,
  observe: (yielded: Y) => boolean,
): R | null;
export function drain<Y, R>(steps: Generator<Y, R, void>): R;
export function drain<Y, R>(
  steps: Generator<Y, R, void>,
  observe: (yielded: Y) => boolean = () => true,
): R | null {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    if (!observe(next.value)) {
      steps.return(null as never);
      return null;
    }
  }
}
