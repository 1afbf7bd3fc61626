'use client';
import { Box } from '@chakra-ui/react';
import { CheckCheck } from 'lucide-react';
import { useState } from 'react';
import { allNow, type PlacedTask } from '@/core/prep';
import { useAct } from '@/data/hooks';
import { doTasks } from '@/data/repos/prep';
import { TickTogether } from '@/features/common/TickTogether';
import type { Id } from '@/records';
import { Button } from '@/ui/Button';
import { refOf, type TaskGroup } from './model';

interface Props {
  readonly pieceId: Id<'piece'>;
  readonly groups: readonly TaskGroup[];
}

/** Several steps of a piece that were done in one go are noted in one go, across its coats. */
export function JustNow({ pieceId, groups }: Props) {
  const act = useAct();
  const [asked, setAsked] = useState(false);
  const open = allNow(groups.flatMap((g) => g.tasks));
  if (open.length < 2) return null;
  if (!asked)
    return (
      <Button alignSelf="flex-start" onClick={() => setAsked(true)}>
        <CheckCheck size={18} aria-hidden /> Several of these just now…
      </Button>
    );
  const several = new Set(open.map((t) => t.task.coatId)).size > 1;
  const labelOf = ({ task }: PlacedTask) => (
    <>
      {task.title}
      {several && (
        <Box as="span" color="ink2" fontSize="sm">
          {' '}
          · {groups.find((g) => g.coatId === task.coatId)?.title.toLowerCase()}
        </Box>
      )}
    </>
  );
  const note = async (keys: readonly string[]) => {
    const told = open
      .filter((t) => keys.includes(t.task.key))
      .map(({ task, record }) => ({
        ref: refOf(pieceId, task),
        doing: { method: task.mask, seenMs: record?.doneMs ?? null },
      }));
    const what = told.length === 1 ? 'note one step' : `note ${told.length} steps`;
    return (await act(what, (db, c) => doTasks(db, c, told), told)).ok;
  };
  return (
    <Box p="3" bg="amberWash" borderWidth="1px" borderColor="ink">
      <Box fontWeight="600" mb="1">
        Done just now, in this order:
      </Box>
      <TickTogether
        label="Done just now"
        items={open.map((t) => ({ key: t.task.key, label: labelOf(t) }))}
        words={(n) => (n === 0 ? 'Note them' : n === 1 ? 'Note this one' : `Note these ${n}`)}
        size="bench"
        onNote={note}
        onLeave={() => setAsked(false)}
      />
    </Box>
  );
}
