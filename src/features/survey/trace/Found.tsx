'use client';
import { Box } from '@chakra-ui/react';
import type { Explanation } from '@/core/explain';
import { Explained } from '@/features/common/Explained';
import { Figure } from '@/ui/Figure';
import type { TraceAnswer } from '@/workers/client';
import { useSurvey } from '../SurveyContext';
import { WARNING_WORDS } from './traceModel';

const PART_WORDS = {
  marks: 'corner marks',
  reference: 'size of the sheet',
  edge: 'place of the edge',
  height: 'height over the sheet',
  lens: 'bent by the lens',
} as const;

function explanationOf({ traced }: TraceAnswer): Explanation {
  const { measure } = traced;
  return {
    title: 'Area traced from the photo',
    formula: '½ ∮ (x dy − y dx) of the edge, straightened by the sheet’s four corners',
    inputs: [
      ...measure.parts.map(({ what, sigmaM2 }) => ({
        label: `± from ${PART_WORDS[what]}`,
        value: sigmaM2,
        quantity: 'area' as const,
        source:
          what === 'lens' || what === 'edge' ? ('from memory' as const) : ('computed' as const),
      })),
      { label: 'tilt of the camera', value: traced.tiltRad, quantity: 'angle', source: 'computed' },
    ],
    source: 'Homography (Heckbert 1989); error by JCGM 100:2008, parts taken as independent.',
    sigma: measure.areaSigmaM2,
    note: `${traced.refined.filter(Boolean).length} of 4 corner marks were moved onto the edges of the sheet that the picture shows.`,
  };
}

/** What was found in a photo: area and edge, how sure they are, and what is doubtful. */
export function Found({ answer }: { answer: TraceAnswer }) {
  const { format } = useSurvey();
  const { measure, warnings, cuts } = answer.traced;
  return (
    <Box bg="paper" p="3" role="status">
      <Box fontSize="2xl" fontWeight="600">
        <Explained explanation={explanationOf(answer)} quantity="area">
          <Figure>{format.show(measure.areaM2, 'area').text}</Figure>
        </Explained>{' '}
        <Figure fontSize="md" fontWeight="400">
          ± {((200 * measure.areaSigmaM2) / measure.areaM2).toFixed(1)} %
        </Figure>
      </Box>
      <Box fontSize="sm">
        edge <Figure>{format.show(measure.perimeterM, 'length').text}</Figure> ±{' '}
        <Figure>{format.show(2 * measure.perimeterSigmaM, 'length').text}</Figure> (19 of 20 times)
      </Box>
      {cuts.length > 0 && (
        <Box fontSize="sm">
          {cuts.length} {cuts.length === 1 ? 'boundary' : 'boundaries'} inside it
        </Box>
      )}
      {warnings.map((w) => (
        <Box key={w} fontSize="sm" color="oxide" fontWeight="600">
          ▲ {WARNING_WORDS[w]}
        </Box>
      ))}
    </Box>
  );
}
