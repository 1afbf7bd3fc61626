import { Box } from '@chakra-ui/react';
import { FINGER_LINES } from '@/ui/touch';

const FONTS = [
  ['Barlow', 'barlow'],
  ['Barlow Semi Condensed', 'barlow-semi-condensed'],
  ['Spline Sans Mono', 'spline-sans-mono'],
] as const;

/** The fonts that ship with the program, each with its licence. */
export function Fonts() {
  return (
    <Box fontSize="sm" color="ink2" css={FINGER_LINES}>
      Fonts, under the SIL Open Font License:{' '}
      {FONTS.map(([name, file], i) => (
        <span key={file}>
          {i > 0 && ', '}
          <a
            href={`/licences/${file}.txt`}
            style={{ textDecoration: 'underline', whiteSpace: 'nowrap' }}
          >
            {name}
          </a>
        </span>
      ))}
      .
    </Box>
  );
}
