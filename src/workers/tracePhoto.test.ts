import type { TraceAsk } from './protocol';
import { Refused, Stopped } from './job';
import { tracePhoto } from './tracePhoto';

const ask: TraceAsk = {
  photo: new Blob(['x'], { type: 'image/png' }),
  keepSize: false,
  corners: [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ],
  reference: { widthM: 0.297, heightM: 0.21, sigmaM: 0 },
  inside: [[5, 5]],
  outside: [],
  places: [],
  referenceIsPiece: false,
  heightM: 0,
};
const globals = globalThis as unknown as Record<string, unknown>;

/** Stands in for the browser's canvas: keeps its size, and is grey all over. */
class GreyCanvas {
  static made: GreyCanvas[] = [];
  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    GreyCanvas.made.push(this);
  }
  getContext() {
    return {
      imageSmoothingQuality: 'low',
      drawImage: () => undefined,
      getImageData: (_x: number, _y: number, w: number, h: number) => ({
        data: new Uint8ClampedArray(4 * w * h).fill(120),
      }),
    };
  }
}

describe('tracePhoto', () => {
  const closed = jest.fn();
  beforeEach(() => {
    GreyCanvas.made = [];
    globals['OffscreenCanvas'] = GreyCanvas;
    globals['createImageBitmap'] = () =>
      Promise.resolve({ width: 4000, height: 3000, close: closed });
  });
  afterEach(() => {
    delete globals['OffscreenCanvas'];
    delete globals['createImageBitmap'];
  });
  const watch =
    (isStopped: () => boolean, shares: number[] = []) =>
    async (share: number) => {
      shares.push(share);
      await Promise.resolve();
      if (isStopped()) throw new Stopped('Cancelled');
    };

  it('a file that is no picture is refused with words', async () => {
    globals['createImageBitmap'] = () => Promise.reject(new Error('bad'));
    const refused = tracePhoto(
      ask,
      watch(() => false),
    );
    await expect(refused).rejects.toBeInstanceOf(Refused);
    await expect(refused).rejects.toMatchObject({ faults: [{ path: ['photo'] }] });
  });

  it('is scaled before it is traced, and lets the bitmap go when it is refused', async () => {
    const refused = tracePhoto(
      ask,
      watch(() => false),
    );
    // Marks of 10 px in 4000 are too small to measure by.
    await expect(refused).rejects.toMatchObject({
      faults: [{ code: 'does-not-fit', path: ['corners'] }],
    });
    expect(Math.max(GreyCanvas.made[0]?.width ?? 0, GreyCanvas.made[0]?.height ?? 0)).toBe(2000);
    expect(closed).toHaveBeenCalledTimes(1);
  });

  it('tells its progress, and stops between steps when it is told to', async () => {
    const shares: number[] = [];
    const stopped = tracePhoto(
      ask,
      watch(() => shares.length >= 2, shares),
    );
    await expect(stopped).rejects.toBeInstanceOf(Stopped);
    await expect(stopped).rejects.toMatchObject({ name: 'AbortError' });
    expect(shares).toEqual([0.1, 0.2]);
    expect(closed).toHaveBeenCalledTimes(1);
  });
});
