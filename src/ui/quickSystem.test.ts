import { createSystem, defaultConfig } from '@chakra-ui/react';
import { quickSystem } from './quickSystem';

const slow = createSystem(defaultConfig);
const quick = quickSystem(slow);

describe('a system that remembers', () => {
  it.each([
    [[{ p: '2', color: 'red.500' }]],
    [[{ p: '2' }, { p: '4', _hover: { bg: 'gray.100' } }]],
    [[{ p: undefined, m: ['1', '2'] }]],
    [[{ '& > *': { mt: 0 }, width: 12 }]],
  ])('says the same styles: %j', (parts) => {
    const [first, again] = [quick.css(...parts), quick.css(...parts)];
    expect(first).toEqual(slow.css(...parts));
    expect(again).toBe(first);
  });
  it('tells apart what differs in order only: the later one wins', () => {
    const [one, other] = [{ p: '2' }, { p: '4' }];
    expect(quick.css(one, other)).toEqual(slow.css(other));
    expect(quick.css(other, one)).toEqual(slow.css(one));
  });
  it('makes a recipe once, and says the same of each of its variants', () => {
    const config = { base: { p: '2' }, variants: { size: { big: { p: '8' } } } };
    expect(quick.cva(config)).toBe(quick.cva(config));
    expect(quick.cva({ ...config })).not.toBe(quick.cva(config));
    for (const props of [{}, { size: 'big' }] as const)
      expect(quick.cva(config)(props)).toEqual(slow.cva(config)(props));
  });
  it.each(['padding', 'p', 'onClick', 'href', 'aria-label', 'color'])(
    '%s: a style or none',
    (name) => {
      const wanted = slow.isValidProperty(name);
      expect([quick.isValidProperty(name), quick.isValidProperty(name)]).toEqual([wanted, wanted]);
    },
  );
  it('forgets when it has too many, and goes on', () => {
    for (let i = 0; i < 4100; i += 1) quick.css({ width: i });
    expect(quick.css({ width: 4099 })).toEqual(slow.css({ width: 4099 }));
  });
});
