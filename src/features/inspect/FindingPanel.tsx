'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useMemo } from 'react';
import { DEFECT_GUIDE } from '@/core/inspect';
import { useAct, useNow, useShop } from '@/data/hooks';
import { dropRescue, lookAgain, repairDefect } from '@/data/repos/findings';
import { clockText } from '@/features/common/clockText';
import { useFormat } from '@/features/common/useFormat';
import type { Defect, LaterLook } from '@/records';
import type { PieceView } from '@/shop/coatView';
import { causesOf, filmNow, findingState, laidOver, placeOf } from '@/shop/findings';
import { byId, ofPiece } from '@/shop/ofPiece';
import { rescuesOf } from '@/shop/rescues';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { DefectGlyph } from './DefectGlyph';
import { RescueSheet } from './RescueSheet';
import { RESCUE_WORDS } from '@/features/common/rescueWords';
import { useEntries } from './useEntries';
import { WhyPanel } from './WhyPanel';

interface Props {
  readonly defect: Defect;
  readonly number: number;
  readonly view: PieceView;
}

const STATE_WORDS = {
  open: 'open',
  'rescue chosen': 'a way back is chosen',
  'look again': 'put right: look again',
  closed: 'closed',
} as const;
const MINUTE_MS = 60_000;

function sizeWords({ look }: Defect, show: ReturnType<typeof useFormat>['show']): string {
  return [
    look.allOver ? 'all over' : look.count === 1 ? 'one spot' : look.count && `${look.count} spots`,
    look.sizeM !== null && `${show(look.sizeM, 'length').text} wide`,
    look.depthM !== null && `${show(look.depthM, 'film').text} deep`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** The way back that was chosen: what is left of it, and the look that closes it. */
function Chosen({ defect, view }: Pick<Props, 'defect' | 'view'>) {
  const act = useAct();
  const now = useNow();
  const { tasks } = useShop();
  const { rescue } = defect;
  if (!rescue) return null;
  const coats = view.coats.filter((c) => rescue.coatIds.includes(c.coat.id));
  const steps = ofPiece(tasks, view.piece.id).filter((t) => rescue.taskIds.includes(t.id));
  const begun = coats.some((c) => c.coat.batchId !== null) || steps.some((t) => t.state !== 'open');
  return (
    <Box as="section" aria-label="The way back">
      <Heading as="h3" fontSize="md" mb="1">
        {RESCUE_WORDS[rescue.kind]}
      </Heading>
      <Box fontSize="sm" color="ink2" mb="1">
        chosen {clockText(rescue.chosenMs, now)}
      </Box>
      <Box as="ul" listStyleType="none" fontSize="sm">
        {steps.map((t) => (
          <li key={t.id}>
            {t.state === 'done' ? '✓' : t.state === 'waived' ? '–' : '○'} {t.title}
          </li>
        ))}
        {coats.map((c) => (
          <li key={c.coat.id}>
            {c.clock ? '✓' : '○'} {c.coat.name}: {c.state}
          </li>
        ))}
      </Box>
      {!begun && (
        <Button
          mt="2"
          size="sm"
          onClick={() =>
            void act('take the way back off the plan', (db, c) => dropRescue(db, c, defect.id), {
              defectId: defect.id,
            })
          }
        >
          Take it off the plan again
        </Button>
      )}
    </Box>
  );
}

/** The look that comes after: gone closes it, still there opens it again. */
function LaterLooks({ defect, now }: { defect: Defect; now: number }) {
  const act = useAct();
  const look = (found: LaterLook) =>
    void act('note the later look', (db, c) => lookAgain(db, c, defect.id, found), {
      ...{ defectId: defect.id, found },
    });
  return (
    <Box as="section" aria-label="Later looks" mt="3">
      {defect.looks.map((l) => (
        <Box key={l.atMs} fontSize="sm">
          {l.found === 'gone' ? '✓' : '○'} {clockText(l.atMs, now)}: {l.found}
        </Box>
      ))}
      <Flex gap="2" mt="2" wrap="wrap">
        <Button variant="ink" onClick={() => look('gone')}>
          Looked again: it is gone
        </Button>
        <Button onClick={() => look('still there')}>Still there</Button>
      </Flex>
    </Box>
  );
}

/** Where it is, and what came over it since. */
function Since({ defect, now }: { defect: Defect; now: number }) {
  const shop = useShop();
  const { show } = useFormat();
  const place = placeOf(shop, defect);
  const over = laidOver(shop, defect);
  const area = byId(shop.areas, defect.at?.areaId);
  if (!place && over.length === 0) return null;
  return (
    <Box fontSize="sm" mb="2">
      {place &&
        (place.outside ? (
          <Box color="oxide">
            ! Its place lies outside the outline of {area?.name}: it is kept, and not used for the
            cause.
          </Box>
        ) : (
          <Box>
            On {area?.name}, {show(place.edgeM, 'length').text} from side {place.side + 1}.
          </Box>
        ))}
      {over.map((c) => (
        <Box key={c.id}>
          {c.name} lies over it since {clockText(c.pouredMs ?? 0, now)}.
        </Box>
      ))}
    </Box>
  );
}

/** One finding: what it is, why, the ways back, and what came of them. */
export function FindingPanel({ defect, number, view }: Props) {
  const act = useAct();
  const shop = useShop();
  const now = useNow();
  const { show } = useFormat();
  const coat = byId(shop.coats, defect.coatId);
  const batch = byId(shop.batches, coat?.batchId);
  const sessions = batch ? [batch.sessionId] : [];
  const entries = useEntries(view.piece.id, sessions);
  const started = entries?.findLast(
    (e) => e.kind === 'session started' && e.sessionId === batch?.sessionId,
  );
  const why = useMemo(() => causesOf(shop, defect, started), [shop, defect, started]);
  const state = findingState(defect);
  const minute = Math.floor(now / MINUTE_MS) * MINUTE_MS;
  const rescues = useMemo(
    () => (state === 'open' ? rescuesOf(shop, view, defect, why, minute) : []),
    // The view is another object every second while a coat cures; what a rescue takes moves by the minute.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [shop, defect, why, minute, state],
  );
  const film = filmNow(shop, coat, defect.kind, now);
  const size = sizeWords(defect, show);
  return (
    <Panel as="section" aria-label={`Finding ${number}`}>
      <Flex gap="3" align="center" mb="2">
        <Box color={state === 'closed' ? 'verdigris' : 'oxide'}>
          <DefectGlyph kind={defect.kind} size={30} />
        </Box>
        <Box flex="1">
          <Heading as="h2" fontSize="lg">
            {number}. {DEFECT_GUIDE[defect.kind].label}
          </Heading>
          <Box fontSize="sm" color="ink2">
            {[
              coat?.name ?? 'on the piece',
              size,
              `found ${clockText(defect.foundMs, now)}`,
              STATE_WORDS[state],
            ]
              .filter(Boolean)
              .join(' · ')}
          </Box>
        </Box>
      </Flex>
      <Since defect={defect} now={now} />
      <WhyPanel {...{ defect, why }} entries={entries ?? []} batchId={batch?.id ?? null} />
      <Box mt="3">
        {state === 'open' && <RescueSheet key={defect.id} {...{ defect, view, rescues }} />}
        <Chosen defect={defect} view={view} />
      </Box>
      {state !== 'closed' && (
        <>
          {film !== 'wet' && (defect.rescue !== null || defect.looks.length > 0) && (
            <LaterLooks defect={defect} now={now} />
          )}
          {!defect.rescue && (
            <Button
              mt="3"
              onClick={() =>
                void act('mark the repair', (db, c) => repairDefect(db, c, defect.id), {
                  defectId: defect.id,
                })
              }
            >
              Repaired
            </Button>
          )}
        </>
      )}
    </Panel>
  );
}
