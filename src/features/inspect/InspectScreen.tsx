'use client';
import { type Defect, edgeKindsOf, type Photo } from '@/records';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { useAct, useNow, useRead, useShop } from '@/data/hooks';
import { repairDefect } from '@/data/repos/bench';
import { clockText } from '@/features/common/clockText';
import type { PieceView } from '@/shop/coatView';
import { Outline } from '@/features/common/Outline';
import { PieceFrame } from '@/features/common/PieceFrame';
import { STATE_FILL } from '@/features/common/stateWords';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';
import { useBlobUrl } from '@/ui/blobUrl';
import { Panel } from '@/ui/Panel';
import { DefectForm } from './DefectForm';
import { DEFECT_GUIDE } from '@/core/inspect';

/** Photos of a piece, and why the newest could not be read. */
const usePhotos = (pieceId: string) =>
  useRead((db) => db.photos.where('pieceId').equals(pieceId).toArray(), pieceId);

function PhotoOf({ photo, what }: { photo: Photo; what: string }) {
  return (
    <chakra.img
      ref={useBlobUrl(photo.blob, 'src')}
      alt={`Photo of ${what.toLowerCase()}`}
      maxH="160px"
      mt="2"
      borderWidth="1px"
      borderColor="line"
    />
  );
}

interface RowProps {
  readonly defect: Defect;
  readonly coatName: string;
  readonly photos: readonly Photo[];
}

function DefectRow({ defect, coatName, photos }: RowProps) {
  const act = useAct();
  const now = useNow();
  const guide = DEFECT_GUIDE[defect.kind];
  const done = defect.repairedMs !== null;
  return (
    <Flex as="li" gap="4" py="3" borderTopWidth="1px" borderColor="line" align="flex-start">
      <Box aria-hidden fontSize="xl" color={done ? 'verdigris' : 'oxide'} width="24px">
        {done ? '✓' : '◆'}
      </Box>
      <Box flex="1">
        <Box fontWeight="600">{guide.label}</Box>
        {defect.note && <Box>{defect.note}</Box>}
        <Box fontSize="sm" color="ink2">
          {coatName} · found {clockText(defect.foundMs, now)}
          {done && ` · repaired ${clockText(defect.repairedMs ?? 0, now)}`}
        </Box>
        {!done && (
          <Box fontSize="sm" mt="1">
            Repair: {guide.repair}.
          </Box>
        )}
        {photos.map((photo) => (
          <PhotoOf key={photo.id} photo={photo} what={guide.label} />
        ))}
      </Box>
      {!done && (
        <Button
          onClick={() =>
            void act('mark the repair', (db, c) => repairDefect(db, c, defect.id), {
              defectId: defect.id,
            })
          }
        >
          Repaired
        </Button>
      )}
    </Flex>
  );
}

/** How to look, beside the plan of the piece. Common practice, no source. */
const LOOKS = [
  'Along the surface, low light from the side: bare spots and dimples show as breaks in the reflection.',
  'From the other side: a row of dots is often a hair.',
  'Edges with a clean glove: thin places, lips at the tape line, drips below.',
  'Press a nail where it does not show: no print means it is past the touch test.',
];

function LookPanel({ view }: { view: PieceView }) {
  const area = view.drawn[0];
  const top = view.top;
  return (
    <Panel display="flex" gap="6" alignItems="center" flexWrap="wrap">
      {area && (
        <Outline
          shape={area.shape}
          edgeKinds={edgeKindsOf(area)}
          size={220}
          fill={top ? STATE_FILL[top.state] : 'var(--bm-colors-card)'}
          title={`Plan of ${view.piece.name}`}
        />
      )}
      <Box flex="1" minW="260px">
        <Heading as="h2" fontSize="xl" mb="2">
          Look before you note
        </Heading>
        <Box as="ol" ps="5" listStyleType="decimal">
          {LOOKS.map((look) => (
            <Box as="li" key={look} mb="1">
              {look}
            </Box>
          ))}
        </Box>
        <Box fontSize="xs" color="ink2">
          Common practice, no source.
        </Box>
      </Box>
    </Panel>
  );
}

function Inspect({ view }: { view: PieceView }) {
  const { defects, coats } = useShop();
  const { value: photos, error: photoTrouble } = usePhotos(view.piece.id);
  const own = defects
    .filter((d) => d.pieceId === view.piece.id)
    .sort((a, b) => b.foundMs - a.foundMs);
  return (
    <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 400px' }} gap="4" alignItems="start">
      <Box>
        <LookPanel view={view} />
        <Panel as="section" aria-label="Defects" mt="4">
          <Heading as="h2" fontSize="xl" mb="2">
            Found on this piece
          </Heading>
          {photoTrouble && (
            <Box role="alert" color="oxide" mb="2">
              The photos could not be read: {photoTrouble.message}.
            </Box>
          )}
          {own.length === 0 && (
            <Box color="ink2">
              Nothing noted. Look along the surface against a light from several angles, and feel
              the edges.
            </Box>
          )}
          <Box as="ul" listStyleType="none">
            {own.map((d) => (
              <DefectRow
                key={d.id}
                defect={d}
                coatName={coats.find((c) => c.id === d.coatId)?.name ?? 'on the piece'}
                photos={(photos ?? []).filter((p) => p.defectId === d.id)}
              />
            ))}
          </Box>
        </Panel>
      </Box>
      <Flex direction="column" gap="4" gridRow={{ lg: '1' }} gridColumn={{ lg: '2' }}>
        <DefectForm key={view.piece.id} view={view} />
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
