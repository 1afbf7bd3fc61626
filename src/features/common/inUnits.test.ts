import { inUnits } from './inUnits';

describe('figures in running words', () => {
  it('are told in inches, mil and °F for who works so', () => {
    const plain = (words: string) => inUnits(words, 'us').replaceAll('\u00a0', ' ');
    // By hand: 6 mm = 0.236 in, nearest sixteenth 4/16; 24 mm = 0.945 in, 15/16; 0.2 mm = 7.9 mil; 25 °C = 77 °F.
    expect(plain('stands 6 mm over')).toBe('stands 1/4 in over');
    expect(plain('painter’s tape 24 mm')).toBe('painter’s tape 15/16 in');
    expect(plain('0.2 mm of it at 25 °C')).toBe('8 mil of it at 77 °F');
    expect(plain('30 cm wide')).toBe('11 13/16 in wide');
  });
  it('stay as they are in metric units, and where they are no lengths', () => {
    expect(inUnits('stands 6 mm over', 'metric')).toBe('stands 6 mm over');
    expect(inUnits('P120, twice, 40 min', 'us')).toBe('P120, twice, 40 min');
  });
});
