'use client';
import { chakra } from '@chakra-ui/react';
import { useAct } from '@/data/hooks';
import { noteSilicone } from '@/data/repos/silicone';
import type { Coat } from '@/records';

/** Silicone travels: what lies on it is degreased for. */
export function SiliconeMark({ coat }: { coat: Coat }) {
  const act = useAct();
  return (
    <chakra.label display="flex" gap="2" alignItems="center" minH="32px" mt="2" fontSize="sm">
      <chakra.input
        type="checkbox"
        width="20px"
        height="20px"
        flexShrink={0}
        accentColor="ink"
        checked={coat.silicone}
        onChange={(e) => {
          const silicone = e.target.checked;
          void act(`note silicone in ${coat.name}`, (db, c) =>
            noteSilicone(db, c, coat.id, silicone),
          );
        }}
      />
      Silicone oil in one of its colours, or release spray on its dam: wash and degrease before the
      next coat
    </chakra.label>
  );
}
