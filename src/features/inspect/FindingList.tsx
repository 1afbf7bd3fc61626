'use client';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { DEFECT_GUIDE } from '@/core/inspect';
import { useNow, useRead, useShop } from '@/data/hooks';
import { clockText } from '@/features/common/clockText';
import type { Defect, Photo } from '@/records';
import { findingState } from '@/shop/findings';
import { byId } from '@/shop/ofPiece';
import { useBlobUrl } from '@/ui/blobUrl';
import { Button } from '@/ui/Button';
import { DefectGlyph } from './DefectGlyph';

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

interface Props {
  readonly pieceId: string;
  readonly defects: readonly Defect[];
  readonly selectedId: string | null;
  readonly onSelect: (id: Defect['id']) => void;
}

/** All findings of a piece by their numbers, with their photos. */
export function FindingList({ pieceId, defects, selectedId, onSelect }: Props) {
  const { coats } = useShop();
  const now = useNow();
  const { value: photos, error } = useRead(
    (db) => db.photos.where('pieceId').equals(pieceId).toArray(),
    pieceId,
  );
  return (
    <>
      {error && (
        <Box role="alert" color="oxide" mb="2">
          The photos could not be read: {error.message}.
        </Box>
      )}
      {defects.length === 0 && (
        <Box color="ink2">
          Nothing noted. Look along the surface against a light from several angles.
        </Box>
      )}
      <Box as="ul" listStyleType="none">
        {defects.map((d, i) => {
          const closed = findingState(d) === 'closed';
          return (
            <Box as="li" key={d.id} py="1.5" borderTopWidth="1px" borderColor="line">
              <Button
                variant={d.id === selectedId ? 'ink' : 'quiet'}
                width="100%"
                justifyContent="flex-start"
                textAlign="start"
                aria-pressed={d.id === selectedId}
                onClick={() => onSelect(d.id)}
              >
                <DefectGlyph kind={d.kind} size={20} />
                <Box as="span">
                  {i + 1}. {DEFECT_GUIDE[d.kind].label}
                  <Box as="span" display="block" fontSize="xs" fontWeight="400">
                    {byId(coats, d.coatId)?.name ?? 'on the piece'} · found{' '}
                    {clockText(d.foundMs, now)}
                    {closed &&
                      d.repairedMs !== null &&
                      ` · ✓ repaired ${clockText(d.repairedMs, now)}`}
                    {!closed && ` · ${findingState(d)}`}
                  </Box>
                </Box>
              </Button>
              {d.note && (
                <Box px="4" fontSize="sm">
                  {d.note}
                </Box>
              )}
              <Flex gap="2" px="4" wrap="wrap">
                {(photos ?? [])
                  .filter((p) => p.defectId === d.id)
                  .map((photo) => (
                    <PhotoOf key={photo.id} photo={photo} what={DEFECT_GUIDE[d.kind].label} />
                  ))}
              </Flex>
            </Box>
          );
        })}
      </Box>
    </>
  );
}
