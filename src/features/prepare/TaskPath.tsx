'use client';
import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { Ban, Check, Clock, Droplets, Ellipsis, Lock, RotateCcw, SkipForward } from 'lucide-react';
import { Link } from '@/ui/Link';
import type { ReactNode } from 'react';
import type { PlacedTask, TaskState } from '@/core/prep';
import type { Id } from '@/records';
import { clockText } from '@/features/common/clockText';
import { stateText } from './words';
import { Button } from '@/ui/Button';
import { focusRing } from '@/ui/touch';
import type { TaskGroup } from './model';
import { JustNow } from './JustNow';

const SIGN: Readonly<Record<TaskState, ReactNode>> = {
  open: null,
  redo: <RotateCcw size={26} aria-hidden />,
  done: <Check size={34} strokeWidth={3} aria-hidden />,
  drying: <Droplets size={26} aria-hidden />,
  blocked: <Lock size={24} aria-hidden />,
  waiting: <Clock size={24} aria-hidden />,
  later: <Ellipsis size={24} aria-hidden />,
  waived: <Ban size={26} aria-hidden />,
  skipped: <SkipForward size={24} aria-hidden />,
};

/** What a tick does to a task in this state, said by its label. */
function tickLabel({ state, task }: PlacedTask): string {
  if (task.asksResult && (state === 'open' || state === 'redo'))
    return `Note the result: ${task.title}`;
  if (state === 'open') return `Done: ${task.title}`;
  if (state === 'redo') return `Done again: ${task.title}`;
  if (state === 'blocked' || state === 'waiting' || state === 'later' || state === 'skipped')
    return `Why not now: ${task.title}`;
  return `Take back: ${task.title}`;
}

function Tick({ placed, onTick }: { placed: PlacedTask; onTick: () => void }) {
  const { state } = placed;
  const settled = state === 'done' || state === 'waived' || state === 'skipped';
  return (
    <chakra.button
      type="button"
      aria-label={tickLabel(placed)}
      onClick={onTick}
      flex="0 0 64px"
      minH="64px"
      display="flex"
      alignItems="center"
      justifyContent="center"
      cursor="pointer"
      bg={
        state === 'done' ? 'verdigris' : settled ? 'paper' : state === 'redo' ? 'oxideWash' : 'card'
      }
      color={state === 'done' ? 'card' : state === 'redo' ? 'oxide' : 'ink2'}
      borderWidth={placed.task.needed ? '3px' : '1.5px'}
      borderStyle={placed.task.needed ? 'solid' : 'dashed'}
      borderColor={
        state === 'done' ? 'verdigris' : state === 'redo' ? 'oxide' : settled ? 'ink3' : 'ink'
      }
      _hover={{ bg: state === 'done' ? 'slate' : 'amberWash' }}
      _focusVisible={focusRing}
    >
      {SIGN[state]}
    </chakra.button>
  );
}

interface RowProps {
  readonly placed: PlacedTask;
  readonly number: number;
  readonly chosen: boolean;
  readonly nowMs: number;
  readonly onChoose: () => void;
  readonly onTick: () => void;
}

function Row({ placed, number, chosen, nowMs, onChoose, onTick }: RowProps) {
  const { task, state } = placed;
  const alarm = placed.problems.length > 0;
  return (
    <Flex as="li" gap="2" align="stretch" aria-label={task.title}>
      <Tick placed={placed} onTick={onTick} />
      <chakra.button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        flex="1"
        minW="0"
        px="3"
        py="1.5"
        textAlign="start"
        cursor="pointer"
        bg={chosen ? 'amberWash' : 'card'}
        borderWidth={chosen ? '2px' : '1px'}
        borderColor={chosen ? 'ink' : 'line'}
        _hover={{ bg: 'amberWash' }}
        _focusVisible={focusRing}
      >
        <Flex gap="2" align="baseline">
          <Box as="span" fontFamily="mono" fontSize="sm" color="ink2">
            {number}
          </Box>
          <Box
            as="span"
            fontFamily="heading"
            fontWeight="600"
            fontSize="lg"
            lineHeight="1.15"
            textDecoration={state === 'waived' ? 'line-through' : undefined}
          >
            {task.title}
          </Box>
        </Flex>
        <Box fontSize="sm" color={state === 'redo' || alarm ? 'oxide' : 'ink2'} lineHeight="1.25">
          {alarm && <strong>! </strong>}
          {stateText(placed, nowMs)}
        </Box>
      </chakra.button>
    </Flex>
  );
}

interface Props {
  readonly pieceId: Id<'piece'>;
  readonly groups: readonly TaskGroup[];
  readonly chosen: string | null;
  readonly nowMs: number;
  readonly onChoose: (key: string) => void;
  readonly onTick: (placed: PlacedTask) => void;
}

/** The work as a path: coat by coat, with a gate before each. */
export function TaskPath({ pieceId, groups, chosen, nowMs, onChoose, onTick }: Props) {
  const numbers = new Map(
    groups.flatMap((g) => g.tasks).map((t, i) => [t.task.key, i + 1] as const),
  );
  return (
    <Flex direction="column" gap="5">
      <JustNow pieceId={pieceId} groups={groups} />
      {groups.map((group) => (
        <Box as="section" key={group.coatId ?? group.title} aria-label={group.title}>
          <Heading as="h2" fontSize="lg" mb="2">
            {group.title}
          </Heading>
          <Flex as="ol" direction="column" gap="2" listStyleType="none">
            {group.tasks.map((placed) => (
              <Row
                key={placed.task.key}
                placed={placed}
                number={numbers.get(placed.task.key) ?? 0}
                nowMs={nowMs}
                chosen={placed.task.key === chosen}
                onChoose={() => onChoose(placed.task.key)}
                onTick={() => onTick(placed)}
              />
            ))}
          </Flex>
          {group.coatId !== null && <Gate group={group} nowMs={nowMs} />}
        </Box>
      ))}
    </Flex>
  );
}

/** The gate before a coat: shut while a needed step is open, or the way to the wet session. */
function Gate({ group, nowMs }: { group: TaskGroup; nowMs: number }) {
  const { coat, earliest } = group;
  if (group.held > 0)
    return (
      <Flex
        mt="2"
        gap="3"
        align="center"
        px="4"
        py="3"
        bg="oxideWash"
        borderWidth="1px"
        borderColor="oxide"
      >
        <Lock size={20} aria-hidden />
        <Box>
          <strong>{coat} is held.</strong>{' '}
          {group.held === 1 ? 'One needed step is open.' : `${group.held} needed steps are open.`}
          {earliest && (
            <Box>
              {Number.isFinite(earliest.atMs)
                ? `Earliest pour ${clockText(earliest.atMs, nowMs)}: it waits for “${earliest.by.title}”.`
                : `“${earliest.by.title}” does not dry in this air.`}
            </Box>
          )}
        </Box>
      </Flex>
    );
  return (
    <Flex
      mt="2"
      gap="3"
      align="center"
      px="4"
      py="3"
      bg="verdigrisPale"
      borderWidth="1px"
      borderColor="verdigris"
      wrap="wrap"
    >
      <Check size={20} aria-hidden />
      <Box flex="1">
        <strong>{coat} is ready.</strong>
      </Box>
      {group.next && (
        <Button asChild variant="ink">
          <Link href={`/wet/new?coat=${group.coatId}`}>Add to a wet session</Link>
        </Button>
      )}
    </Flex>
  );
}
