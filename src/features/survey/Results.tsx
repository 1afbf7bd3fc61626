'use client';
import { measureArea } from '@/core/coat';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Explanation } from '@/core/explain';
import { checkShape, mapPath, sharedArea, shapePath, type Shape } from '@/core/geometry';
import type { Quantity } from '@/core/units';
import { Explained } from '@/features/common/Explained';
import { FieldReader } from '@/features/common/fieldReader';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { saveFile } from '@/ui/saveFile';
import { type AreaDraft } from './draft';
import { shapeNow } from './readShape';
import { areaExplanation, bandExplanation, edgeExplanation, recessExplanation } from './explain';
import { readEdges } from './readEdges';
import { useSurvey } from './SurveyContext';

function Fact({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box>
      <Box as="dt" fontSize="xs" color="ink2">
        {label}
      </Box>
      <Box as="dd" fontSize="xl" fontWeight="600">
        {children}
      </Box>
    </Box>
  );
}

function Opened({
  value,
  quantity,
  explanation,
}: {
  value: string;
  quantity: Quantity;
  explanation: Explanation;
}) {
  return (
    <Explained explanation={explanation} quantity={quantity}>
      <Figure>{value}</Figure>
    </Explained>
  );
}

/** What overlaps on the plan: bare parts among themselves, recesses among themselves. */
function overlaps(
  areas: readonly AreaDraft[],
  area: AreaDraft,
  shapeOf: (a: AreaDraft) => Shape | null,
) {
  const recesses = areas.flatMap((a) => {
    const shape = a.kind === 'recess' ? shapeOf(a) : null;
    return shape ? [mapPath(shapePath(shape), ([x, y]) => [x + a.at[0], y + a.at[1]])] : [];
  });
  return { bare: sharedArea(area.keepBare), recess: sharedArea(recesses) };
}

/** Area and edges of the chosen area, as they stand on the plan. */
export function Results() {
  const { draft, area, format } = useSurvey();
  const { show } = format;
  const shape = shapeNow(area, format);
  if (!shape || !checkShape(shape).ok)
    return (
      <Box minH="58px" pt="3" color="ink2">
        No area yet.
      </Box>
    );
  const edges = readEdges(area, new FieldReader<string>(format), '').map((e) => ({
    ...e,
    heightM: Number.isFinite(e.heightM) ? e.heightM : 0,
    profile:
      'sizeM' in e.profile && !Number.isFinite(e.profile.sizeM)
        ? ({ kind: 'square' } as const)
        : e.profile,
  }));
  const measure = measureArea({ shape, edges, measured: area.measured });
  const bandM2 = measure.edges.reduce((sum, e) => sum + e.bandM2, 0);
  const count = Number(draft.count);
  const shared = overlaps(draft.areas, area, (a) => shapeNow(a, format));
  const depth = new FieldReader<string>(format).quantity('depth', area.depth, 'length', {
    min: 0,
    max: 0.5,
  });
  const title = area.kind === 'face' && area.partOf === null ? 'Face' : area.name;
  return (
    <Flex gap="6" wrap="wrap" align="end" mt="3">
      <Flex as="dl" gap="6" wrap="wrap" align="end">
        <Fact label={title}>
          <Opened
            value={show(measure.areaM2, 'area').text}
            quantity="area"
            explanation={areaExplanation(shape, measure, area.measured.by)}
          />{' '}
          <Figure fontSize="sm" fontWeight="400" color="ink2">
            ± {((200 * measure.areaSigmaM2) / measure.areaM2).toFixed(1)} %
          </Figure>
        </Fact>
        <Fact label="Edge">
          <Opened
            value={show(measure.perimeterM, 'length').text}
            quantity="length"
            explanation={edgeExplanation(shape, measure)}
          />
        </Fact>
        {bandM2 > 0 && (
          <Fact label="Edge, unrolled">
            <Opened
              value={show(bandM2, 'area').text}
              quantity="area"
              explanation={bandExplanation(measure)}
            />
          </Fact>
        )}
        {area.kind === 'recess' && Number.isFinite(depth) && (
          <Fact label="Holds">
            <Opened
              value={show(measure.areaM2 * depth, 'volume').text}
              quantity="volume"
              explanation={recessExplanation(measure, depth)}
            />
          </Fact>
        )}
        {count > 1 && (
          <Fact label={`All ${count}`}>
            <Figure>{show(measure.areaM2 * count, 'area').text}</Figure>
          </Fact>
        )}
      </Flex>
      <Box flex="1" />
      <Button
        size="sm"
        onClick={() =>
          void import('@/core/exchange/writeSvg').then(({ writeSvg }) =>
            saveFile(`${draft.name || 'plan'}.svg`, 'image/svg+xml', writeSvg(draft.name, shape)),
          )
        }
      >
        Export the plan (SVG, true size)
      </Button>
      {(shared.bare > 1e-8 || shared.recess > 1e-8) && (
        <Box width="100%" fontSize="sm" color="oxide" fontWeight="600">
          ▲{' '}
          {shared.bare > 1e-8 &&
            `Bare parts overlap by ${show(shared.bare, 'area').text}: counted once. `}
          {shared.recess > 1e-8 &&
            `Recesses overlap by ${show(shared.recess, 'area').text}: move one.`}
        </Box>
      )}
    </Flex>
  );
}
