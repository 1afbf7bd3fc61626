import { Flex } from '@chakra-ui/react';

/** No clock runs. */
export const NothingRuns = () => (
  <Flex align="center" flex="1" px="5" color="ink2">
    Nothing wet, nothing curing.
  </Flex>
);
