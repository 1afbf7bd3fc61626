'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { splitMix, type ResinSheet } from '@/core/resin';
import { densityDoubtWords } from '@/features/common/densityDoubt';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';

/** Why the volume ratio is not the weight ratio, with this resin's numbers. */
export function RatioTruth({ sheet }: { sheet: ResinSheet }) {
  const { show } = useFormat();
  const split = splitMix(1e-4, sheet);
  if (!split.ok) return null;
  const { massBPer100A, excessIfWeighedAsVolume: excess } = split.value;
  const doubt = densityDoubtWords(sheet);
  const share = sheet.ratio.b / sheet.ratio.a;
  const bar = (label: string, b: number, words: string) => (
    <Box>
      <Flex height="26px" mt="2" aria-hidden>
        <Box flex={100} bg="amberPale" px="2">
          A 100
        </Box>
        <Box flex={Math.max(8, b)} bg="verdigrisPale" px="2" whiteSpace="nowrap">
          B <Figure>{show(b, 'number', 1).text}</Figure>
        </Box>
      </Flex>
      <Box fontSize="sm">
        <strong>{label}</strong> {words}
      </Box>
    </Box>
  );
  return (
    <Panel>
      <Heading as="h2" fontSize="lg">
        On the scale
      </Heading>
      {bar('Right by weight:', massBPer100A, `100 : ${show(massBPer100A, 'number', 1).text}`)}
      {sheet.ratio.by === 'volume' && Math.abs(excess) > 0.001 && (
        <>
          {bar('Not:', share * 100, `${sheet.ratio.a} : ${sheet.ratio.b} by weight`)}
          <Box mt="2" fontSize="sm" color="oxide" fontWeight="600">
            ▲ Weighing {sheet.ratio.a} : {sheet.ratio.b} puts in{' '}
            {show(Math.abs(excess), 'share').text} too {excess > 0 ? 'much' : 'little'} B, because B
            is {excess > 0 ? 'lighter' : 'heavier'}.
          </Box>
        </>
      )}
      {doubt && (
        <Box mt="2" fontSize="sm" color="oxide" fontWeight="600">
          ! {doubt}
        </Box>
      )}
    </Panel>
  );
}
