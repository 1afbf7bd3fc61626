'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { READY_PLANS, type ReadyPlan } from '@/core/coat';
import { useAct, useShop } from '@/data/hooks';
import { planCoats } from '@/data/repos/coats';
import type { PieceView } from '@/shop/coatView';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { readyPlan } from './readyPlan';

interface Props {
  readonly view: PieceView;
  readonly onPlanned: (coatId: string) => void;
}

/** Plans for common cases: one tap plans all their coats, each to be edited after. */
export function ReadyPlans({ view, onPlanned }: Props) {
  const { resins, settings } = useShop();
  const act = useAct();
  const format = useFormat();
  const [resinId, setResinId] = useState((view.coats.at(-1)?.resin ?? resins[0])?.id ?? '');
  const resin = resins.find((r) => r.id === resinId);
  if (!resin) return null;
  const take = async (plan: ReadyPlan) => {
    const read = readyPlan(plan, view, resin, settings.reserve, format);
    if (!read.ok) return;
    const outcome = await act(
      `plan ${plan.title}`,
      (db, c) => planCoats(db, c, read.coats, read.layers),
      read.coats,
    );
    const [first] = outcome.ok ? outcome.value : [];
    if (first) onPlanned(first);
  };
  return (
    <Panel as="section" aria-label="Ready plans">
      <Flex justify="space-between" align="flex-end" gap="3" wrap="wrap" mb="3">
        <Heading as="h2" fontSize="lg">
          Or start from a ready plan
        </Heading>
        <Box width="220px">
          <SelectField
            label="Poured with"
            value={resinId}
            options={resins.map((r) => [r.id, r.name])}
            onChange={(e) => setResinId(e.target.value)}
          />
        </Box>
      </Flex>
      <Grid templateColumns="repeat(auto-fit, minmax(220px, 1fr))" gap="3">
        {READY_PLANS.map((plan) => {
          const read = readyPlan(plan, view, resin, settings.reserve, format);
          return (
            <Flex
              key={plan.id}
              direction="column"
              gap="1"
              borderWidth="1px"
              borderColor="line"
              px="3"
              py="2"
            >
              <Box fontWeight="600">{plan.title}</Box>
              <Box fontSize="sm" color="ink2" flex="1">
                {plan.why}
              </Box>
              {read.ok ? (
                <>
                  <Box fontSize="sm">{read.text}</Box>
                  <Button
                    size="sm"
                    alignSelf="flex-start"
                    aria-label={`Plan: ${plan.title}`}
                    onClick={() => void take(plan)}
                  >
                    Plan{' '}
                    {plan.coats.length === 1 ? 'this coat' : `these ${plan.coats.length} coats`}
                  </Button>
                </>
              ) : (
                <Box fontSize="sm" color="oxide">
                  Not here: {read.why}
                </Box>
              )}
            </Flex>
          );
        })}
      </Grid>
    </Panel>
  );
}
