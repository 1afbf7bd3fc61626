'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { PageHeading } from '@/ui/PageHeading';
import { useState } from 'react';
import { LOAD_DEMO, useAct, useShop } from '@/data/hooks';
import { loadDemo } from '@/features/common/loadDemo';
import { WetLost } from '@/features/common/WetLost';
import { Button } from '@/ui/Button';
import { ConfirmDialog } from '@/ui/ConfirmDialog';
import { Panel } from '@/ui/Panel';
import { AtBench } from './AtBench';
import { Fonts } from './Fonts';
import { Keeping } from './Keeping';
import { Losses } from './Losses';
import { SettingsForm } from './SettingsForm';

function ShopData() {
  const act = useAct();
  const { pieces, resins } = useShop();
  const [asking, setAsking] = useState(false);
  const empty = pieces.length === 0 && resins.length === 0;
  const wipe = async () => {
    setAsking(false);
    await act('empty the shop', async (db) => {
      const { wipeShop } = await import('@/data/exchange/shopFile');
      return wipeShop(db);
    });
  };
  return (
    <Panel as="section" aria-label="Shop">
      <Heading as="h2" fontSize="lg" mb="2">
        The shop in this browser
      </Heading>
      <Box mb="3">
        {empty ? 'It is empty.' : `${pieces.length} pieces, ${resins.length} resins.`} The demo
        shop, Fernhollow Works, loads only into an empty shop and never over your data.
      </Box>
      <Flex gap="3" wrap="wrap">
        <Button disabled={!empty} onClick={() => void act(LOAD_DEMO, loadDemo)}>
          Load the demo shop
        </Button>
        <Button variant="danger" disabled={empty} onClick={() => setAsking(true)}>
          Empty the shop …
        </Button>
      </Flex>
      <ConfirmDialog
        open={asking}
        title="Empty the shop?"
        confirm="Empty it"
        onConfirm={() => void wipe()}
        onCancel={() => setAsking(false)}
      >
        All pieces, coats, resins, photos, settings and the log go from this browser. Export the
        whole shop from the Book first; only such a file brings them back.
        <WetLost />
      </ConfirmDialog>
    </Panel>
  );
}

export function SettingsScreen() {
  return (
    <Box maxW="1100px">
      <PageHeading title="Settings" mb="4" />
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 340px' }}
        gap="4"
        alignItems="start"
      >
        <Flex direction="column" gap="4">
          <Panel>
            <SettingsForm />
          </Panel>
          <Losses />
        </Flex>
        <Flex direction="column" gap="4">
          <AtBench />
          <ShopData />
          <Keeping />
          <Fonts />
        </Flex>
      </Grid>
    </Box>
  );
}
