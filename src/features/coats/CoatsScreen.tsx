'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import type { PieceView } from '@/shop/coatView';
import { PieceFrame } from '@/features/common/PieceFrame';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { useAct, useDraft, type DraftStore } from '@/data/hooks';
import { restoreCoat } from '@/data/repos/coats';
import { turnPiece } from '@/data/repos/turn';
import type { Coat, Id } from '@/records';
import type { CoatDraft } from './model';
import type { LayerDraft } from './layers';
import { CoatDesk } from './CoatDesk';
import { CoatList } from './CoatList';
import { LayerForm } from './LayerForm';
import { PlanCoatForm } from './PlanCoatForm';
import { ReadyPlans } from './ReadyPlans';

/** The desk once the browser has told what was typed and not stored. */
function Desk({ view }: { view: PieceView }) {
  const coat = useDraft<CoatDraft>(`coat-${view.piece.id}`, view.piece.id);
  const layer = useDraft<LayerDraft>(`layer-${view.piece.id}`, view.piece.id);
  if (coat.kept === undefined || layer.kept === undefined) return null;
  return <KeptDesk view={view} coat={coat} layer={layer} />;
}

interface KeptProps {
  readonly view: PieceView;
  readonly coat: DraftStore<CoatDraft>;
  readonly layer: DraftStore<LayerDraft>;
}

/** What is open on the desk. What was typed and not stored stands open again, the first time. */
function useOpen({ coat, layer }: Omit<KeptProps, 'view'>) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [keptCoat, setKeptCoat] = useState(coat.kept ?? null);
  const [keptLayer, setKeptLayer] = useState(layer.kept ?? null);
  const [planning, setPlanning] = useState(keptCoat !== null);
  const [removed, setRemoved] = useState<Removed | null>(null);
  /** A layer that is edited; `new` for one that is added. */
  const [layerId, setLayerId] = useState<string | null>(keptLayer ? 'new' : null);
  return {
    ...{ chosen, setChosen, keptCoat, keptLayer, planning, setPlanning },
    ...{ removed, setRemoved, layerId, setLayerId },
    closeCoat: () => {
      setPlanning(false);
      setKeptCoat(null);
    },
    closeLayer: () => {
      setLayerId(null);
      setKeptLayer(null);
    },
  };
}

function KeptDesk({ view, coat, layer: layerStore }: KeptProps) {
  const open = useOpen({ coat, layer: layerStore });
  const { chosen, setChosen, keptCoat, keptLayer, planning, setPlanning } = open;
  const { removed, setRemoved, layerId, setLayerId, closeCoat, closeLayer } = open;
  const selected =
    view.coats.find((c) => c.coat.id === chosen) ?? view.upcoming ?? view.coats.at(-1) ?? null;
  if (view.areas.length === 0) return <Panel>Survey the piece first.</Panel>;
  /** What was planned stands above: its section and its volume are what one wants to see next. */
  const planned = (id: string) => {
    setChosen(id);
    closeCoat();
    window.scrollTo({ top: 0 });
  };
  const plan = (
    <PlanCoatForm
      view={view}
      kept={keptCoat}
      store={coat}
      onPlanned={planned}
      onCancel={selected ? closeCoat : null}
    />
  );
  const layer = view.layers.find((l) => l.id === layerId);
  const layerForm = (
    <LayerForm
      key={layerId}
      view={view}
      layer={layer ?? null}
      kept={keptLayer}
      store={layerStore}
      onDone={closeLayer}
    />
  );
  const putBack = removed && <PutBack removed={removed} onDone={() => setRemoved(null)} />;
  if (!selected)
    return (
      <Flex direction="column" gap="4" minW="0">
        {putBack}
        {plan}
        {layerId === null ? <FirstLayers view={view} onLayer={setLayerId} /> : layerForm}
        <ReadyPlans view={view} onPlanned={planned} />
      </Flex>
    );
  return (
    <CoatDesk
      key={selected.coat.id}
      view={view}
      selected={selected}
      onSelect={setChosen}
      onRemoved={(gone) =>
        setRemoved({
          coat: gone,
          layerIds: view.layers.filter((l) => l.over === gone.id).map((l) => l.id),
        })
      }
      list={
        <BuildUp
          view={view}
          selectedId={selected.coat.id}
          layerId={layerId}
          onSelect={(id) => {
            setChosen(id);
            setLayerId(null);
          }}
          onLayer={setLayerId}
          onPlan={planning ? null : () => setPlanning(true)}
        >
          {putBack}
        </BuildUp>
      }
    >
      {(layer || layerId === 'new') && layerForm}
      {planning && (
        <>
          {plan}
          <ReadyPlans view={view} onPlanned={planned} />
        </>
      )}
    </CoatDesk>
  );
}

interface BuildUpProps {
  readonly view: PieceView;
  readonly selectedId: string;
  readonly layerId: string | null;
  readonly onSelect: (id: string) => void;
  readonly onLayer: (id: string) => void;
  /** Null while a coat is being planned. */
  readonly onPlan: (() => void) | null;
  readonly children: ReactNode;
}

/** The build-up with what can be done to it. */
function BuildUp({ view, onLayer, onPlan, children, ...list }: BuildUpProps) {
  return (
    <Flex direction="column" gap="3">
      <CoatList view={view} onLayer={onLayer} {...list} />
      <Flex gap="2" wrap="wrap">
        {onPlan && <Button onClick={onPlan}>Plan another coat</Button>}
        {list.layerId !== 'new' && <Button onClick={() => onLayer('new')}>Add a layer</Button>}
        <TurnOver view={view} />
      </Flex>
      {children}
    </Flex>
  );
}

/** What a piece arrives with is told before its first coat. */
function FirstLayers({ view, onLayer }: { view: PieceView; onLayer: (id: string) => void }) {
  return (
    <Box>
      <Button onClick={() => onLayer('new')}>Add a layer that is not resin</Button>
      {view.layers.length > 0 && (
        <Box mt="3" maxW="420px">
          <CoatList
            view={view}
            selectedId={null}
            layerId={null}
            onSelect={() => undefined}
            onLayer={onLayer}
          />
        </Box>
      )}
    </Box>
  );
}

interface Removed {
  readonly coat: Coat;
  readonly layerIds: readonly Id<'layer'>[];
}

/** What was taken off the plan can be put back. */
function PutBack({ removed, onDone }: { removed: Removed; onDone: () => void }) {
  const act = useAct();
  const { coat, layerIds } = removed;
  return (
    <Flex role="status" align="center" gap="3" wrap="wrap" bg="amberWash" px="3" py="2">
      <Box>{coat.name} is off the plan.</Box>
      <Button
        size="sm"
        onClick={() =>
          void act(
            `put ${coat.name} back`,
            (db, c) => restoreCoat(db, c, coat, layerIds),
            coat.id,
          ).then((outcome) => outcome.ok && onDone())
        }
      >
        Put it back
      </Button>
    </Flex>
  );
}

/** Which side lies up, and turning the piece over: an act of its own, with its time in the log. */
function TurnOver({ view }: { view: PieceView }) {
  const act = useAct();
  const { piece } = view;
  if (!view.areas.some((a) => a.kind === 'back')) return null;
  return (
    <Button
      onClick={() =>
        void act(`turn ${piece.name} over`, (db, c) => turnPiece(db, c, piece.id), {
          id: piece.id,
          up: piece.up,
        })
      }
    >
      Lies {piece.up === 'front' ? 'face up' : 'back up'}: turn it over
    </Button>
  );
}

export function CoatsScreen({ pieceId }: { pieceId: string }) {
  return (
    <PieceFrame pieceId={pieceId} stage="coats">
      {(view) => <Desk view={view} />}
    </PieceFrame>
  );
}
