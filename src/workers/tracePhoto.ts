import type { Point } from '@/core/geometry';
import { project, tracePiece, viewOf, type Corners, type Picture, type Traced } from '@/core/trace';
import { Refused, type Step } from './job';
import type { StoredPicture, TraceAnswer, TraceAsk } from './protocol';

/** Longest side on which a photo is traced and, unless its size is kept, stored, px. */
const TRACED_PX = 2000;
/** Longest side of the straightened picture under the plan, px. */
const PLAN_PX = 1000;

function drawn(bitmap: ImageBitmap, longPx: number): OffscreenCanvas {
  const scale = Math.min(1, longPx / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  );
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return canvas;
}

async function stored(canvas: OffscreenCanvas): Promise<StoredPicture> {
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 });
  return { blob, widthPx: canvas.width, heightPx: canvas.height };
}

/** The part of the plane round the piece as a picture, by inverse mapping. */
async function planOf(
  picture: Picture,
  traced: Traced,
  ask: TraceAsk,
  scale: number,
  shift: Point,
): Promise<StoredPicture> {
  const { box } = traced;
  const stepM = Math.max(box.right - box.left, box.high - box.low) / PLAN_PX;
  const width = Math.max(1, Math.round((box.right - box.left) / stepM));
  const height = Math.max(1, Math.round((box.high - box.low) / stepM));
  const corners = traced.corners.map(([x, y]): Point => [
    x * scale,
    y * scale,
  ]) as unknown as Corners;
  const size = { widthPx: picture.widthPx, heightPx: picture.heightPx };
  const view = viewOf({ corners, reference: ask.reference, size });
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (!view.ok || !context) throw new Error('no view');
  const { toPicture, pose } = view.value;
  const rise = 1 / (1 - ask.heightM / pose.heightM);
  const data = context.createImageData(width, height);
  for (let row = 0, at = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1, at += 4) {
      const x = box.left + (column + 0.5) * stepM + shift[0];
      const y = box.high - (row + 0.5) * stepM + shift[1];
      const [px, py] = project(toPicture, [
        pose.foot[0] + (x - pose.foot[0]) * rise,
        pose.foot[1] + (y - pose.foot[1]) * rise,
      ]);
      const [ix, iy] = [Math.floor(px), Math.floor(py)];
      const inside = ix >= 0 && iy >= 0 && ix < picture.widthPx && iy < picture.heightPx;
      const from = 4 * (iy * picture.widthPx + ix);
      for (let c = 0; c < 3; c += 1)
        data.data[at + c] = inside ? (picture.rgba[from + c] ?? 0) : 255;
      data.data[at + 3] = 255;
    }
  context.putImageData(data, 0, 0);
  return stored(canvas);
}

/**
 * Traces a photo: decodes it (turned as the camera says), scales it, finds the outline and makes the
 * pictures to keep. Runs in the worker.
 * @throws Refused; what `step` throws
 */
export async function tracePhoto(ask: TraceAsk, step: Step): Promise<TraceAnswer> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(ask.photo);
  } catch {
    throw new Refused([
      {
        code: 'not-allowed',
        path: ['photo'],
        message: 'This file is not a picture that the browser can read.',
      },
    ]);
  }
  try {
    await step(0.1);
    const canvas = drawn(bitmap, TRACED_PX);
    const { width, height } = canvas;
    const image = canvas.getContext('2d')?.getImageData(0, 0, width, height);
    if (!image) throw new Error('no pixels');
    const picture: Picture = { widthPx: width, heightPx: height, rgba: image.data };
    const scale = width / bitmap.width;
    const small = ([x, y]: Point): Point => [x * scale, y * scale];
    await step(0.2);
    const steps = tracePiece({
      picture,
      corners: ask.corners.map(small) as unknown as Corners,
      reference: ask.reference,
      inside: ask.inside.map(small),
      outside: ask.outside.map(small),
      places: ask.places.map(small),
      referenceIsPiece: ask.referenceIsPiece,
      heightM: ask.heightM,
    });
    let next = steps.next();
    while (!next.done) {
      await step(0.2 + 0.6 * next.value);
      next = steps.next();
    }
    if (!next.value.ok)
      throw new Refused(
        next.value.issues.map(({ code, path, value }) => ({
          code,
          path,
          message: `${path.join('.')}: ${code}`,
          ...(typeof value === 'string' && { value }),
        })),
      );
    const found = next.value.value;
    const large = ([x, y]: Point): Point => [x / scale, y / scale];
    const traced: Traced = {
      ...found,
      ringPx: found.ringPx.map(large),
      cuts: found.cuts.map((cut) => ({ ...cut, px: cut.px.map(large) })),
      corners: found.corners.map(large) as unknown as Corners,
    };
    await step(0.85);
    const plan = await planOf(picture, traced, ask, scale, found.centre);
    await step(0.95);
    const photo = await stored(ask.keepSize ? drawn(bitmap, Infinity) : canvas);
    return { traced, photo, plan };
  } finally {
    bitmap.close();
  }
}
