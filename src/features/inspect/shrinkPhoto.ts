import type { Photo } from '@/records';

const LONGEST_PX = 1600;
const LARGEST_BYTES = 60_000_000;

/**
 * Reads a picture, scales it to at most 1600 px and writes it anew, which leaves out everything a
 * camera writes beside the picture (place, device). Throws with a sentence for the user.
 */
export async function shrinkPhoto(
  file: File,
): Promise<Pick<Photo, 'name' | 'widthPx' | 'heightPx' | 'blob'>> {
  if (file.size > LARGEST_BYTES)
    throw new Error('This picture is over 60 MB. Choose a smaller one.');
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error('This file is not a picture that the browser can read.');
  }
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const [widthPx, heightPx] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext('2d');
  context?.drawImage(bitmap, 0, 0, widthPx, heightPx);
  bitmap.close();
  if (!context) throw new Error('The browser could not draw this picture: try a smaller one.');
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 });
  return { name: file.name.slice(0, 200), widthPx, heightPx, blob };
}
