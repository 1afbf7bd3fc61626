'use client';
import { Box, Flex } from '@chakra-ui/react';
import { format, subDays, set } from 'date-fns';
import { useState } from 'react';
import type { PlacedTask } from '@/core/prep';
import { useAct } from '@/data/hooks';
import { doTask, type Doing } from '@/data/repos/prep';
import type { TaskRef } from '@/data/repos/taskRef';
import { clockText } from '@/features/common/clockText';
import { hourMinute } from '@/features/common/hours';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { readDoneAt } from './model';

const MINUTE_MS = 60_000;
/** Moments that are a tap away. */
const AGO: readonly (readonly [string, (nowMs: number) => number])[] = [
  ['10 min ago', (now) => now - 10 * MINUTE_MS],
  ['half an hour ago', (now) => now - 30 * MINUTE_MS],
  ['1 h ago', (now) => now - 60 * MINUTE_MS],
  ['2 h ago', (now) => now - 120 * MINUTE_MS],
];
/** Before the bench was left the day before. */
const lastEvening = (nowMs: number): number =>
  set(subDays(nowMs, 1), { hours: 18, minutes: 0 }).getTime();

interface Props {
  readonly placed: PlacedTask;
  readonly reference: TaskRef;
  readonly nowMs: number;
}

/** When it was really done: drying clocks start there. A tap, or a time as people write it. */
export function DoneAt({ placed, reference, nowMs }: Props) {
  const act = useAct();
  const [text, setText] = useState(clockText(placed.record?.doneMs ?? nowMs, nowMs));
  const [error, setError] = useState<string>();
  const note = (doneMs: number) => {
    const doing: Doing = {
      ...{ doneMs, method: placed.task.mask },
      seenMs: placed.record?.doneMs ?? null,
    };
    return act(`note ${placed.task.title}`, (db, c) => doTask(db, c, reference, doing), {
      ...reference,
      doing,
    });
  };
  const save = () => {
    const read = readDoneAt(text, nowMs);
    setError('error' in read ? read.error : undefined);
    if ('atMs' in read) void note(read.atMs);
  };
  return (
    <Box role="group" aria-label="When it was done">
      <Flex gap="2" wrap="wrap" mb="2">
        {AGO.map(([label, at]) => (
          <Button key={label} size="sm" onClick={() => void note(at(nowMs))}>
            {label}
          </Button>
        ))}
        <Button size="sm" onClick={() => void note(lastEvening(nowMs))}>
          yesterday {format(lastEvening(nowMs), hourMinute())}
        </Button>
      </Flex>
      <Flex gap="2" align="flex-start" wrap="wrap">
        <Box flex="1 1 200px">
          <TextField
            label="Done at another time"
            value={text}
            error={error}
            onChange={(e) => setText(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && save()}
          />
        </Box>
        <Button mt="26px" onClick={save}>
          Note that time
        </Button>
      </Flex>
    </Box>
  );
}
