import type { EdgeProfile } from '@/core/geometry';
import { isWall } from '@/core/piece';
import type { FieldReader } from '@/features/common/fieldReader';
import type { Edge } from '@/records';
import { fitEdges, sideCount, type AreaDraft } from './draft';

type Reader = FieldReader<string>;

export const EDGE_LIMITS = { min: 0, max: 0.5 } as const;

export function readEdges(area: AreaDraft, reader: Reader, prefix: string): Edge[] {
  const common = reader.quantity(`${prefix}edgeHeight`, area.edgeHeight, 'length', EDGE_LIMITS);
  return fitEdges(area.edges, sideCount(area)).map((edge, i): Edge => {
    const key = `${prefix}edges.${i}.`;
    const heightM =
      edge.height.trim() === ''
        ? common
        : reader.quantity(`${key}height`, edge.height, 'length', EDGE_LIMITS);
    const profile: EdgeProfile =
      edge.profile === 'round' || edge.profile === 'bevel'
        ? {
            kind: edge.profile,
            sizeM: reader.quantity(`${key}size`, edge.size, 'length', {
              min: 0,
              ...(Number.isFinite(heightM) && { max: heightM }),
            }),
          }
        : { kind: edge.profile };
    const wallM =
      isWall(edge.kind) && edge.wall.trim() !== ''
        ? reader.quantity(`${key}wall`, edge.wall, 'length', EDGE_LIMITS)
        : null;
    return { kind: edge.kind, heightM, profile, wallM };
  });
}
