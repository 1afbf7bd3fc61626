import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Area } from '@/records';
import { Tick } from '@/ui/Tick';

interface Props {
  readonly areas: readonly Area[];
  readonly chosen: readonly string[];
  readonly onChange: (ids: string[]) => void;
}

/** Which areas a coat covers, when there is a choice. */
export function CoveredAreas({ areas, chosen, onChange }: Props) {
  // A place that stays bare is not offered, unless something lies on it already.
  const offered = areas.filter((a) => !a.bare || chosen.includes(a.id));
  if (offered.length < 2) return null;
  return (
    <Box as="fieldset" mt="3">
      <chakra.legend fontSize="sm" fontWeight="600">
        On which areas
      </chakra.legend>
      <Flex gap="4" wrap="wrap">
        {offered.map((a) => (
          <Tick
            key={a.id}
            checked={chosen.includes(a.id)}
            onTick={(checked) =>
              onChange(checked ? [...chosen, a.id] : chosen.filter((id) => id !== a.id))
            }
          >
            {a.name}
          </Tick>
        ))}
      </Flex>
      {chosen.length === 0 && (
        <Box role="alert" fontSize="sm" color="oxide" fontWeight="600">
          Choose at least one area.
        </Box>
      )}
    </Box>
  );
}
