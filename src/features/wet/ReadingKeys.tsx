import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { KeyName } from './KeyName';
import type { Meter } from './meter';
import { useKey } from './useKey';

interface Props {
  readonly meter: Meter;
  /** What the scale was said to show; null while nobody has read it. */
  readonly kg: number | null;
  /** What it should show. */
  readonly wantedKg: number;
  readonly onChange: (kg: number) => void;
  /** Another large key in the row of the reading. */
  readonly children?: ReactNode;
}

/** What the scale shows, told with large keys: nothing is typed while resin is wet. */
export function ReadingKeys({ meter, kg, wantedKg, onChange, children }: Props) {
  useKey('r', () => onChange(wantedKg));
  const read = kg !== null;
  return (
    <Box>
      <Flex gap="2" align="center" wrap="wrap" mb="2">
        <Button
          minH="64px"
          px="3"
          fontSize="lg"
          variant={read ? 'outline' : 'amber'}
          aria-keyshortcuts="R"
          onClick={() => onChange(wantedKg)}
        >
          {meter.says} {meter.show(wantedKg).text}
          <KeyName>R</KeyName>
        </Button>
        {children}
        <Box role="status" fontSize="lg" fontWeight="600" color={read ? 'verdigris' : 'oxide'}>
          {read ? (
            <>
              ✓ {meter.told}: <Figure>{meter.show(kg).text}</Figure>
            </>
          ) : (
            `○ ${meter.untold}`
          )}
        </Box>
      </Flex>
      {!read && (
        <Box color="ink2" fontSize="sm" mb="1">
          It shows something else? Step to it:
        </Box>
      )}
      <Flex gap="2" wrap="wrap">
        {meter.nudges.map((nudge) => (
          <Button
            key={nudge.label}
            minH="64px"
            minW="78px"
            fontSize="lg"
            fontFamily="mono"
            onClick={() => onChange(Math.max(0, (kg ?? wantedKg) + nudge.kg))}
          >
            {nudge.label}
          </Button>
        ))}
      </Flex>
    </Box>
  );
}
