import type { Point } from '../../geometry';
import { fail, ok, type Result } from '../../result';
import { homographyOf, project, sample, type Corners, type Picture } from '../../trace';
import type { RakingPicture } from './breaks';

/** What a face is looked at in: finer shows nothing more of a fault of a millimetre. Judgement, no source. */
const PX_PER_M = 6000;
/** Longest side that is looked at, px: a large face is looked at more coarsely. */
const LONGEST_PX = 2400;
/** Coarser than this a fault of 1.5 mm is a few pixels: nothing is proposed. Judgement, no source. */
const COARSEST_PX_PER_M = 2500;

export interface FaceInPhoto {
  readonly picture: Picture;
  /** Corners of the box of the face in the picture, px: top left, top right, bottom right, bottom left. */
  readonly corners: Corners;
  /** The box, m, and the outline in it, from its top left corner, y down, m. */
  readonly widthM: number;
  readonly heightM: number;
  readonly outline: readonly Point[];
}

/**
 * A face seen straight from above, its luminance.
 * @returns the picture that {@link breaksIn} looks at, or why it cannot be looked at: corners crossed, or too coarse
 * Source: homography of the corners; luminance by the weights of ITU-R BT.601 (from memory).
 */
export function straighten({
  picture,
  corners,
  widthM,
  heightM,
  outline,
}: FaceInPhoto): Result<RakingPicture> {
  const side = ([a, b]: readonly [Point, Point]) => Math.hypot(b[0] - a[0], b[1] - a[1]);
  const seen = Math.min(
    side([corners[0], corners[1]]) / widthM,
    side([corners[1], corners[2]]) / heightM,
  );
  // More pixels than the photo has of it tell nothing more.
  const scale = Math.min(PX_PER_M, seen, LONGEST_PX / Math.max(widthM, heightM));
  if (!(scale >= COARSEST_PX_PER_M))
    return fail({
      ...{ code: 'out-of-range', path: ['photo'], value: scale },
      allowed: { min: COARSEST_PX_PER_M },
    });
  const [width, height] = [Math.round(widthM * scale), Math.round(heightM * scale)];
  const box: Corners = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  const map = homographyOf(box, corners);
  if (!map.ok) return map;
  const values = new Float32Array(width * height);
  const colour = new Float64Array(3);
  for (let y = 0, at = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, at += 1) {
      const [px, py] = project(map.value, [x + 0.5, y + 0.5]);
      if (sample(picture, px, py, colour))
        values[at] =
          0.299 * (colour[0] as number) +
          0.587 * (colour[1] as number) +
          0.114 * (colour[2] as number);
    }
  const stepM = 1 / scale;
  const ring = outline.map(([x, y]): Point => [x * scale, y * scale]);
  return ok({ width, height, values, stepM, ring });
}
