'use client';
import { Box, Flex } from '@chakra-ui/react';
import { measureShape, pathArea, shapeBox, type Shape, type ShapeMeasure } from '@/core/geometry';
import type { Explanation, ExplainInput } from '@/core/explain';
import type { Survey } from '@/data/repos/bench';
import { Explained } from '@/features/common/Explained';
import { Outline } from '@/features/common/Outline';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { saveFile } from '@/ui/saveFile';

function dimensions(shape: Shape): ExplainInput[] {
  const names: Readonly<Record<string, string>> = {
    widthM: 'width, w',
    heightM: 'height, h',
    radiusM: 'corner radius, r',
    diameterM: 'diameter, d',
    sizeM: `size across ${shape.kind === 'regularPolygon' ? shape.across : ''}, s`,
  };
  if (shape.kind === 'outline')
    return [
      {
        label: 'stretches of the outline',
        value: shape.outer.segments.length,
        quantity: 'number',
        source: 'measured',
      },
      {
        label: 'outline without bare parts',
        value: Math.abs(pathArea(shape.outer)),
        quantity: 'area',
        source: 'computed',
      },
    ];
  return Object.entries(shape).flatMap(([key, value]): ExplainInput[] => {
    if (key === 'sides')
      return [{ label: 'sides, n', value: Number(value), quantity: 'number', source: 'measured' }];
    const label = names[key];
    return label ? [{ label, value: Number(value), quantity: 'length', source: 'measured' }] : [];
  });
}

function areaExplanation(shape: Shape, measure: ShapeMeasure): Explanation {
  return {
    title: 'Area of one face',
    formula: measure.formula,
    inputs: dimensions(shape),
    source: 'Closed form of the shape; each length read to ±0.5 mm (from memory).',
    sigma: measure.areaSigmaM2,
  };
}

function edgeExplanation(shape: Shape, measure: ShapeMeasure): Explanation {
  return {
    title: 'Length of the edge',
    formula: 'sum of the sides',
    inputs: [
      ...dimensions(shape),
      ...measure.sideLengthsM.slice(0, 4).map((length, i): ExplainInput => ({
        label: `side ${i + 1}`,
        value: length,
        quantity: 'length',
        source: 'computed',
      })),
    ],
    source: 'Closed form; ellipse by the arithmetic-geometric mean (Abramowitz & Stegun 17.6).',
  };
}

/** The outline with its edges by kind, its area and its edge, as they are typed. */
export function SurveyPreview({ survey }: { survey: Survey | null }) {
  const { show } = useFormat();
  if (!survey)
    return (
      <Flex
        align="center"
        justify="center"
        minH="240px"
        color="ink2"
        bg="paper"
        borderWidth="1px"
        borderColor="line"
      >
        The outline appears here when its size is typed.
      </Flex>
    );
  const { shape, edgeKinds, count, name } = survey;
  const measure = measureShape(shape);
  const box = shapeBox(shape);
  const area = show(measure.areaM2, 'area').text;
  return (
    <Box>
      <Flex gap="6" align="center" minH="240px" wrap="wrap">
        <Flex direction="column" align="center" gap="1">
          <Outline
            shape={shape}
            edgeKinds={edgeKinds}
            size={230}
            numbered={
              edgeKinds.length > 1 && (shape.kind === 'outline' || shape.kind === 'regularPolygon')
            }
            title={`Plan of ${survey.name || 'the piece'}`}
          />
          <Figure fontSize="sm" color="ink2">
            {show(box.widthM, 'length').text} × {show(box.heightM, 'length').text}
          </Figure>
        </Flex>
        <Box
          as="dl"
          display="grid"
          gridTemplateColumns="auto auto"
          columnGap="5"
          rowGap="1"
          alignItems="baseline"
        >
          <dt>Face</dt>
          <Box as="dd" fontSize="2xl" fontWeight="600">
            <Explained explanation={areaExplanation(shape, measure)} quantity="area">
              <Figure>{area}</Figure>
            </Explained>
          </Box>
          <dt>Edge</dt>
          <Box as="dd" fontSize="xl">
            <Explained explanation={edgeExplanation(shape, measure)} quantity="length">
              <Figure>{show(measure.perimeterM, 'length').text}</Figure>
            </Explained>
          </Box>
          {count > 1 && (
            <>
              <dt>All {count}</dt>
              <Box as="dd" fontSize="xl">
                <Figure>{show(measure.areaM2 * count, 'area').text}</Figure>
              </Box>
            </>
          )}
        </Box>
      </Flex>
      <Button
        size="sm"
        onClick={() =>
          void import('@/core/exchange/writeSvg').then(({ writeSvg }) =>
            saveFile(`${name || 'plan'}.svg`, 'image/svg+xml', writeSvg(name, shape)),
          )
        }
      >
        Export the plan (SVG, true size)
      </Button>
    </Box>
  );
}
