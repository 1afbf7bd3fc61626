import { linearLight, patchLuminance } from './opacity';

describe('luminance of a patch', () => {
  it('of sRGB: mid grey 119 gives back 18 % (IEC 61966-2-1), black none, white all', () => {
    expect(linearLight(119)).toBeCloseTo(0.184, 3);
    expect([linearLight(0), linearLight(255)]).toEqual([0, 1]);
    // Both branches meet at their seam.
    expect(linearLight(0.04045 * 255)).toBeCloseTo(linearLight(0.0404501 * 255), 6);
    expect(patchLuminance([255, 255, 255, 255])).toBeCloseTo(1, 12);
    expect(patchLuminance([0, 255, 0, 255])).toBeCloseTo(0.7152, 12);
  });
  it('is the mean of its pixels, in light and not in values', () => {
    expect(patchLuminance([255, 255, 255, 255, 0, 0, 0, 255])).toBeCloseTo(0.5, 12);
    expect(() => patchLuminance([])).toThrow('patchLuminance');
  });
});
