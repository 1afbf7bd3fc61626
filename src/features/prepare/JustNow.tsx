'use client';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { CheckCheck } from 'lucide-react';
import { useState } from 'react';
import { allNow, type PlacedTask } from '@/core/prep';
import { useAct } from '@/data/hooks';
import { doTasks } from '@/data/repos/prep';
import type { Id } from '@/records';
import { Button } from '@/ui/Button';
import { focusRing } from '@/ui/touch';
import { refOf, type TaskGroup } from './model';

interface Props {
  readonly pieceId: Id<'piece'>;
  readonly groups: readonly TaskGroup[];
}

/** Several steps that were done in one go are noted in one go: what is named, and nothing else. */
export function JustNow({ pieceId, groups }: Props) {
  const act = useAct();
  const [asked, setAsked] = useState(false);
  const [taken, setTaken] = useState<readonly string[]>([]);
  const open = allNow(groups.flatMap((g) => g.tasks));
  const coatOf = ({ task }: PlacedTask) => groups.find((g) => g.coatId === task.coatId);
  const several = new Set(open.map((t) => t.task.coatId)).size > 1;
  if (open.length < 2) return null;
  const chosen = open.filter((t) => taken.includes(t.task.key));
  const all = chosen.length === open.length;
  const note = async () => {
    const told = chosen.map(({ task, record }) => ({
      ref: refOf(pieceId, task),
      doing: { method: task.mask, seenMs: record?.doneMs ?? null },
    }));
    const done = await act(
      told.length === 1 ? 'note one step' : `note ${told.length} steps`,
      (db, c) => doTasks(db, c, told),
      told,
    );
    if (done.ok) setAsked(false);
  };
  if (!asked)
    return (
      <Button
        alignSelf="flex-start"
        onClick={() => {
          // Nothing is taken for done that nobody ticked.
          setTaken([]);
          setAsked(true);
        }}
      >
        <CheckCheck size={18} aria-hidden /> Several of these just now…
      </Button>
    );
  return (
    <Box
      role="group"
      aria-label="Done just now"
      p="3"
      bg="amberWash"
      borderWidth="1px"
      borderColor="ink"
    >
      <Box fontWeight="600" mb="1">
        Done just now, in this order:
      </Box>
      {open.map((placed) => {
        const { key, title } = placed.task;
        return (
          <chakra.label key={key} display="flex" alignItems="center" gap="3" minH="44px">
            <chakra.input
              type="checkbox"
              checked={taken.includes(key)}
              onChange={() =>
                setTaken(taken.includes(key) ? taken.filter((k) => k !== key) : [...taken, key])
              }
              width="22px"
              height="22px"
              flexShrink={0}
              accentColor="ink"
              _focusVisible={focusRing}
            />
            <span>
              {title}
              {several && (
                <Box as="span" color="ink2" fontSize="sm">
                  {' '}
                  · {coatOf(placed)?.title.toLowerCase()}
                </Box>
              )}
            </span>
          </chakra.label>
        );
      })}
      <Flex gap="3" mt="2" wrap="wrap">
        <Button
          variant="ink"
          size="bench"
          disabled={chosen.length === 0}
          onClick={() => void note()}
        >
          {chosen.length === 0
            ? 'Note them'
            : chosen.length === 1
              ? 'Note this one'
              : `Note these ${chosen.length}`}
        </Button>
        <Button size="bench" onClick={() => setTaken(all ? [] : open.map((t) => t.task.key))}>
          {all ? 'None of these' : 'All of these'}
        </Button>
        <Button size="bench" onClick={() => setAsked(false)}>
          Not yet
        </Button>
      </Flex>
    </Box>
  );
}
