'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { HalfPlane } from '@/core/geometry';
import { isByTick, isSettled, type PlacedTask, type TaskRecord } from '@/core/prep';
import { useAct, useNow, useShop } from '@/data/hooks';
import { doTask, reopenTask } from '@/data/repos/prep';
import { clockText } from '@/features/common/clockText';
import type { PieceView } from '@/shop/coatView';
import { PieceFrame } from '@/features/common/PieceFrame';
import { isToDo, prepOf } from '@/shop/prepView';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { Materials } from './Materials';
import { refOf, taskGroups } from './model';
import { OwnStep } from './OwnStep';
import { PrepPlan } from './PrepPlan';
import { PrepSection } from './PrepSection';
import { RoomAir } from '@/features/common/RoomAir';
import { Schools } from './Schools';
import { stationsOf } from './stations';
import { TaskDetail } from './TaskDetail';
import { TaskPath } from './TaskPath';

/** Done or left out once, and not asked for any more: shown, never dropped. */
function Kept({ kept, nowMs }: { kept: readonly TaskRecord[]; nowMs: number }) {
  if (kept.length === 0) return null;
  const words = (r: TaskRecord) => (r.state === 'waived' ? `left out: ${r.reason}` : 'done');
  return (
    <Panel as="section" aria-label="Done for earlier coats">
      <Heading as="h2" fontSize="lg" mb="2">
        Done for earlier coats
      </Heading>
      <Box as="ul" listStyleType="none" fontSize="sm">
        {[...kept]
          .sort((a, b) => (b.doneMs ?? 0) - (a.doneMs ?? 0))
          .map((r) => (
            <Box as="li" key={r.key} borderTopWidth="1px" borderColor="line" py="1">
              {r.title}
              <Box as="span" color="ink2">
                {' '}
                · {words(r)}
                {r.doneMs !== null && ` ${clockText(r.doneMs, nowMs)}`}
              </Box>
            </Box>
          ))}
      </Box>
    </Panel>
  );
}

function NoTasks({ view }: { view: PieceView }) {
  const planned = view.coats.length > 0;
  return (
    <Panel mb="4">
      <Heading as="h2" fontSize="xl" mb="1">
        {planned ? 'Nothing to prepare.' : 'No coat is planned yet.'}
      </Heading>
      <Box mb="3">
        {planned
          ? 'All coats of the plan lie on the piece. Plan another coat, and its preparation stands here.'
          : 'What the surface needs shows here; masks, tooth and cleaning follow from the coats. Plan the first one.'}
      </Box>
      <Button asChild>
        <Link href={`/pieces/${view.piece.id}/coats`}>Plan a coat</Link>
      </Button>
    </Panel>
  );
}

function Desk({ view }: { view: PieceView }) {
  const shop = useShop();
  const now = useNow();
  const act = useAct();
  const { piece } = view;
  const prep = prepOf(shop, piece, now);
  const [chosenKey, setChosenKey] = useState<string | null>(null);
  const [draft, setDraft] = useState<{ key: string; limit: HalfPlane | null } | null>(null);
  const groups = taskGroups(prep);
  const all = groups.flatMap((g) => g.tasks);
  const chosen =
    all.find((t) => t.task.key === chosenKey) ??
    all.find((t) => t.problems.length > 0 && !isSettled(t)) ??
    all.find((t) => isToDo(t) && t.task.needed) ??
    all.find(isToDo) ??
    all[0] ??
    null;
  const limit =
    chosen && draft?.key === chosen.task.key ? draft.limit : (chosen?.task.limit ?? null);
  const group = groups.find((g) => g.tasks.some((t) => t === chosen));
  const stations = stationsOf(
    prep.facts,
    (group?.tasks ?? []).filter(isToDo),
    (key) => all.findIndex((t) => t.task.key === key) + 1,
  );
  const choose = (key: string) => {
    setChosenKey(key);
    setDraft(null);
  };
  const tick = (placed: PlacedTask) => {
    const { task, state } = placed;
    choose(task.key);
    const ref = refOf(piece.id, task);
    if (state === 'done' || state === 'drying' || state === 'waived')
      void act(`take back ${task.title}`, (db, c) => reopenTask(db, c, ref), ref);
    else if ((state === 'open' || state === 'redo') && !task.asksResult && isByTick(task))
      void act(
        task.title,
        (db, c) => doTask(db, c, ref, { method: task.mask, seenMs: placed.record?.doneMs ?? null }),
        ref,
      );
  };
  return (
    <>
      {(view.coats.length === 0 || all.length === 0) && <NoTasks view={view} />}
      <Grid
        templateColumns={{ base: '1fr', md: 'minmax(0, 5fr) minmax(0, 7fr)' }}
        gap="5"
        alignItems="start"
      >
        <Flex direction="column" gap="4" minW="0">
          <TaskPath
            pieceId={piece.id}
            groups={groups}
            chosen={chosen?.task.key ?? null}
            nowMs={now}
            onChoose={choose}
            onTick={tick}
          />
          <OwnStep view={view} />
          <Kept kept={prep.state.kept} nowMs={now} />
        </Flex>
        <Flex direction="column" gap="4" minW="0">
          <Panel
            as="section"
            aria-label="Where"
            py="2"
            display="grid"
            gridTemplateColumns="minmax(0, 4fr) minmax(0, 3fr)"
            gap="4"
            alignItems="center"
          >
            <PrepPlan
              facts={prep.facts}
              lit={chosen}
              limit={limit}
              stations={stations}
              onChoose={choose}
            />
            <PrepSection view={view} facts={prep.facts} lit={chosen} />
          </Panel>
          {chosen && (
            <TaskDetail
              pieceId={piece.id}
              prep={prep}
              placed={chosen}
              nowMs={now}
              limit={limit}
              onLimit={(next) => setDraft({ key: chosen.task.key, limit: next })}
            />
          )}
          <Materials prep={prep} nowMs={now} />
          <RoomAir />
          <Schools piece={piece} />
        </Flex>
      </Grid>
    </>
  );
}

/** What has to be done before the next coat, step by step, on the piece's own plan and section. */
export function PrepareScreen({ pieceId }: { pieceId: string }) {
  return (
    <PieceFrame pieceId={pieceId} stage="prepare">
      {(view) => <Desk view={view} />}
    </PieceFrame>
  );
}
