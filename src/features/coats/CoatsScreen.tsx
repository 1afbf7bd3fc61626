'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { PieceView } from '@/shop/coatView';
import { PieceFrame } from '@/features/common/PieceFrame';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { CoatDesk } from './CoatDesk';
import { CoatList } from './CoatList';
import { LayerForm } from './LayerForm';
import { PlanCoatForm } from './PlanCoatForm';
import { ReadyPlans } from './ReadyPlans';

function Desk({ view }: { view: PieceView }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [planning, setPlanning] = useState(false);
  /** A layer that is edited; `new` for one that is added. */
  const [layerId, setLayerId] = useState<string | null>(null);
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
  const layer = view.layers.find((l) => l.id === layerId);
  if (!selected)
    return (
      <Flex direction="column" gap="4" minW="0">
        {plan}
        {layerId === null ? (
          <Box>
            <Button onClick={() => setLayerId('new')}>Add a layer that is not resin</Button>
            {view.layers.length > 0 && (
              <Box mt="3" maxW="420px">
                <CoatList
                  view={view}
                  selectedId={null}
                  layerId={layerId}
                  onSelect={setChosen}
                  onLayer={setLayerId}
                />
              </Box>
            )}
          </Box>
        ) : (
          <LayerForm
            key={layerId}
            view={view}
            layer={layer ?? null}
            onDone={() => setLayerId(null)}
          />
        )}
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
          <CoatList
            view={view}
            selectedId={selected.coat.id}
            layerId={layerId}
            onSelect={(id) => {
              setChosen(id);
              setLayerId(null);
            }}
            onLayer={setLayerId}
          />
          <Flex gap="2" wrap="wrap">
            {!planning && <Button onClick={() => setPlanning(true)}>Plan another coat</Button>}
            {layerId !== 'new' && <Button onClick={() => setLayerId('new')}>Add a layer</Button>}
          </Flex>
        </Flex>
      }
    >
      {(layer || layerId === 'new') && (
        <LayerForm
          key={layerId}
          view={view}
          layer={layer ?? null}
          onDone={() => setLayerId(null)}
        />
      )}
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
