'use client';
import { Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import type { PieceView } from '@/shop/coatView';
import { PieceFrame } from '@/features/common/PieceFrame';
import { SectionDrawing } from './section';
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
  const area = view.areas[0];
  if (!area) return <Panel>Survey the piece first.</Panel>;
  const plan = (
    <PlanCoatForm
      view={view}
      onPlanned={(id) => {
        setChosen(id);
        setPlanning(false);
      }}
      onCancel={selected ? () => setPlanning(false) : null}
    />
  );
  if (!selected)
    return (
      <Grid gap="4">
        <Panel>
          <SectionDrawing area={area} support={view.piece.support} laminae={[]} />
        </Panel>
        {plan}
        <ReadyPlans view={view} onPlanned={setChosen} />
      </Grid>
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
          <ReadyPlans
            view={view}
            onPlanned={(id) => {
              setChosen(id);
              setPlanning(false);
            }}
          />
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
