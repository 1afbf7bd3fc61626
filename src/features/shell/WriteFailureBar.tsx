'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useWriteFailure } from '@/data/hooks';
import { saveFile } from '@/ui/saveFile';
import { Button } from '@/ui/Button';

/** Says that something was not saved, that it is still there, and what can be done about it. */
export function WriteFailureBar() {
  const { failure, dismiss } = useWriteFailure();
  if (!failure) return null;
  const keep = () => {
    const { action, atMs, reason, kept } = failure;
    saveFile(
      'bilamina-not-saved.json',
      'application/json',
      JSON.stringify({ action, atMs, reason, kept }, null, 2),
    );
  };
  return (
    <Box
      role="alert"
      position="fixed"
      left="0"
      right="0"
      bottom="0"
      zIndex="alert"
      bg="ink"
      color="card"
      px="6"
      py="4"
    >
      <Flex gap="4" align="center" wrap="wrap">
        <Box flex="1" minW="280px">
          <Box fontFamily="heading" fontSize="lg" fontWeight="600">
            Not saved: {failure.action}
          </Box>
          <Box fontSize="sm">
            {failure.stale
              ? failure.reason
              : `The browser could not write (${failure.reason}). Nothing was changed, and what you entered is still here.`}
          </Box>
        </Box>
        {!failure.stale && (
          <>
            <Button variant="amber" onClick={() => void failure.retry()}>
              Try again
            </Button>
            <Button onClick={keep}>Save a copy to a file</Button>
          </>
        )}
        <Button onClick={dismiss}>Close</Button>
      </Flex>
    </Box>
  );
}
