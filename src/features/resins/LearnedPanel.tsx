'use client';
import { Box, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { forgetLearned } from '@/data/repos/bench';
import type { Resin } from '@/records';
import { learnedPace } from '@/shop/learned';
import { Button } from '@/ui/Button';
import { ConfirmDialog } from '@/ui/ConfirmDialog';
import { Panel } from '@/ui/Panel';

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** What the touches of this shop taught of a resin, in one sentence. */
export function learnedWords({
  factor,
  sigma,
  count,
  spread,
}: NonNullable<ReturnType<typeof learnedPace>>) {
  const off = Math.abs(factor - 1);
  const how =
    off < 0.015
      ? 'as fast as its sheet'
      : `${percent(off)} ${factor > 1 ? 'faster' : 'slower'} than its sheet`;
  const batches =
    count === 1 ? 'One batch that was touched tells' : `${count} batches that were touched tell`;
  const apart = spread === null ? '' : `, and lie ${percent(spread)} apart`;
  return `${batches} that it cures ${how}${apart}. The next batch is taken to be so, ± ${percent(sigma)}.`;
}

/** What was learned of a resin stands beside its sheet, and can be put aside. */
export function LearnedPanel({ resin }: { resin: Resin }) {
  const shop = useShop();
  const act = useAct();
  const [asking, setAsking] = useState(false);
  const learned = learnedPace(shop, resin);
  return (
    <Panel as="section" aria-label="Learned in this shop">
      <Heading as="h2" fontSize="lg" mb="2">
        Learned in this shop
      </Heading>
      {learned ? (
        <>
          <Box mb="2">{learnedWords(learned)}</Box>
          <Box fontSize="sm" color="ink2" mb="3">
            The sheet stands as it is; coats that are poured already keep their clocks. Warm load
            never comes earlier than by the sheet.
          </Box>
          <Button onClick={() => setAsking(true)}>Put it aside …</Button>
          <ConfirmDialog
            open={asking}
            title={`Put aside what was learned of ${resin.name}?`}
            confirm="Put it aside"
            onConfirm={() => {
              setAsking(false);
              void act('put aside what was learned', (db, c) => forgetLearned(db, c, resin.id));
            }}
            onCancel={() => setAsking(false)}
          >
            For another lot, or when the maker changed it. Touches stay with their coats; only coats
            poured from now on teach again.
          </ConfirmDialog>
        </>
      ) : (
        <Box color="ink2">
          Nothing yet. Touch a coat of it while it cures, on its Cure page: each batch teaches the
          next.
        </Box>
      )}
    </Panel>
  );
}
