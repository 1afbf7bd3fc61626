'use client';
import { Box, chakra, Heading } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { LEAST_POURS } from '@/core/coat';
import { useAct, useNow, useShop } from '@/data/hooks';
import { chooseAtBench } from '@/data/repos/bench';
import { useFormat, type Format } from '@/features/common/useFormat';
import { lossViews, type LossView } from '@/shop/losses';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';

const over = (factor: number, { show }: Format): string =>
  `${factor >= 1 ? '+' : '−'}${show(Math.abs(factor - 1), 'share').text}`;

/** What one kind of coat took against what was planned, and whether plans go by it. */
function LossRow({ view }: { view: LossView }) {
  const act = useAct();
  const now = useNow();
  const format = useFormat();
  const { losses } = useShop().settings;
  const { support, kind, learned, pours, runOffM2, accepted } = view;
  const others = losses.filter((l) => l.support !== support || l.kind !== kind);
  const accept = () =>
    learned &&
    void act('go by what was learned', (db, c) =>
      chooseAtBench(db, c, {
        losses: [...others, { support, kind, ...learned, acceptedMs: now }],
      }),
    );
  const drop = () =>
    void act('plan without it', (db, c) => chooseAtBench(db, c, { losses: others }));
  return (
    <chakra.tr borderTopWidth="1px" borderColor="line">
      <chakra.th scope="row" textAlign="left" py="2" fontWeight="600">
        {kind} on {support}
      </chakra.th>
      <td>
        {learned ? (
          <>
            <Figure fontWeight="600">{over(learned.factor, format)}</Figure>, ±{' '}
            <Figure>{format.show(learned.spread, 'share').text}</Figure> from pour to pour
          </>
        ) : (
          `too few: ${LEAST_POURS} are needed`
        )}
        {runOffM2 !== null && (
          <Box fontSize="sm" color="ink2">
            run-off <Figure>{format.show(runOffM2, 'volume').text}</Figure> a metre of open edge
          </Box>
        )}
      </td>
      <td>
        <Figure>{pours}</Figure>
      </td>
      <chakra.td textAlign="end">
        {accepted ? (
          <>
            plans go by {over(accepted.factor, format)}{' '}
            <Button size="sm" onClick={drop} aria-label={`Plan ${kind} on ${support} without it`}>
              plan without
            </Button>
          </>
        ) : (
          learned && (
            <Button
              size="sm"
              onClick={accept}
              aria-label={`Plan ${kind} on ${support} by what was learned`}
            >
              plan with it
            </Button>
          )
        )}
      </chakra.td>
    </chakra.tr>
  );
}

/** Cups weighed before and after the pour teach what coats really take; plans go by it only when it is accepted. */
export function Losses() {
  const shop = useShop();
  // What lies was poured before the page came: the clock moves none of it.
  const now = useNow();
  const [seenMs] = useState(now);
  const views = useMemo(() => lossViews(shop, seenMs), [shop, seenMs]);
  return (
    <Panel as="section" aria-label="Used against planned">
      <Heading as="h2" fontSize="lg" mb="2">
        Used against planned
      </Heading>
      {views.length === 0 ? (
        <Box color="ink2">
          Weigh the cup before and after a pour: from {LEAST_POURS} pours of a kind on, this says
          what your coats really take.
        </Box>
      ) : (
        <chakra.table width="100%" css={{ '& th, & td': { paddingInlineEnd: '12px' } }}>
          <chakra.caption srOnly>What coats took against what was planned</chakra.caption>
          <thead>
            <chakra.tr textAlign="left" fontSize="sm" color="ink2">
              {['Coat', 'Used against planned', 'Pours'].map((head) => (
                <chakra.th key={head} fontWeight="500">
                  {head}
                </chakra.th>
              ))}
              <chakra.td />
            </chakra.tr>
          </thead>
          <tbody>
            {views.map((view) => (
              <LossRow key={`${view.support}/${view.kind}`} view={view} />
            ))}
          </tbody>
        </chakra.table>
      )}
    </Panel>
  );
}
