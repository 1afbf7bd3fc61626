'use client';
import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { PieceView } from '@/shop/coatView';
import { PieceFrame } from '@/features/common/PieceFrame';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { CoatDesk } from './CoatDesk';
import { CoatList } from './CoatList';
import { PlanCoatForm } from './PlanCoatForm';
import { ReadyPlans } from './ReadyPlans';

function Desk({ view }: { view: PieceView }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [planning, setPlanning] = useState(false);
  const selected =
    view.coats.find((c) => c.coat.id === chosen) ?? view.upcoming ?? view.coats.at(-1) ?? null;
  if (view.areas.length === 0) return <Panel>Survey the piece first.</Panel>;
  /** What was planned stands above: its section and its volume are what one wants to see next. */
  const planned = (id: string) => {
    setChosen(id);
    setPlanning(false);
    window.scrollTo({ top: 0 });
  };
  const plan = (
    <PlanCoatForm
      view={view}
      onPlanned={planned}
      onCancel={selected ? () => setPlanning(false) : null}
    />
  );
  if (!selected)
    return (
      <Flex direction="column" gap="4" minW="0">
        {plan}
        <ReadyPlans view={view} onPlanned={planned} />
      </Flex>
    );
  return (
    <CoatDesk
      key={selected.coat.id}
      view={view}
      selected={selected}
      onSelect={setChosen}
      list={
        <Flex direction="column" gap="3">
          <CoatList coats={view.coats} selectedId={selected.coat.id} onSelect={setChosen} />
          {!planning && (
            <Button alignSelf="flex-start" onClick={() => setPlanning(true)}>
              Plan another coat
            </Button>
          )}
        </Flex>
      }
    >
      {planning && (
        <>
          {plan}
          <ReadyPlans view={view} onPlanned={planned} />
        </>
      )}
    </CoatDesk>
  );
}

export function CoatsScreen({ pieceId }: { pieceId: string }) {
  return (
    <PieceFrame pieceId={pieceId} stage="coats">
      {(view) => <Desk view={view} />}
    </PieceFrame>
  );
}
