'use client';
import { useAct } from '@/data/hooks';
import { noteSilicone } from '@/data/repos/silicone';
import type { Coat } from '@/records';
import { Tick } from '@/ui/Tick';

/** Silicone travels: what lies on it is degreased for. */
export function SiliconeMark({ coat }: { coat: Coat }) {
  const act = useAct();
  return (
    <Tick
      mt="2"
      fontSize="sm"
      checked={coat.silicone}
      onTick={(silicone) =>
        void act(`note silicone in ${coat.name}`, (db, c) => noteSilicone(db, c, coat.id, silicone))
      }
    >
      Silicone oil in one of its colours, or release spray on its dam: wash and degrease before the
      next coat
    </Tick>
  );
}
