interface Solver {
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(
    f: (x: number, y: number[]) => number[],
    from: number,
    start: number[],
    to: number,
  ): { y: number[] };
}

/**
 * For tests: an ODE library from npm as oracle (Gragg–Bulirsch–Stoer, Hairer’s ODEX). Required, for its own types are not
 * strict.
 * @param size number of components @param tolerance relative and absolute
 */
export function odex(size: number, tolerance: number): Solver {
  const { Solver: Odex } = jest.requireActual<{ Solver: new (n: number) => Solver }>('odex');
  const solver = new Odex(size);
  solver.absoluteTolerance = tolerance;
  solver.relativeTolerance = tolerance;
  return solver;
}
