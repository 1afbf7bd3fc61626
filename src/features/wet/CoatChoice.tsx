import { Box, chakra, Flex } from '@chakra-ui/react';
import { leastFilm } from '@/core/coat';
import { useFormat } from '@/features/common/useFormat';
import type { CoatView } from '@/shop/coatView';
import { Figure } from '@/ui/Figure';
import { pouredOf } from './volumeOf';

interface ChoiceProps {
  readonly view: CoatView;
  readonly chosen: boolean;
  /** Open steps of preparation that hold it back. */
  readonly held: number;
  readonly onToggle?: () => void;
}

/** A coat that may be poured in the session, with what it takes. */
export function Choice({ view, chosen, held, onToggle }: ChoiceProps) {
  const { show } = useFormat();
  return (
    <chakra.label
      display="flex"
      alignItems="center"
      gap="4"
      minH="64px"
      px="4"
      bg={chosen ? 'amberWash' : 'card'}
      borderWidth={chosen ? '2px' : '1px'}
      borderColor={chosen ? 'ink' : 'line'}
      cursor={held > 0 ? 'not-allowed' : 'pointer'}
    >
      <chakra.input
        type="checkbox"
        disabled={held > 0}
        checked={chosen}
        onChange={onToggle}
        width="24px"
        height="24px"
        accentColor="ink"
      />
      <Box flex="1">
        <Box fontWeight="600" fontSize="lg">
          {view.piece.name} · {view.coat.name}
        </Box>
        <Box fontSize="sm" color="ink2">
          {show(leastFilm(view.coat), 'film').text} on{' '}
          {view.piece.count === 1 ? 'one piece' : `${view.piece.count} pieces`}
          {held > 0 && (
            <Box as="span" color="oxide" fontWeight="600">
              {' '}
              · held: {held === 1 ? 'one step' : `${held} steps`} to prepare
            </Box>
          )}
        </Box>
      </Box>
      <Box textAlign="right">
        <Figure fontSize="xl" fontWeight="600">
          {show(pouredOf(view), 'volume').text}
        </Figure>
        <Box fontSize="xs" color="ink2">
          to pour
        </Box>
      </Box>
    </chakra.label>
  );
}

/** Coats that their preparation holds back, folded away. */
export function HeldCoats({
  views,
  heldOf,
}: {
  views: readonly CoatView[];
  heldOf: (view: CoatView) => number;
}) {
  if (views.length === 0) return null;
  return (
    <Box as="details">
      <Box as="summary" cursor="pointer" minH="44px" fontWeight="600">
        {views.length === 1 ? 'One more coat is' : `${views.length} more coats are`} held by the
        preparation
      </Box>
      <Flex direction="column" gap="3">
        {views.map((view) => (
          <Choice key={view.coat.id} view={view} chosen={false} held={heldOf(view)} />
        ))}
      </Flex>
    </Box>
  );
}
