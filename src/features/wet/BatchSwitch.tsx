import { Flex } from '@chakra-ui/react';
import { createContext, useContext } from 'react';
import { minutesText } from '@/features/common/clockText';
import type { BatchAt } from '@/shop/instant';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { wetSteps, type WetView } from './model';

/** Chooses the batch that is looked at. */
export const BatchChoice = createContext<(batchId: string) => void>(() => undefined);

/** Where a batch stands, and while its resin is mixed how long it can still be worked. */
function stands({ batch, step, done, workingEndsMs }: BatchAt, nowMs: number): string {
  if (step === 'done') return done.leftMs !== null || done.discarded ? 'not poured' : 'done';
  const at = step === 'stirring' ? 'stir' : step;
  const word = wetSteps(batch).find((s) => s.step === at)?.word ?? step;
  const live = workingEndsMs !== null && step !== 'cover';
  if (!live) return word;
  const left = workingEndsMs - nowMs;
  return `${word} · ${left < 0 ? 'over by ' : ''}${minutesText(Math.abs(left))}`;
}

/** The batches of a session: one tap to another one; the one that presses most comes up by itself. */
export function BatchSwitch({ view, nowMs }: { view: WetView; nowMs: number }) {
  const choose = useContext(BatchChoice);
  if (view.batches.length < 2) return null;
  return (
    <Flex as="nav" aria-label="Batches of this session" gap="2" px="6" py="2" wrap="wrap">
      {view.batches.map((batch, i) => {
        const here = batch.batch.id === view.batch.id;
        return (
          <Button
            key={batch.batch.id}
            minH="64px"
            fontSize="lg"
            variant={here ? 'ink' : 'outline'}
            aria-current={here ? 'true' : undefined}
            disabled={batch.step === 'done'}
            onClick={() => choose(batch.batch.id)}
          >
            {batch.step === 'done' ? '✓ ' : here ? '▸ ' : ''}Batch {i + 1}
            <Figure fontSize="md">{stands(batch, nowMs)}</Figure>
          </Button>
        );
      })}
    </Flex>
  );
}
