import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { fromSI } from '@/core/units';
import { useShop } from '@/data/hooks';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { KeyName } from './KeyName';
import { useKey } from './useKey';

/** Steps of the reading keys, in digits of the scale. */
const NUDGES = [-100, -10, -1, 1, 10, 100] as const;

interface Props {
  /** What the scale was said to show; null while nobody has read it. */
  readonly kg: number | null;
  /** What it should show. */
  readonly wantedKg: number;
  readonly onChange: (kg: number) => void;
  /** Another large key in the row of the reading. */
  readonly children?: ReactNode;
}

/** What the scale shows, told with large keys: nothing is typed while resin is wet. */
export function ReadingKeys({ kg, wantedKg, onChange, children }: Props) {
  const { scale } = useFormat();
  useKey('r', () => onChange(wantedKg));
  const { scaleDigitKg, scaleUnit } = useShop().settings;
  const label = (n: number) =>
    `${n > 0 ? '+' : '−'}${Number(fromSI(Math.abs(n) * scaleDigitKg, scaleUnit).toFixed(3))}`;
  const read = kg !== null;
  return (
    <Box>
      <Flex gap="3" align="center" wrap="wrap" mb="2">
        <Button
          minH="64px"
          fontSize="lg"
          variant={read ? 'outline' : 'amber'}
          aria-keyshortcuts="R"
          onClick={() => onChange(wantedKg)}
        >
          The scale shows {scale(wantedKg).text}
          <KeyName>R</KeyName>
        </Button>
        {children}
        <Box role="status" fontSize="lg" fontWeight="600" color={read ? 'verdigris' : 'oxide'}>
          {read ? (
            <>
              ✓ read: <Figure>{scale(kg).text}</Figure>
            </>
          ) : (
            '○ not read yet'
          )}
        </Box>
      </Flex>
      {!read && (
        <Box color="ink2" fontSize="sm" mb="1">
          It shows something else? Step to it:
        </Box>
      )}
      <Flex gap="2" wrap="wrap">
        {NUDGES.map((n) => (
          <Button
            key={n}
            minH="64px"
            minW="78px"
            fontSize="lg"
            fontFamily="mono"
            onClick={() => onChange(Math.max(0, (kg ?? wantedKg) + n * scaleDigitKg))}
          >
            {label(n)}
          </Button>
        ))}
      </Flex>
    </Box>
  );
}
