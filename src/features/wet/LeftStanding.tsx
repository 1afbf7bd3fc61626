import { Flex } from '@chakra-ui/react';
import { useAct } from '@/data/hooks';
import { closeSession } from '@/data/repos/session';
import { clockText } from '@/features/common/clockText';
import { Button } from '@/ui/Button';
import { forgottenSince, type WetView } from './model';

/** A session that nobody went on with is closed with what is known of it; nothing is made up. */
export function LeftStanding({ view, nowMs }: { view: WetView; nowMs: number }) {
  const act = useAct();
  const since = forgottenSince(view, nowMs);
  if (since === null) return null;
  const { id } = view.session;
  return (
    <Flex
      as="section"
      aria-label="Left standing"
      px="6"
      py="2"
      gap="4"
      align="center"
      wrap="wrap"
      bg="amberPale"
      fontSize="lg"
    >
      Nothing was done here since {clockText(since, nowMs)}. What was poured keeps its clock; what
      was not is planned again.
      <Button
        minH="64px"
        fontSize="lg"
        onClick={() =>
          void act('close the session', (db, c) => closeSession(db, c, id), { sessionId: id })
        }
      >
        Close it with what is known
      </Button>
    </Flex>
  );
}
