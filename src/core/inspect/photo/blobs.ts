/** A connected patch of marked pixels, with its middle and its axes. */
export interface Blob {
  /** Weighted middle, px. */
  readonly x: number;
  readonly y: number;
  readonly areaPx: number;
  /** Full lengths along and across its main axis, px. */
  readonly longPx: number;
  readonly acrossPx: number;
  /** Strongest signal in it. */
  readonly peak: number;
}

/**
 * Patches of pixels that hang together by sides or corners.
 * @param marked 1 where a pixel counts @param weight signal of each pixel, >= 0
 * Source: flood fill; axes by second moments, full length of a bar or disc taken as 4 σ (a disc: diameter = 4 σ).
 */
export function blobsOf(
  marked: Uint8Array,
  weight: Float32Array,
  width: number,
  height: number,
): Blob[] {
  const seen = new Uint8Array(marked.length);
  const stack = new Int32Array(marked.length);
  const blobs: Blob[] = [];
  for (let start = 0; start < marked.length; start += 1) {
    if (!marked[start] || seen[start]) continue;
    let [top, n, peak, sx, sy, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0, 0, 0];
    stack[top++] = start;
    seen[start] = 1;
    while (top > 0) {
      const at = stack[--top] as number;
      const [x, y] = [at % width, (at / width) | 0];
      n += 1;
      const signal = weight[at] as number;
      if (signal > peak) peak = signal;
      sx += x;
      sy += y;
      sxx += x * x;
      syy += y * y;
      sxy += x * y;
      for (let dy = -1; dy <= 1; dy += 1)
        for (let dx = -1; dx <= 1; dx += 1) {
          const [nx, ny] = [x + dx, y + dy];
          if (nx < 0 || ny < 0 || nx >= width || ny >= height) continue;
          const next = ny * width + nx;
          if (!marked[next] || seen[next]) continue;
          seen[next] = 1;
          stack[top++] = next;
        }
    }
    const [x, y] = [sx / n, sy / n];
    const [vx, vy, vxy] = [sxx / n - x * x, syy / n - y * y, sxy / n - x * y];
    const middle = (vx + vy) / 2;
    const half = Math.hypot((vx - vy) / 2, vxy);
    blobs.push({
      ...{ x, y, areaPx: n, peak },
      longPx: 4 * Math.sqrt(Math.max(0, middle + half) + 1 / 12),
      acrossPx: 4 * Math.sqrt(Math.max(0, middle - half) + 1 / 12),
    });
  }
  return blobs;
}
