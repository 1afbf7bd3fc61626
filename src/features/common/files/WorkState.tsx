import { Box, Flex } from '@chakra-ui/react';
import { Button } from '@/ui/Button';
import type { FileWork } from './useFileWork';

/** The key that was pressed is gone: what came of it has the focus instead of the whole page. */
const keepFocus = (told: HTMLElement | null) => {
  if (document.activeElement === document.body) told?.focus();
};

/** How far long work is, with its stop; or what went wrong. */
export function WorkState({ busy, trouble, stopped, stop }: FileWork) {
  if (!busy)
    return (
      <>
        {trouble && (
          <Box role="alert" mt="2" borderLeftWidth="5px" borderColor="oxide" ps="3">
            {trouble}
          </Box>
        )}
        {stopped && (
          <Box ref={keepFocus} tabIndex={-1} role="status" mt="2" color="ink2">
            {stopped}
          </Box>
        )}
      </>
    );
  const percent = Math.round(100 * busy.share);
  return (
    <Flex align="center" gap="3" mt="2" wrap="wrap">
      <Box role="status" fontWeight="600">
        {busy.what} …
      </Box>
      <Box
        role="progressbar"
        aria-label={busy.what}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
        width="120px"
        height="10px"
        borderWidth="1px"
        borderColor="ink3"
      >
        <Box height="100%" bg="amber" width={`${percent}%`} />
      </Box>
      {/* What is being stored can no longer be taken back. */}
      {busy.share < 1 && (
        <Button size="sm" onClick={stop}>
          Stop
        </Button>
      )}
    </Flex>
  );
}
