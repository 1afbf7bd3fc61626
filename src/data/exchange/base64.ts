/** Blob → base64, in slices that keep the call stack small. */
export async function blobToBase64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  const slices: string[] = [];
  for (let at = 0; at < bytes.length; at += 0x8000)
    slices.push(String.fromCharCode(...bytes.subarray(at, at + 0x8000)));
  return btoa(slices.join(''));
}

/** Base64 → blob, or null when the text is not base64. */
export function base64ToBlob(text: unknown, type: unknown): Blob | null {
  if (typeof text !== 'string' || typeof type !== 'string') return null;
  try {
    return new Blob([Uint8Array.from(atob(text), (c) => c.charCodeAt(0))], { type });
  } catch {
    return null;
  }
}
