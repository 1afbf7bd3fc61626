'use client';
import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { useWatch, type UseFormReturn } from 'react-hook-form';
import { EDGE_KINDS, type EdgeKind } from '@/data/records/types';
import { EDGE_STROKE } from '@/features/common/Outline';
import { Button } from '@/ui/Button';
import { SelectField } from '@/ui/SelectField';
import { fitEdges, sideCount, type SurveyDraft } from './model';

const EDGE_WORDS: Readonly<Record<EdgeKind, string>> = {
  open: 'open: resin may run over',
  dammed: 'dammed: rim, mould or tape wall',
  doming: 'doming: the edge holds a dome',
};
const FOUR = ['Bottom', 'Right', 'Top', 'Left'];

function Swatch({ kind }: { kind: EdgeKind }) {
  const { dash, width, colour } = EDGE_STROKE[kind];
  return (
    <svg width="34" height="10" aria-hidden>
      <path d="M1 5 H33" stroke={colour} strokeWidth={width} strokeDasharray={dash} />
    </svg>
  );
}

/** The kind of each edge, one select a side. */
export function EdgeKinds({ form }: { form: UseFormReturn<SurveyDraft> }) {
  const { control, setValue } = form;
  const [shape, sides, edgeKinds, outline] = useWatch({
    control,
    name: ['shape', 'sides', 'edgeKinds', 'outline'],
  });
  const count = sideCount({ shape, sides, outline });
  const kinds = fitEdges(edgeKinds, count);
  const label = (i: number) =>
    count === 1
      ? 'All round'
      : count === 4 && shape !== 'outline' && shape !== 'regularPolygon'
        ? (FOUR[i] ?? '')
        : `Edge ${i + 1}`;
  const set = (i: number, kind: EdgeKind) =>
    setValue(
      'edgeKinds',
      kinds.map((old, n) => (n === i ? kind : old)),
      { shouldDirty: true },
    );
  const setAll = (kind: EdgeKind) =>
    setValue(
      'edgeKinds',
      kinds.map(() => kind),
      { shouldDirty: true },
    );
  return (
    <Box as="fieldset" mt="4">
      <chakra.legend fontFamily="heading" fontWeight="600" fontSize="lg">
        Edges
      </chakra.legend>
      <Box fontSize="sm" color="ink2">
        One click here sets all edges; below, each one.
      </Box>
      <Flex gap="3" wrap="wrap" my="1">
        {EDGE_KINDS.map((kind) => (
          <Button
            key={kind}
            size="sm"
            variant="quiet"
            fontWeight="500"
            px="1"
            onClick={() => setAll(kind)}
            aria-label={`All edges ${kind}`}
          >
            <Swatch kind={kind} /> {EDGE_WORDS[kind]}
          </Button>
        ))}
      </Flex>
      <Grid templateColumns="repeat(auto-fill, minmax(150px, 1fr))" gap="3">
        {kinds.map((kind, i) => (
          <SelectField
            key={i}
            label={label(i)}
            value={kind}
            options={EDGE_KINDS.map((k) => [k, k])}
            onChange={(e) => set(i, e.target.value as EdgeKind)}
          />
        ))}
      </Grid>
    </Box>
  );
}
