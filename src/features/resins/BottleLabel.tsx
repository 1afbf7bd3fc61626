import { Box, Flex, Heading } from '@chakra-ui/react';
import { massRatioBA, mixDensity } from '@/core/resin';
import type { Resin } from '@/records';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { BottlePair } from './BottlePair';

interface Props {
  readonly resin: Resin;
  /** Heading of the label: on a page of its own the page tells the name. */
  readonly named: boolean;
}

/** A resin as the label on its bottles: what is taken of each, and the few numbers that one looks for. */
export function BottleLabel({ resin, named }: Props) {
  const { show } = useFormat();
  const { sheet } = resin;
  const { ratio, times } = sheet;
  const span = (from: number, to: number, as: 'duration' | 'film') =>
    `${show(from, as).text} to ${show(to, as).text}`;
  const facts: [string, string][] = [
    ['on the scale', `100 : ${show(massRatioBA(sheet) * 100, 'number', 1).text}`],
    ['density, mixed', show(mixDensity(sheet), 'density').text],
    [
      'working time',
      `${show(times.workingS, 'duration').text} in ${show(sheet.workingMassKg, 'mass').text}`,
    ],
    ['recoat, no sanding', span(times.recoatOpensS, times.recoatClosesS, 'duration')],
    ['one lift', span(sheet.thinnestM, sheet.thickestM, 'film')],
  ];
  return (
    <Box borderWidth="1.5px" borderColor="ink" bg="card" height="100%">
      <Flex
        gap="4"
        p="4"
        align="flex-end"
        bg="amberWash"
        borderBottomWidth="1.5px"
        borderColor="ink"
      >
        <BottlePair sheet={sheet} />
        <Box minW="0" pb="1">
          {named && (
            <Heading as="h2" fontSize="xl">
              {resin.name}
            </Heading>
          )}
          <Figure fontSize="3xl" fontWeight="600" lineHeight="1.1">
            {ratio.a} : {ratio.b}
          </Figure>
          <Box fontWeight="600">by {ratio.by === 'mass' ? 'weight' : 'volume'}</Box>
        </Box>
      </Flex>
      <Box px="4" py="2">
        {facts.map(([label, value]) => (
          <Flex
            key={label}
            justify="space-between"
            wrap="wrap"
            columnGap="3"
            borderTopWidth="1px"
            borderColor="line"
            _first={{ borderTopWidth: '0' }}
            py="1"
          >
            <span>{label}</span>
            <Figure textAlign="end" minW="0">
              {value}
            </Figure>
          </Flex>
        ))}
        <Box fontSize="xs" color="ink2" mt="1">
          Times at {show(sheet.referenceTemperatureK, 'temperature').text}, from its data sheet
        </Box>
        {resin.note !== '' && (
          <Box fontSize="sm" color="ink2" mt="1">
            {resin.note}
          </Box>
        )}
      </Box>
    </Box>
  );
}
