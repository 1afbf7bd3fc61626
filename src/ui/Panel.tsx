import { Box, type BoxProps } from '@chakra-ui/react';

/** A card on the paper ground. */
export function Panel(props: BoxProps) {
  return <Box bg="card" borderWidth="1px" borderColor="line" p="4" {...props} />;
}
