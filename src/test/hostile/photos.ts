import { encode } from 'fast-png';
import { seededRandom } from '@/core/numeric';
import { pick } from './mutate';

const width = 64;
const height = 48;
const SOUND = encode({
  ...{ width, height, channels: 3 },
  data: Uint8Array.from({ length: width * height * 3 }, (_, i) => (i * 37) % 256),
});

/** Bytes of a PNG's header that say its width, from which its height follows. */
const SIZE_AT = 16;

/** A photo that is none, or was cut, filled, or says that it is far larger than it is. */
export function hostilePhoto(seed: number): { readonly name: string; readonly bytes: Uint8Array } {
  const random = seededRandom(seed);
  const bytes = Uint8Array.from(SOUND);
  const way = random();
  const at = Math.floor(random() * bytes.length);
  if (way < 0.1) return { name: 'sound.png', bytes };
  if (way < 0.3) return { name: 'cut.png', bytes: bytes.slice(0, at) };
  if (way < 0.5) {
    for (let i = 0; i < 1 + random() * 40; i += 1)
      bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
    return { name: 'spoilt.png', bytes };
  }
  if (way < 0.7) {
    const view = new DataView(bytes.buffer);
    view.setUint32(SIZE_AT, pick(random, [0, 1, 30_000, 65_535, 2_147_483_647]));
    view.setUint32(SIZE_AT + 4, pick(random, [0, 1, 30_000, 65_535, 2_147_483_647]));
    return { name: 'bomb.png', bytes };
  }
  const text = pick(random, [
    '',
    'not a picture',
    '<svg xmlns="http://www.w3.org/2000/svg" width="1e9" height="1e9"/>',
    '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>',
    'GIF89a\u0001',
    '\u00ff\u00d8\u00ff\u00e0',
  ]);
  return {
    name: pick(random, ['a.svg', 'b.jpg', `${'c'.repeat(300)}.png`]),
    bytes: new TextEncoder().encode(text),
  };
}
