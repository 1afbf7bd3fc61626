import { Box } from '@chakra-ui/react';
import { SvgText } from '@/ui/SvgText';

/** The name of the program, drawn as what it is about: two laminae on a board, the upper one domed and wet. */
export function NameMark() {
  return (
    <Box display={{ base: 'none', md: 'block' }} textAlign="center" pb="1">
      <svg
        width="72"
        height="52"
        viewBox="0 0 72 52"
        role="img"
        aria-label="Bilamina"
        style={{ margin: '0 auto' }}
      >
        <path
          d="M8 15 V11 C8 7.5 10 6 14 6 H58 C62 6 64 7.5 64 11 V15 Z"
          fill="var(--bm-colors-amber)"
          stroke="var(--bm-colors-amber-deep)"
        />
        <path
          d="M8 15 H64 V20 H8 Z"
          fill="var(--bm-colors-amber-pale)"
          stroke="var(--bm-colors-amber-deep)"
        />
        <path
          d="M8 20 H64 V31 L57 28 L50 31 L43 28 L36 31 L29 28 L22 31 L15 28 L8 31 Z"
          fill="url(#hatch-wood)"
          stroke="var(--bm-colors-ink)"
          strokeWidth="1.2"
        />
        <SvgText x="36" y="47" size={15} weight={600} family="heading" textAnchor="middle">
          Bilamina
        </SvgText>
      </svg>
    </Box>
  );
}
