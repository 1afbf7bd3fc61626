'use client';
import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { useWatch, type UseFormReturn } from 'react-hook-form';
import { EDGE_KINDS, type EdgeKind } from '@/data/records/types';
import { EDGE_STROKE } from '@/features/common/Outline';
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
  const [shape, sides, edgeKinds] = useWatch({ control, name: ['shape', 'sides', 'edgeKinds'] });
  const count = sideCount({ shape, sides });
  const kinds = fitEdges(edgeKinds, count);
  const label = (i: number) =>
    count === 1 ? 'All round' : count === 4 ? (FOUR[i] ?? '') : `Edge ${i + 1}`;
  const set = (i: number, kind: EdgeKind) =>
    setValue(
      'edgeKinds',
      kinds.map((old, n) => (n === i ? kind : old)),
      { shouldDirty: true },
    );
  return (
    <Box as="fieldset" mt="4">
      <chakra.legend fontFamily="heading" fontWeight="600" fontSize="lg">
        Edges
      </chakra.legend>
      <Flex gap="5" wrap="wrap" fontSize="sm" color="ink2" my="2">
        {EDGE_KINDS.map((kind) => (
          <Flex key={kind} align="center" gap="2">
            <Swatch kind={kind} /> {EDGE_WORDS[kind]}
          </Flex>
        ))}
      </Flex>
      <Grid templateColumns="repeat(auto-fill, minmax(150px, 1fr))" gap="3">
        {kinds.map((kind, i) => (
          <chakra.label key={i} fontSize="sm" fontWeight="600">
            {label(i)}
            <chakra.select
              display="block"
              width="100%"
              minH="38px"
              mt="1"
              px="2"
              bg="card"
              borderWidth="1px"
              borderColor="ink3"
              value={kind}
              onChange={(e) => set(i, e.target.value as EdgeKind)}
            >
              {EDGE_KINDS.map((k) => (
                <option key={k} value={k}>
                  {k}
                </option>
              ))}
            </chakra.select>
          </chakra.label>
        ))}
      </Grid>
    </Box>
  );
}
