'use client';
import { useState } from 'react';
import { Button } from '@/ui/Button';
import { LiveWeighStep } from './LiveWeighStep';
import type { WetView } from './model';
import { useScale } from './useScale';
import { ToldWeighStep } from './WeighStep';

/** Weighing on the scale that is followed; by hand where there is none, where it was chosen, or by volume. */
export function Weigh({ view, onLeave }: { view: WetView; onLeave: () => void }) {
  const scale = useScale();
  const [byHand, setByHand] = useState(false);
  const followed = view.batch.measure === 'weight' ? scale : null;
  if (followed && !byHand)
    return (
      <LiveWeighStep
        view={view}
        scale={followed}
        onLeave={onLeave}
        onByHand={() => setByHand(true)}
      />
    );
  return (
    <ToldWeighStep view={view} onLeave={onLeave}>
      {followed && (
        <Button mt="2" minH="64px" variant="quiet" onClick={() => setByHand(false)}>
          Back to the {followed.name}
        </Button>
      )}
    </ToldWeighStep>
  );
}
