'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';
import { massRatioBA, mixDensity } from '@/core/resin';
import { useShop } from '@/data/hooks';
import type { Resin } from '@/records';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';

function ResinCard({ resin }: { resin: Resin }) {
  const { show } = useFormat();
  const { sheet } = resin;
  const { ratio, times } = sheet;
  const facts: [string, string][] = [
    ['ratio', `${ratio.a} : ${ratio.b} by ${ratio.by === 'mass' ? 'weight' : 'volume'}`],
    ['by weight', `100 : ${show(massRatioBA(sheet) * 100, 'number', 1).text}`],
    ['density, mixed', show(mixDensity(sheet), 'density').text],
    [
      'working time',
      `${show(times.workingS, 'duration').text} in ${show(sheet.workingMassKg, 'mass').text}`,
    ],
    [
      'recoat, no sanding',
      `${show(times.recoatOpensS, 'duration').text} to ${show(times.recoatClosesS, 'duration').text}`,
    ],
    ['one lift', `${show(sheet.thinnestM, 'film').text} to ${show(sheet.thickestM, 'film').text}`],
  ];
  return (
    <Box
      asChild
      bg="card"
      borderWidth="1px"
      borderColor="line"
      p="4"
      display="block"
      _hover={{ borderColor: 'amber' }}
    >
      <Link href={`/resins/${resin.id}`}>
        <Heading as="h2" fontSize="xl">
          {resin.name}
        </Heading>
        <Box fontSize="sm" color="ink2" mb="2" minH="2.6em">
          {resin.note}
        </Box>
        {facts.map(([label, value]) => (
          <Flex
            key={label}
            justify="space-between"
            gap="3"
            borderTopWidth="1px"
            borderColor="line"
            py="1"
          >
            <span>{label}</span>
            <Figure>{value}</Figure>
          </Flex>
        ))}
        <Box fontSize="xs" color="ink2" mt="2">
          Times at {show(sheet.referenceTemperatureK, 'temperature').text}, from its data sheet
        </Box>
      </Link>
    </Box>
  );
}

export function ResinsScreen() {
  const { resins } = useShop();
  return (
    <>
      <Flex justify="space-between" align="center" mb="4">
        <PageHeading title="Resins" />
        <Button asChild variant="ink">
          <Link href="/resins/new">New data sheet</Link>
        </Button>
      </Flex>
      {resins.length === 0 && (
        <Panel>No resin yet. Enter the data sheet of the one you use most.</Panel>
      )}
      <Grid templateColumns="repeat(auto-fill, minmax(340px, 1fr))" gap="4">
        {resins.map((resin) => (
          <ResinCard key={resin.id} resin={resin} />
        ))}
      </Grid>
    </>
  );
}
