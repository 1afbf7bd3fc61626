'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { isByTick, type PlacedTask } from '@/core/prep';
import { useAct } from '@/data/hooks';
import { removeTask } from '@/data/repos/ownSteps';
import { doTask, reopenTask, waiveTask, type Doing } from '@/data/repos/prep';
import type { TaskRef } from '@/data/repos/taskRef';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { DoneAt } from './DoneAt';

interface Props {
  readonly placed: PlacedTask;
  readonly reference: TaskRef;
  readonly nowMs: number;
}

function Waive({ placed, reference }: Omit<Props, 'nowMs'>) {
  const act = useAct();
  const [reason, setReason] = useState('');
  const [error, setError] = useState<string>();
  const save = async () => {
    if (reason.trim().length < 3) return setError('Say why: the reason stands in the log.');
    setError(undefined);
    const done = await act(
      `leave out ${placed.task.title}`,
      (db, c) => waiveTask(db, c, reference, reason.trim()),
      { ...reference, reason },
    );
    if (done.ok) setReason('');
  };
  return (
    <Flex gap="2" align="flex-start" wrap="wrap">
      <Box flex="1 1 200px">
        <TextField
          label="Leave it out, because"
          value={reason}
          error={error}
          onChange={(e) => setReason(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && void save()}
        />
      </Box>
      <Button mt="26px" onClick={() => void save()}>
        Leave it out
      </Button>
    </Flex>
  );
}

/** A time other than now can be noted in these states. */
const CAN_BE_NOTED: readonly PlacedTask['state'][] = [
  ...(['open', 'redo', 'done', 'drying', 'waiting'] as const),
  // The order is judged by the times that are told.
  'blocked',
];

/** What can be done about a task, in its state. */
export function TaskActions(props: Props) {
  const { placed, reference } = props;
  const act = useAct();
  const { task, state, record } = placed;
  const seenMs = record?.doneMs ?? null;
  const run = (what: string, doing: Doing) =>
    void act(what, (db, c) => doTask(db, c, reference, { ...doing, seenMs }), {
      ...reference,
      doing,
    });
  const ticked = state === 'blocked' && record?.state === 'done';
  const settled = state === 'done' || state === 'drying' || state === 'waived' || ticked;
  // A tick alone does not level a piece.
  const byReading = !isByTick(placed.task);
  const open = (state === 'open' || state === 'redo') && !byReading;
  return (
    <Flex direction="column" gap="3">
      {task.asksResult && open && (
        <Flex gap="3" wrap="wrap">
          <Button
            size="bench"
            variant="ink"
            fontSize="lg"
            onClick={() => run(task.title, { result: 'clean' })}
          >
            The finger stays clean
          </Button>
          <Button
            size="bench"
            variant="danger"
            fontSize="lg"
            onClick={() => run(task.title, { result: 'colour comes off' })}
          >
            Colour comes off
          </Button>
        </Flex>
      )}
      {!task.asksResult && open && (
        <Button
          size="bench"
          variant="ink"
          fontSize="lg"
          alignSelf="flex-start"
          onClick={() => run(task.title, { method: task.mask })}
        >
          {state === 'redo' ? 'Done again now' : 'Done now'}
        </Button>
      )}
      {settled && (
        <Button
          alignSelf="flex-start"
          onClick={() =>
            void act(`take back ${task.title}`, (db, c) => reopenTask(db, c, reference), reference)
          }
        >
          {state === 'waived' ? 'Ask for it again' : 'Take the tick back'}
        </Button>
      )}
      {!task.asksResult && !byReading && CAN_BE_NOTED.includes(state) && (
        <DoneAt key={record?.doneMs ?? 0} {...props} />
      )}
      {!settled && state !== 'skipped' && <Waive {...props} />}
      {(task.rule === 'own note' || task.rule === 'own sanding') && (
        <Button
          size="sm"
          variant="quiet"
          alignSelf="flex-start"
          onClick={() =>
            void act(`remove ${task.title}`, (db, c) => removeTask(db, c, reference), reference)
          }
        >
          Remove this step of yours
        </Button>
      )}
    </Flex>
  );
}
