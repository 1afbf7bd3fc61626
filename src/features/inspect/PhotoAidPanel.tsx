'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useRef } from 'react';
import { DEFECT_GUIDE } from '@/core/inspect';
import { DEFECT_KINDS, type DefectKind } from '@/core/piece';
import { useAct } from '@/data/hooks';
import { noteDefect } from '@/data/repos/findings';
import { useFormat } from '@/features/common/useFormat';
import { NOT_LOOKED, type Area } from '@/records';
import type { PieceView } from '@/shop/coatView';
import { Button } from '@/ui/Button';
import { FieldRow } from '@/ui/FieldRow';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { CornerPad } from './CornerPad';
import { shrinkPhoto } from './shrinkPhoto';
import type { PhotoAid, Proposal } from './usePhotoAid';

const SHAPE_WORDS = { spot: 'spot', thread: 'thread', row: 'dots in a row' } as const;

interface Props {
  readonly view: PieceView;
  readonly area: Area;
  readonly aid: PhotoAid;
}

/** One proposal: taken as what the user calls it, or put away. */
function ProposalRow({
  proposal,
  number,
  aid,
  onTake,
}: {
  proposal: Proposal;
  number: number;
  aid: PhotoAid;
  onTake: () => void;
}) {
  const { show } = useFormat();
  const { found, key, kind } = proposal;
  return (
    <Box as="li" py="2" borderTopWidth="1px" borderColor="line">
      <Box fontSize="sm" mb="1">
        <strong>{String.fromCharCode(64 + number)}</strong> {SHAPE_WORDS[found.shape]},{' '}
        {show(found.sizeM, 'length').text}
        {found.count > 1 && `, ${found.count} dots`} · stands out{' '}
        {show(found.confidence, 'share', 0).text}
      </Box>
      <SelectField
        label={`What ${String.fromCharCode(64 + number)} is`}
        value={kind}
        onChange={(e) => aid.rename(key, e.target.value as DefectKind)}
        options={DEFECT_KINDS.map((k) => [k, DEFECT_GUIDE[k].label])}
      />
      <Flex gap="2" mt="1">
        <Button
          size="sm"
          variant="ink"
          aria-label={`Pin ${String.fromCharCode(64 + number)}`}
          onClick={onTake}
        >
          Pin it
        </Button>
        <Button
          size="sm"
          aria-label={`${String.fromCharCode(64 + number)} is nothing`}
          onClick={() => aid.drop(key)}
        >
          It is nothing
        </Button>
      </Flex>
    </Box>
  );
}

/** A photo in raking light is looked over for breaks in the reflection; each is taken or put away by hand. */
export function PhotoAidPanel({ view, area, aid }: Props) {
  const act = useAct();
  // The photo goes with the first that is taken.
  const kept = useRef<File | null>(null);
  const take = async ({ found, kind, key, point }: Proposal) => {
    const first = aid.file !== null && kept.current !== aid.file;
    const photo = first && aid.file ? await shrinkPhoto(aid.file).catch(() => null) : null;
    const told = {
      ...{ pieceId: view.piece.id, coatId: view.top?.coat.id ?? null, kind },
      at: { areaId: area.id, point },
      look: { ...NOT_LOOKED, allOver: false, count: found.count, sizeM: found.sizeM },
      note: 'Proposed by a photo in raking light, taken by hand.',
    };
    const { ok } = await act(
      `note ${DEFECT_GUIDE[kind].label}`,
      (db, c) => noteDefect(db, c, { ...told, photo }),
      { ...told, photo: photo?.name ?? null },
    );
    if (!ok) return;
    if (photo) kept.current = aid.file;
    aid.drop(key);
  };
  return (
    <Panel as="section" data-noprint aria-label="Photo aid">
      <Heading as="h2" fontSize="lg" mb="2">
        Look over a photo
      </Heading>
      <FieldRow
        label="Photo in raking light"
        hint="Straight from above as far as you can, one lamp low from the side. The rim is for a finger."
      >
        {(control) => (
          <input
            {...control}
            type="file"
            accept="image/*"
            onChange={(e) => aid.pick(e.target.files?.[0])}
          />
        )}
      </FieldRow>
      {aid.url && (
        <Box mt="2">
          <Box fontSize="sm" mb="1">
            Put the four corners round {area.name}: the box that just holds it.
          </Box>
          <CornerPad url={aid.url} corners={aid.corners} onChange={aid.setCorners} />
          <Flex gap="2" mt="2">
            <Button variant="ink" disabled={aid.share !== null} onClick={() => void aid.find()}>
              {aid.share === null ? 'Find breaks' : `Looking … ${Math.round(100 * aid.share)} %`}
            </Button>
            {aid.share !== null && <Button onClick={aid.stop}>Stop</Button>}
          </Flex>
        </Box>
      )}
      <Box role="status" fontSize="sm" mt="2">
        {aid.said}
      </Box>
      <Box as="ul" listStyleType="none">
        {aid.proposals.map((p, i) => (
          <ProposalRow
            key={p.key}
            proposal={p}
            number={i + 1}
            aid={aid}
            onTake={() => void take(p)}
          />
        ))}
      </Box>
    </Panel>
  );
}
