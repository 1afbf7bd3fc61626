'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';
import { LOAD_DEMO, useAct } from '@/data/hooks';
import { Panel } from '@/ui/Panel';
import { loadDemo } from './loadDemo';
import { Button } from '@/ui/Button';

/** An empty shop: start with the first piece, or look round the invented one. */
export function Welcome() {
  const act = useAct();
  return (
    <Box maxW="760px" mx="auto" pt="10">
      <PageHeading title="The bench is empty" fontSize="4xl" mb="2" />
      <Box fontSize="lg" color="ink2" mb="6">
        Enter a piece with its size, and Bilamina says how much to mix, what to weigh, and when
        every window opens and shuts. All data stays in this browser and in the files you export.
      </Box>
      <Flex gap="5" wrap="wrap">
        <Panel flex="1 1 300px" p="5">
          <Heading as="h2" fontSize="xl" mb="2">
            Start with your own
          </Heading>
          <Box mb="4">
            What are you coating, how large is it, which resin: the volume stands beside your
            answers. Or enter a whole data sheet, or a piece, first.
          </Box>
          <Flex gap="3" wrap="wrap">
            <Button asChild variant="ink" minH="52px" fontSize="lg">
              <Link href="/start">To the first volume</Link>
            </Button>
            <Button asChild>
              <Link href="/resins/new">Enter a resin</Link>
            </Button>
            <Button asChild>
              <Link href="/pieces/new">New piece</Link>
            </Button>
          </Flex>
        </Panel>
        <Panel flex="1 1 300px" p="5">
          <Heading as="h2" fontSize="xl" mb="2">
            Look round first
          </Heading>
          <Box mb="4">Fernhollow Works is an invented shop with pieces in every stage.</Box>
          <Button variant="amber" onClick={() => void act(LOAD_DEMO, loadDemo)}>
            Load the demo shop
          </Button>
        </Panel>
      </Flex>
    </Box>
  );
}
