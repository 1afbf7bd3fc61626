/**
 * Solves a small dense linear system in place.
 * @param a n × n matrix by rows; overwritten by its factors @param b right side; overwritten by the solution
 * @returns false where the matrix is singular, to machine precision
 * Source: Gaussian elimination with partial pivoting.
 */
export function linearSolve(a: Float64Array, b: Float64Array): boolean {
  const n = b.length;
  for (let k = 0; k < n; k += 1) {
    let pivot = k;
    for (let i = k + 1; i < n; i += 1)
      if (Math.abs(a[i * n + k] ?? NaN) > Math.abs(a[pivot * n + k] ?? NaN)) pivot = i;
    const head = a[pivot * n + k] ?? NaN;
    if (!(Math.abs(head) > Number.MIN_VALUE)) return false;
    if (pivot !== k) swapRows(a, b, k, pivot);
    for (let i = k + 1; i < n; i += 1) {
      const factor = (a[i * n + k] ?? NaN) / head;
      if (factor === 0) continue;
      for (let j = k + 1; j < n; j += 1)
        a[i * n + j] = (a[i * n + j] ?? NaN) - factor * (a[k * n + j] ?? NaN);
      b[i] = (b[i] ?? NaN) - factor * (b[k] ?? NaN);
    }
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = b[i] ?? NaN;
    for (let j = i + 1; j < n; j += 1) sum -= (a[i * n + j] ?? NaN) * (b[j] ?? NaN);
    b[i] = sum / (a[i * n + i] ?? NaN);
  }
  return b.every(Number.isFinite);
}

function swapRows(a: Float64Array, b: Float64Array, i: number, j: number): void {
  const n = b.length;
  for (let k = 0; k < n; k += 1) {
    const kept = a[i * n + k] ?? NaN;
    a[i * n + k] = a[j * n + k] ?? NaN;
    a[j * n + k] = kept;
  }
  const kept = b[i] ?? NaN;
  b[i] = b[j] ?? NaN;
  b[j] = kept;
}
