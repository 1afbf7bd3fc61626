import { Box, Flex } from '@chakra-ui/react';
import { Button } from '@/ui/Button';
import { useOffline } from './useOffline';

/** A new version never comes by itself: it says that it is here, and waits. */
export function NewVersionBar() {
  const { waits, take, taking } = useOffline();
  if (!waits) return null;
  return (
    <Flex
      role="status"
      position="fixed"
      bottom="4"
      left="50%"
      transform="translateX(-50%)"
      zIndex="toast"
      bg="ink"
      color="card"
      px="5"
      py="3"
      gap="4"
      align="center"
      maxW="calc(100vw - 32px)"
    >
      <Box>
        <strong>A new version of Bilamina is here.</strong>{' '}
        {taking
          ? 'It comes once what is open has come to rest; if it does not, close every tab of Bilamina and open it again.'
          : 'It opens when you take it; what you have noted stays.'}
      </Box>
      <Button size="sm" flexShrink={0} onClick={take}>
        Take it now
      </Button>
    </Flex>
  );
}
