'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useShop } from '@/data/hooks';
import { PieceFrame } from '@/features/common/PieceFrame';
import { STATE_FILL } from '@/features/common/stateWords';
import type { Area, Defect } from '@/records';
import type { PieceView } from '@/shop/coatView';
import { findingState } from '@/shop/findings';
import { ofPiece } from '@/shop/ofPiece';
import { Caution } from '@/ui/Caution';
import { Panel } from '@/ui/Panel';
import { DefectForm } from './DefectForm';
import { FindingList } from './FindingList';
import { FindingPanel } from './FindingPanel';
import { LookGuide } from './LookGuide';
import { PhotoAidPanel } from './PhotoAidPanel';
import { PinPlan } from './PinPlan';
import { usePhotoAid } from './usePhotoAid';

/** Findings in the order they were made: their numbers stay. */
const numbered = (defects: readonly Defect[]): readonly Defect[] =>
  [...defects].sort((a, b) => a.foundMs - b.foundMs);

function Inspect({ view }: { view: PieceView }) {
  const { defects } = useShop();
  const own = numbered(ofPiece(defects, view.piece.id));
  const firstOpen = own.find((d) => findingState(d) !== 'closed');
  const [selectedId, setSelectedId] = useState<Defect['id'] | null>(null);
  const [at, setAt] = useState<Defect['at']>(null);
  const [areaId, setAreaId] = useState<Area['id'] | null>(null);
  const selected = own.find((d) => d.id === selectedId) ?? firstOpen ?? own.at(-1);
  const shown = areaId ?? selected?.at?.areaId ?? null;
  const area = view.drawn.find((a) => a.id === shown) ?? view.drawn[0];
  const aid = usePhotoAid(area);
  const top = view.top;
  const select = (id: Defect['id']) => {
    setSelectedId(id);
    setAreaId(own.find((d) => d.id === id)?.at?.areaId ?? areaId);
  };
  return (
    <Grid
      templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 380px' }}
      gap="4"
      alignItems="start"
    >
      <Flex direction="column" gap="4" minW="0">
        <Panel as="section" aria-label="Plan with findings">
          <Flex gap="5" wrap="wrap">
            <Box flex="0 0 auto" py="3">
              {area && (
                <PinPlan
                  areas={view.drawn}
                  area={area}
                  onArea={setAreaId}
                  fill={top ? STATE_FILL[top.state] : 'var(--bm-colors-card)'}
                  defects={own}
                  selectedId={selected?.id ?? null}
                  onSelect={select}
                  {...{ at, onAt: setAt }}
                  proposed={aid.proposals.map((p) => p.point)}
                />
              )}
            </Box>
            <Box as="section" aria-label="Defects" flex="1 1 260px" minW="0">
              <Heading as="h2" fontSize="lg" mb="1">
                Found on this piece
              </Heading>
              <FindingList
                pieceId={view.piece.id}
                defects={own}
                selectedId={selected?.id ?? null}
                onSelect={select}
              />
            </Box>
          </Flex>
        </Panel>
        {selected && (
          <FindingPanel
            key={selected.id}
            defect={selected}
            number={own.indexOf(selected) + 1}
            view={view}
          />
        )}
      </Flex>
      <Flex direction="column" gap="4">
        <LookGuide key={`look ${view.piece.id}`} view={view} />
        <DefectForm
          key={view.piece.id}
          view={view}
          at={at}
          area={view.drawn.find((a) => a.id === at?.areaId)}
          onNoted={(id) => {
            setAt(null);
            if (id) setSelectedId(id);
          }}
        />
        {area && <PhotoAidPanel {...{ view, area, aid }} />}
        <Caution title="Sanding and cutting.">
          Dust mask (P2/N95 or better) and wet methods when sanding; knives away from the hand.
          Uncured resin on skin sensitises: nitrile gloves. The resin’s safety data sheet goes
          first.
        </Caution>
      </Flex>
    </Grid>
  );
}

export function InspectScreen({ pieceId }: { pieceId: string }) {
  return (
    <PieceFrame pieceId={pieceId} stage="inspect">
      {(view) => <Inspect view={view} />}
    </PieceFrame>
  );
}
