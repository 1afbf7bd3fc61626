'use client';
import { chakra, defineRecipe } from '@chakra-ui/react';
import { FINGER, focusRing, TOUCH } from './touch';

const recipe = defineRecipe({
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '2',
    fontFamily: 'heading',
    fontWeight: '600',
    lineHeight: '1.15',
    cursor: 'pointer',
    borderWidth: '1px',
    borderColor: 'transparent',
    userSelect: 'none',
    textAlign: 'center',
    transitionProperty: 'background, color',
    transitionDuration: 'fast',
    _focusVisible: focusRing,
    _disabled: { opacity: 0.55, cursor: 'not-allowed' },
  },
  variants: {
    variant: {
      ink: { bg: 'ink', color: 'card', _hover: { bg: 'slate' } },
      amber: { bg: 'amberSoft', color: 'ink', _hover: { bg: 'amberLine' } },
      outline: { bg: 'card', color: 'ink', borderColor: 'ink3', _hover: { bg: 'amberWash' } },
      quiet: { bg: 'transparent', color: 'ink', _hover: { bg: 'amberWash' } },
      danger: { bg: 'card', color: 'oxide', borderColor: 'oxide', _hover: { bg: 'oxideWash' } },
    },
    size: {
      sm: { minH: '30px', px: '2.5', fontSize: 'sm', ...FINGER },
      md: { minH: TOUCH.desk, px: '4', fontSize: 'md', ...FINGER },
      bench: { minH: TOUCH.bench, px: '6', fontSize: '2xl' },
    },
  },
  defaultVariants: { variant: 'outline', size: 'md' },
});

/** A button, or with `asChild` a link that looks like one. */
export const Button = chakra('button', recipe, {
  // On paper nothing can be pressed: `data-act` is not printed.
  defaultProps: { type: 'button', 'data-act': '' } as { type: 'button' },
});
