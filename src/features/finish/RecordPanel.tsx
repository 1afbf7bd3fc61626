'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import type { Support } from '@/core/piece';
import { SUPPORT_HATCH } from '@/features/common/materials';
import type { HandOver } from './handOver';

const WIDTH = 190;
const HEIGHT = 130;
const GROUND = 20;

/** Each film in true relative thickness on its support, as on the sheet that goes with the piece. */
function BuildUp({ films, support }: Pick<HandOver, 'films'> & { readonly support: Support }) {
  const total = films.reduce((sum, f) => sum + f.thicknessM, 0);
  const scale = (HEIGHT - GROUND - 4) / Math.max(total, 1e-6);
  const tops = films.map((_, i) => films.slice(0, i + 1).reduce((sum, f) => sum + f.thicknessM, 0));
  return (
    <svg width={WIDTH} height={HEIGHT} role="img" aria-label="Build-up, cut through">
      <rect
        y={HEIGHT - GROUND}
        width={WIDTH}
        height={GROUND}
        fill={SUPPORT_HATCH[support]}
        stroke="var(--bm-colors-ink)"
      />
      {films.map((film, i) => (
        <rect
          key={`${film.name} ${i}`}
          y={HEIGHT - GROUND - (tops[i] ?? 0) * scale}
          width={WIDTH}
          height={Math.max(1, film.thicknessM * scale)}
          fill="var(--bm-colors-amber-line)"
          stroke="var(--bm-colors-amber-deep)"
        />
      ))}
    </svg>
  );
}

/** What the record says of the piece now: what goes with it when it leaves. */
export function RecordPanel({ told, support }: { told: HandOver; support: Support }) {
  return (
    <Box as="section" aria-label="Its record" mt="5">
      <Heading as="h2" fontSize="xl" mb="2">
        Its record
      </Heading>
      {told.coats.length === 0 && <Box color="ink2">No coat lies on it yet.</Box>}
      <Flex gap="5" wrap="wrap" align="flex-end">
        {told.films.length > 0 && <BuildUp films={told.films} support={support} />}
        <Box as="ol" listStyleType="none" flex="1 1 320px">
          {[...told.coats].reverse().map((line) => (
            <Box as="li" key={line} py="1" fontSize="sm" borderTopWidth="1px" borderColor="line">
              {line}
            </Box>
          ))}
        </Box>
      </Flex>
      {told.looks.length > 0 && (
        <Box as="ul" listStyleType="none" mt="3" fontSize="sm" color="ink2">
          {told.looks.map((line, i) => (
            <li key={`${line} ${i}`}>{line}</li>
          ))}
        </Box>
      )}
    </Box>
  );
}
