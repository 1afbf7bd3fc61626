import { plainColour } from './plainColour';

describe('plainColour', () => {
  it('tells a mixed colour as CSS 2 does, by its own bytes', () => {
    // CSS Color 4, section 10.2: `color(srgb 1 0.5 0)` is the same colour as `rgb(255 128 0)`.
    expect(plainColour('color(srgb 1 0.5 0)')).toBe('rgb(255, 128, 0)');
    expect(plainColour('color(srgb 0.2 0.4 0.6 / 0.25)')).toBe('rgba(51, 102, 153, 0.25)');
  });
  it('keeps within bytes what a mix carries past them', () => {
    expect(plainColour('color(srgb 1.2 -0.1 0)')).toBe('rgb(255, 0, 0)');
  });
  it('leaves what programs know, and says nothing of what is not seen', () => {
    expect(plainColour('rgb(1, 2, 3)')).toBe('rgb(1, 2, 3)');
    expect(plainColour('url("#hatch-wood")')).toBe('url("#hatch-wood")');
    expect(plainColour('rgba(0, 0, 0, 0)')).toBe('none');
  });
});
