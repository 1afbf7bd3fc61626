import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Area } from '@/records';

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
          <chakra.label key={a.id} display="flex" gap="2" alignItems="center" minH="32px">
            <chakra.input
              type="checkbox"
              width="20px"
              height="20px"
              checked={chosen.includes(a.id)}
              onChange={(e) =>
                onChange(e.target.checked ? [...chosen, a.id] : chosen.filter((id) => id !== a.id))
              }
            />
            {a.name}
            {a.bare ? ' (stays bare)' : ''}
          </chakra.label>
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
