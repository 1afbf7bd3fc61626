import { GLOSSARY, searchTerms, termOf, termsIn } from '@/features/common/glossary';
import { STATE_TERM } from '@/features/common/stateWords';

describe('help', () => {
  it('words stand once, by the alphabet, and a pointer leads to a word that is there', () => {
    const words = GLOSSARY.map((t) => t.word.toLowerCase());
    expect(new Set(words).size).toBe(words.length);
    for (const { means } of GLOSSARY) {
      const [, to] = /^See ([\w ]+)\.$/.exec(means) ?? [];
      if (to) expect(words.some((w) => w.split(', ').includes(to))).toBe(true);
    }
  });
  it('a search finds by the word and by its meaning, all words of it', () => {
    expect(searchTerms('window').map((t) => t.word)).toContain('recoat window');
    expect(searchTerms('nail leathery').map((t) => t.word)).toEqual(['leathery']);
    expect(searchTerms('')).toHaveLength(GLOSSARY.length);
    expect(searchTerms('zeppelin')).toEqual([]);
  });
  it('words in a title are told, and a mark never stands without a meaning', () => {
    expect(termsIn('Dome inside its rim').map((t) => t.word)).toEqual(['dome']);
    expect(termsIn('What is left of a wave')).toEqual([]);
    // A part of a word is another word.
    expect(termsIn('Sealing').map((t) => t.word)).not.toContain('seal');
    for (const word of Object.values(STATE_TERM)) expect(termOf(word).means).not.toBe('');
    expect(() => termOf('zeppelin')).toThrow(RangeError);
  });
});
