'use client';
import type { Id } from '@/records';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { ArrowDown, ArrowUp, TriangleAlert } from 'lucide-react';
import type { HalfPlane } from '@/core/geometry';
import type { PlacedTask } from '@/core/prep';
import { useAct } from '@/data/hooks';
import type { PiecePrep } from '@/shop/prepFacts';
import { limitSanding, moveTask } from '@/data/repos/prep';
import { Explained } from '@/features/common/Explained';
import { amountText, explainNeed } from './amounts';
import { CAUTION_WORDS, DEFER, PROBLEM_WORDS, stateText } from './words';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { soldAs } from '@/core/prep';
import { DryClock, RemovalClock } from './DryClock';
import { LimitLine } from './LimitLine';
import { movedOrder, refOf } from './model';
import { SandingTable } from './SandingTable';
import { TaskActions } from './TaskActions';

function Amounts({ placed }: { placed: PlacedTask }) {
  const format = useFormat();
  const { materials, source } = placed.task;
  if (materials.length === 0) return null;
  return (
    <Box as="ul" listStyleType="none" fontSize="sm">
      {materials.map((m) => (
        <Flex
          as="li"
          key={m.name}
          justify="space-between"
          borderTopWidth="1px"
          borderColor="line"
          py="1"
        >
          <span>{format.words(m.name)}</span>
          <Explained explanation={explainNeed(m, source)} quantity={soldAs(m.name).quantity}>
            <Figure fontWeight="600">{amountText(m, format)}</Figure>
          </Explained>
        </Flex>
      ))}
    </Box>
  );
}

function Problems({ placed }: { placed: PlacedTask }) {
  return placed.problems.map((name) => (
    <Flex
      key={name}
      role="note"
      gap="2"
      borderLeftWidth="4px"
      borderColor="oxide"
      bg="oxideWash"
      p="2.5"
      fontSize="sm"
    >
      <Box color="oxide" flexShrink={0} pt="0.5">
        <TriangleAlert size={18} aria-hidden />
      </Box>
      {PROBLEM_WORDS[name]}
    </Flex>
  ));
}

function Cautions({ placed }: { placed: PlacedTask }) {
  const { cautions } = placed.task;
  return cautions.map((name, i) => {
    const [title, text] = CAUTION_WORDS[name];
    return (
      <Caution key={name} title={title}>
        {text} {i === cautions.length - 1 && DEFER}
      </Caution>
    );
  });
}

function Moves({
  pieceId,
  prep,
  placed,
}: {
  pieceId: Id<'piece'>;
  prep: PiecePrep;
  placed: PlacedTask;
}) {
  const act = useAct();
  const { task } = placed;
  const move = (by: -1 | 1) => {
    const order = movedOrder(prep, task.key, by);
    const refs = order?.map((t) => refOf(pieceId, t)) ?? [];
    return {
      free: order !== null,
      run: () =>
        void act(`move ${task.title}`, (db, c) => moveTask(db, c, refs, refOf(pieceId, task))),
    };
  };
  const [up, down] = [move(-1), move(1)];
  return (
    <Flex gap="1">
      <Button size="sm" aria-label={`Earlier: ${task.title}`} disabled={!up.free} onClick={up.run}>
        <ArrowUp size={16} aria-hidden />
      </Button>
      <Button
        size="sm"
        aria-label={`Later: ${task.title}`}
        disabled={!down.free}
        onClick={down.run}
      >
        <ArrowDown size={16} aria-hidden />
      </Button>
    </Flex>
  );
}

interface Props {
  readonly pieceId: Id<'piece'>;
  readonly prep: PiecePrep;
  readonly placed: PlacedTask;
  readonly nowMs: number;
  readonly limit: HalfPlane | null;
  readonly onLimit: (limit: HalfPlane | null) => void;
}

/** One task in full: how, why, whence, what it takes, what endangers, and what can be done about it. */
export function TaskDetail({ pieceId, prep, placed, nowMs, limit, onLimit }: Props) {
  const format = useFormat();
  const act = useAct();
  const { task } = placed;
  const reference = refOf(pieceId, task);
  const limitable = task.rule === 'tooth' || task.rule === 'own sanding';
  return (
    <Panel as="section" aria-label={`Step: ${task.title}`}>
      <Flex direction="column" gap="3">
        <Flex justify="space-between" gap="3" align="flex-start">
          <Box>
            <Heading as="h2" fontSize="xl">
              {task.title}
            </Heading>
            <Box fontSize="sm" color="ink2">
              {task.needed ? 'Needed: holds the coat back' : 'Advice: does not hold the coat'} ·{' '}
              {stateText(placed, nowMs)}
            </Box>
          </Box>
          <Moves pieceId={pieceId} prep={prep} placed={placed} />
        </Flex>
        <Problems placed={placed} />
        <Box>{format.words(task.how)}</Box>
        {task.removal && <RemovalClock removal={task.removal} nowMs={nowMs} />}
        <DryClock placed={placed} nowMs={nowMs} />
        {task.sanding && <SandingTable plan={task.sanding} scale={prep.facts.schools.gritScale} />}
        {task.sanding && limitable && (
          <LimitLine
            task={task}
            facts={prep.facts}
            limit={limit}
            onDraft={onLimit}
            onCommit={(next) => {
              onLimit(next);
              if (JSON.stringify(next) !== JSON.stringify(task.limit))
                void act(`change where to sand`, (db, c) => limitSanding(db, c, reference, next));
            }}
          />
        )}
        <Amounts placed={placed} />
        <TaskActions key={task.key} placed={placed} reference={reference} nowMs={nowMs} />
        <Cautions placed={placed} />
        <Box fontSize="sm" color="ink2">
          <strong>Why:</strong> {format.words(task.reason)} <em>{format.words(task.source)}</em>
        </Box>
      </Flex>
    </Panel>
  );
}
