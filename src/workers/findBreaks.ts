import type { Point } from '@/core/geometry';
import { breaksIn, straighten, type Break } from '@/core/inspect/photo';
import type { Corners, Picture } from '@/core/trace';
import { Refused, type Step } from './job';
import type { BreaksAsk } from './protocol';

/** Longest side that a photo is looked at in, px. */
const LOOKED_PX = 4200;

const refuse = (message: string): never => {
  throw new Refused([{ code: 'not-allowed', path: ['photo'], message }]);
};

/**
 * Looks for breaks in the reflection on a photo; runs in the worker. Places are told in m from the top left corner of the
 * box of the face, y down.
 * @throws Refused; what `step` throws
 */
export async function findBreaks(ask: BreaksAsk, step: Step): Promise<readonly Break[]> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(ask.photo);
  } catch {
    return refuse('This file is not a picture that the browser can read.');
  }
  try {
    await step(0.1);
    const scale = Math.min(1, LOOKED_PX / Math.max(bitmap.width, bitmap.height));
    const [widthPx, heightPx] = [
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    ];
    const context = new OffscreenCanvas(widthPx, heightPx).getContext('2d', {
      willReadFrequently: true,
    });
    if (!context) throw new Error('no canvas');
    context.drawImage(bitmap, 0, 0, widthPx, heightPx);
    const { data } = context.getImageData(0, 0, widthPx, heightPx);
    const picture: Picture = { widthPx, heightPx, rgba: data };
    await step(0.4);
    const corners = ask.corners.map(([x, y]): Point => [
      x * widthPx,
      y * heightPx,
    ]) as unknown as Corners;
    const { widthM, heightM, outline } = ask;
    const face = straighten({ picture, corners, widthM, heightM, outline });
    if (!face.ok) {
      const coarse = face.issues[0]?.code === 'out-of-range';
      return refuse(
        coarse
          ? 'The face is too small in this photo: go nearer, or take more pixels.'
          : 'The four corners are crossed: put each on its own corner of the face.',
      );
    }
    await step(0.6);
    const { stepM } = face.value;
    return breaksIn(face.value).map((b) => ({ ...b, at: [b.at[0] * stepM, b.at[1] * stepM] }));
  } finally {
    bitmap.close();
  }
}
