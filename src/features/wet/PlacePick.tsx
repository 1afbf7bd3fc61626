'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Point } from '@/core/geometry';
import { PlanPad } from '@/features/common/PlanPad';
import type { Area } from '@/records';
import { Button } from '@/ui/Button';

const SIZE = 360;

interface Props {
  readonly areas: readonly Area[];
  readonly onPicked: (at: { readonly areaId: Area['id']; readonly point: Point } | null) => void;
}

/** Where on a piece something is: one tap on its outline, or a ninth of it by key. */
export function PlacePick({ areas, onPicked }: Props) {
  const [areaId, setAreaId] = useState(areas[0]?.id ?? null);
  const area = areas.find((a) => a.id === areaId);
  if (!area) return null;
  return (
    <Box>
      {areas.length > 1 && (
        <Box display="flex" gap="2" flexWrap="wrap" mb="2">
          {areas.map((a) => (
            <Button
              key={a.id}
              minH="64px"
              fontSize="lg"
              variant={a.id === areaId ? 'ink' : 'outline'}
              aria-pressed={a.id === areaId}
              onClick={() => setAreaId(a.id)}
            >
              {a.name}
            </Button>
          ))}
        </Box>
      )}
      <PlanPad
        area={area}
        size={SIZE}
        lines
        onPick={(point) => onPicked({ areaId: area.id, point })}
      />
      <Button mt="3" minH="64px" fontSize="lg" variant="quiet" onClick={() => onPicked(null)}>
        No place: all over, or not sure
      </Button>
    </Box>
  );
}
