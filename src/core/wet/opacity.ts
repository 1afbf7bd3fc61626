import { assert } from '../result';

/** Weights of the linear primaries in luminance. Source: IEC 61966-2-1 (sRGB), ITU-R BT.709. */
const WEIGHTS = [0.2126, 0.7152, 0.0722] as const;

/** Linear light of an sRGB value of 0 to 255. Source: IEC 61966-2-1. */
export function linearLight(value: number): number {
  const v = value / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
}

/**
 * Mean luminance of a patch of a photo.
 * @param rgba bytes of its pixels, four each @returns 0 to 1 @throws RangeError without a pixel
 * Source: IEC 61966-2-1. A camera's own curve differs: ratios within one photo are good to some hundredths.
 */
export function patchLuminance(rgba: ArrayLike<number>): number {
  const pixels = Math.floor(rgba.length / 4);
  assert(pixels > 0, 'patchLuminance', rgba.length);
  let sum = 0;
  for (let i = 0; i < pixels; i += 1)
    for (const [c, weight] of WEIGHTS.entries())
      sum += weight * linearLight(rgba[4 * i + c] ?? NaN);
  return sum / pixels;
}
