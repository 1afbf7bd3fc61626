/** A field of numbers, row by row from the top. */
export interface Field {
  readonly width: number;
  readonly height: number;
  readonly values: Float32Array;
}

/** Mean over a row window of 2 r + 1, the edge repeated; written transposed, so that twice gives both directions. */
function boxTransposed(
  from: Float32Array,
  width: number,
  height: number,
  radius: number,
): Float32Array {
  const out = new Float32Array(from.length);
  const span = 2 * radius + 1;
  const last = width - 1;
  for (let y = 0; y < height; y += 1) {
    const row = y * width;
    const [first, end] = [from[row] as number, from[row + last] as number];
    let sum = first * (radius + 1);
    for (let x = 1; x <= radius; x += 1) sum += x > last ? end : (from[row + x] as number);
    for (let x = 0; x < width; x += 1) {
      out[x * height + y] = sum / span;
      const [enters, leaves] = [x + radius + 1, x - radius];
      sum += enters > last ? end : (from[row + enters] as number);
      sum -= leaves < 0 ? first : (from[row + leaves] as number);
    }
  }
  return out;
}

/**
 * A Gaussian blur by three box blurs.
 * @param sigmaPx standard deviation, px, >= 0; under half a pixel nothing is blurred
 * Source: central limit; box width from the variance (w² − 1) / 12 for each of three (Kovesi 2010, from memory).
 */
export function blur({ width, height, values }: Field, sigmaPx: number): Field {
  const radius = Math.round((Math.sqrt(4 * sigmaPx * sigmaPx + 1) - 1) / 2);
  if (!(radius >= 1)) return { width, height, values };
  let now = values;
  for (let pass = 0; pass < 3; pass += 1)
    now = boxTransposed(boxTransposed(now, width, height, radius), height, width, radius);
  return { width, height, values: now };
}
