'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useNow, useShop } from '@/data/hooks';
import { PieceFrame } from '@/features/common/PieceFrame';
import { useFormat } from '@/features/common/useFormat';
import type { PieceView } from '@/shop/coatView';
import { askedAtFinish, careOf, leavingOf } from '@/shop/finish';
import { prepOf } from '@/shop/prepView';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';
import { Panel } from '@/ui/Panel';
import { Bill } from './Bill';
import { Leaving } from './Leaving';
import { LeftToDo } from './LeftToDo';
import { RecordPanel } from './RecordPanel';
import { usePapers } from './usePapers';
import { careText, FINISH_WORDS } from './words';

function Finish({ view }: { view: PieceView }) {
  const shop = useShop();
  const now = useNow();
  const format = useFormat();
  const { piece } = view;
  const left = leavingOf(shop, view, now);
  const tasks = prepOf(shop, piece, now).state.tasks.filter((t) => t.task.coatId === null);
  const titles = new Set(tasks.map((t) => t.task.title));
  const asked = askedAtFinish(shop, view).filter(
    ({ step }) => !titles.has(FINISH_WORDS[step].title),
  );
  const care = careOf(view);
  const papers = usePapers(view, care);
  const closed = piece.closedMs !== null;
  const open = tasks.filter((t) => t.state !== 'done' && t.state !== 'waived').length;
  return (
    <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 400px' }} gap="4" alignItems="start">
      <Panel as="section" aria-label="What is left">
        {!closed && <LeftToDo {...{ view, left, tasks, asked }} />}
        <RecordPanel told={papers.told} support={piece.support} />
      </Panel>
      <Flex direction="column" gap="4">
        <Leaving {...{ view, left, open: open + asked.length }} />
        <Panel as="section" aria-label="Care">
          <Heading as="h2" fontSize="xl" mb="2">
            Care
          </Heading>
          {care ? (
            <Box as="ul" ps="5" listStyleType="disc">
              {care.map((line) => (
                <li key={line.is}>{careText(line, format)}</li>
              ))}
            </Box>
          ) : (
            <Box color="ink2">Dates come with the first coat.</Box>
          )}
          <Flex gap="2" mt="3" wrap="wrap">
            <Button disabled={!care} onClick={() => void papers.handOverSheet()}>
              Hand-over sheet (PDF)
            </Button>
            <Button onClick={() => void papers.label()}>Label with code (PDF)</Button>
          </Flex>
          {papers.trouble && (
            <Box role="alert" color="oxide" fontWeight="600" mt="1">
              {papers.trouble}
            </Box>
          )}
        </Panel>
        <Bill view={view} />
        <Caution title="Before it goes.">
          Heat and food only as far as the resin’s maker declares it, once fully cured; local rules
          and the safety data sheet go first.
        </Caution>
      </Flex>
    </Grid>
  );
}

export function FinishScreen({ pieceId }: { pieceId: string }) {
  return (
    <PieceFrame pieceId={pieceId} stage="finish">
      {(view) => <Finish view={view} />}
    </PieceFrame>
  );
}
