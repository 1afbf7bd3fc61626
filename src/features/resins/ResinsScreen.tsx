'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';
import { useShop } from '@/data/hooks';
import type { Resin } from '@/records';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { BottleLabel } from './BottleLabel';

function ResinCard({ resin }: { resin: Resin }) {
  return (
    <Box asChild display="block" _hover={{ outline: '3px solid', outlineColor: 'amber' }}>
      <Link href={`/resins/${resin.id}`}>
        <BottleLabel resin={resin} named />
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
      <Grid templateColumns="repeat(auto-fill, minmax(min(100%, 340px), 1fr))" gap="4">
        {resins.map((resin) => (
          <ResinCard key={resin.id} resin={resin} />
        ))}
      </Grid>
    </>
  );
}
