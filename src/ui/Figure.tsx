import { chakra, type HTMLChakraProps } from '@chakra-ui/react';

/** A measured number: tabular numerals, unit beside it. */
export function Figure(props: HTMLChakraProps<'span'>) {
  return (
    <chakra.span
      fontFamily="mono"
      fontVariantNumeric="tabular-nums"
      whiteSpace="nowrap"
      {...props}
    />
  );
}
