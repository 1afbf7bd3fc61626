import { Box, Flex } from '@chakra-ui/react';
import { Button } from '@/ui/Button';
import { clockText } from './clockText';

/** Says that what was typed before is back, and how to be rid of it. */
export function DraftBar({
  keptMs,
  nowMs,
  onPutBack,
}: {
  keptMs: number;
  nowMs: number;
  onPutBack: () => void;
}) {
  return (
    <Flex
      role="status"
      align="center"
      gap="3"
      wrap="wrap"
      mb="3"
      px="3"
      py="2"
      bg="amberWash"
      borderLeftWidth="4px"
      borderColor="amber"
    >
      <Box>Not stored yet: what you typed here {clockText(keptMs, nowMs)} is back.</Box>
      <Button size="sm" onClick={onPutBack}>
        Put back what is stored
      </Button>
    </Flex>
  );
}
