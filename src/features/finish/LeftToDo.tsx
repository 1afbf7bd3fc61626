'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import type { FinishAsk } from '@/core/finish';
import { isSettled, type PlacedTask } from '@/core/prep';
import { useAct, useNow } from '@/data/hooks';
import { addTasks } from '@/data/repos/ownSteps';
import { doTask, reopenTask } from '@/data/repos/prep';
import { clockText } from '@/features/common/clockText';
import type { PieceView } from '@/shop/coatView';
import type { Unfinished } from '@/shop/leaving';
import { Button } from '@/ui/Button';
import { FINGER_LIST } from '@/ui/touch';
import { FINISH_WORDS, leavingWords } from './words';

interface Props {
  readonly view: PieceView;
  readonly left: readonly Unfinished[];
  readonly tasks: readonly PlacedTask[];
  readonly asked: readonly FinishAsk[];
}

/** What keeps it here, with a way to where that is done. */
function Holds({ view, left }: Pick<Props, 'view' | 'left'>) {
  const now = useNow();
  if (left.length === 0)
    return (
      <Box>
        ✓ Nothing keeps it: every coat has cured to be handled, and every finding is closed.
      </Box>
    );
  return (
    <Box as="ul" listStyleType="none" css={FINGER_LIST}>
      {left.map((one, i) => {
        const { text, stage } = leavingWords(one, now);
        return (
          <Box as="li" key={i} py="1.5" borderTopWidth="1px" borderColor="line">
            ○ <Link href={`/pieces/${view.piece.id}/${stage}`}>{text}</Link>
          </Box>
        );
      })}
    </Box>
  );
}

/** One step on the list, ticked here or in Prepare. */
function Step({ view, placed }: { view: PieceView; placed: PlacedTask }) {
  const act = useAct();
  const now = useNow();
  const { task, state, untilMs } = placed;
  const ref = { pieceId: view.piece.id, task };
  const done = state === 'done' || state === 'drying';
  const waits = state === 'waiting' || state === 'blocked';
  return (
    <Flex as="li" align="center" gap="3" py="1.5" borderTopWidth="1px" borderColor="line">
      <Box flex="1">
        <Box fontWeight="600">
          {done ? '✓' : '○'} {task.title}
        </Box>
        <Box fontSize="sm" color="ink2">
          {state === 'drying' && untilMs !== null && `dries until ${clockText(untilMs, now)}`}
          {state === 'waiting' && untilMs !== null && `not before ${clockText(untilMs, now)}`}
          {!done && !waits && task.how !== 'Added by you.' && task.how}
        </Box>
      </Box>
      {done ? (
        <Button
          size="sm"
          variant="quiet"
          aria-label={`Take back: ${task.title}`}
          onClick={() =>
            void act('take the step back', (db, c) => reopenTask(db, c, ref), { key: task.key })
          }
        >
          Take back
        </Button>
      ) : (
        <Button
          aria-label={`Done: ${task.title}`}
          disabled={waits}
          onClick={() =>
            void act('tick the step', (db, c) => doTask(db, c, ref), { key: task.key })
          }
        >
          Done
        </Button>
      )}
    </Flex>
  );
}

/** What the survey asks for and is not on the list yet. */
function Asked({ view, asked }: Pick<Props, 'view' | 'asked'>) {
  const act = useAct();
  if (asked.length === 0) return null;
  const put = () =>
    void act('put the last steps on the list', (db, c) =>
      addTasks(
        db,
        c,
        view.piece.id,
        asked.map(({ step, waitS }) => ({
          ...{ kind: 'note', title: FINISH_WORDS[step].title, needed: false, areaIds: [] },
          ...{ on: { at: 'last' }, labelS: waitS },
        })),
      ),
    );
  return (
    <Box mt="3" p="3" bg="paper">
      <Box fontWeight="600">The survey and what was laid ask for</Box>
      <Box as="ul" listStyleType="none" fontSize="sm" mb="2">
        {asked.map(({ step, waitS }) => (
          <li key={step}>
            · {FINISH_WORDS[step].title}: {FINISH_WORDS[step].how}
            {waitS > 0 && ` Waits ${Math.round(waitS / 3600)} h.`}
          </li>
        ))}
      </Box>
      <Button onClick={put}>Put {asked.length} steps on the list</Button>
    </Box>
  );
}

/** What is left before a piece goes. */
export function LeftToDo({ view, left, tasks, asked }: Props) {
  const open = tasks.filter((t) => !isSettled(t)).length;
  return (
    <>
      <Heading as="h2" fontSize="xl" mb="2">
        What keeps it here
      </Heading>
      <Holds view={view} left={left} />
      <Heading as="h2" fontSize="xl" mt="5" mb="2">
        Last steps {tasks.length > 0 && `· ${open} of ${tasks.length} left`}
      </Heading>
      {tasks.length === 0 && asked.length === 0 && <Box color="ink2">None.</Box>}
      <Box as="ul" listStyleType="none">
        {tasks.map((t) => (
          <Step key={t.task.key} view={view} placed={t} />
        ))}
      </Box>
      <Asked view={view} asked={asked} />
    </>
  );
}
