/** A field of numbers, row by row from the top. */
export interface Field {
  readonly width: number;
  readonly height: number;
  readonly values: Float32Array;
}

/** Mean over 2 r + 1 columns, the edge repeated. */
function boxRows(
  from: Float32Array,
  out: Float32Array,
  width: number,
  height: number,
  r: number,
): void {
  const share = 1 / (2 * r + 1);
  const last = width - 1;
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    const first = from[row] as number;
    const end = from[row + last] as number;
    let sum = first * (r + 1);
    for (let x = 1; x <= r; x += 1) sum += x > last ? end : (from[row + x] as number);
    for (let x = 0; x < width; x += 1) {
      out[row + x] = sum * share;
      sum += x + r + 1 > last ? end : (from[row + x + r + 1] as number);
      sum -= x - r < 0 ? first : (from[row + x - r] as number);
    }
  }
}

/** Mean over 2 r + 1 rows, the edge repeated; whole rows at a time, as they lie in memory. */
function boxColumns(
  from: Float32Array,
  out: Float32Array,
  width: number,
  height: number,
  r: number,
): void {
  const share = 1 / (2 * r + 1);
  const last = height - 1;
  const sums = new Float64Array(width);
  const rowOf = (y: number): number => (y < 0 ? 0 : y > last ? last : y) * width;
  for (let y = -r; y <= r; y += 1) {
    const row = rowOf(y);
    for (let x = 0; x < width; x += 1) sums[x] = (sums[x] as number) + (from[row + x] as number);
  }
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    const enters = rowOf(y + r + 1);
    const leaves = rowOf(y - r);
    for (let x = 0; x < width; x += 1) {
      const sum = sums[x] as number;
      out[row + x] = sum * share;
      sums[x] = sum + (from[enters + x] as number) - (from[leaves + x] as number);
    }
  }
}

/**
 * A Gaussian blur by three box blurs.
 * @param sigmaPx standard deviation, px, >= 0; under half a pixel nothing is blurred
 * Source: central limit; box width from the variance (w² − 1) / 12 for each of three (Kovesi 2010, from memory).
 */
export function blur({ width, height, values }: Field, sigmaPx: number): Field {
  const radius = Math.round((Math.sqrt(4 * sigmaPx * sigmaPx + 1) - 1) / 2);
  if (!(radius >= 1)) return { width, height, values };
  const half = new Float32Array(values.length);
  const now = new Float32Array(values);
  for (let pass = 0; pass < 3; pass += 1) {
    boxRows(now, half, width, height, radius);
    boxColumns(half, now, width, height, radius);
  }
  return { width, height, values: now };
}

/** Means of blocks of so many pixels square; what is over at the right and below is left out of none. */
function shrunk({ width, height, values }: Field, by: number): Field {
  const [w, h] = [Math.ceil(width / by), Math.ceil(height / by)];
  const sums = new Float32Array(w * h);
  const counts = new Float32Array(w * h);
  for (let y = 0; y < height; y += 1) {
    const row = ((y / by) | 0) * w;
    for (let x = 0; x < width; x += 1) {
      const at = row + ((x / by) | 0);
      sums[at] = (sums[at] as number) + (values[y * width + x] as number);
      counts[at] = (counts[at] as number) + 1;
    }
  }
  for (let i = 0; i < sums.length; i += 1) sums[i] = (sums[i] as number) / (counts[i] as number);
  return { width: w, height: h, values: sums };
}

/**
 * A wide blur, read at the pixels of the field: worked out on blocks, and as smooth as the blur is wide.
 * @param sigmaPx standard deviation, px, > 0
 * @returns its value near a pixel
 */
export function wideBlur(field: Field, sigmaPx: number): (x: number, y: number) => number {
  const by = Math.max(1, Math.floor(sigmaPx / 4));
  const { width, values } = blur(shrunk(field, by), sigmaPx / by);
  return (x, y) => values[((y / by) | 0) * width + ((x / by) | 0)] as number;
}
