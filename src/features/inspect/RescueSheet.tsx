'use client';
import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { RESCUES } from '@/core/inspect';
import { useAct, useNow, useShop } from '@/data/hooks';
import { chooseRescue } from '@/data/repos/findings';
import { clockText, spanText } from '@/features/common/clockText';
import { useFormat } from '@/features/common/useFormat';
import type { Defect } from '@/records';
import type { PieceView } from '@/shop/coatView';
import type { RescueView } from '@/shop/rescues';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';
import { Figure } from '@/ui/Figure';
import { SUPPORT_HATCH } from '@/features/common/materials';
import { rescuePlan } from './rescuePlan';
import { RescueSection } from './RescueSection';
import {
  REFUSED_WORDS,
  rescueCaution,
  RESCUE_WORDS,
  riskWords,
  SHOWS_WORDS,
  STEP_WORDS,
} from '@/features/common/rescueWords';

interface Props {
  readonly defect: Defect;
  readonly view: PieceView;
  readonly rescues: readonly RescueView[];
}

/** Smaller is not written out, m³. */
const LEAST_SHOWN_M3 = 1e-7;
const HEADS = [
  'Way back',
  'Resin',
  'Hands',
  'Can be handled',
  'Cost',
  'Risk',
  'To be seen after',
] as const;

function Row({
  rescue,
  chosen,
  onChoose,
}: {
  rescue: RescueView;
  chosen: boolean;
  onChoose: () => void;
}) {
  const { show } = useFormat();
  const { settings } = useShop();
  const now = useNow();
  const { shows, risk } = RESCUES[rescue.kind];
  const cell = { py: '1.5', px: '1.5', verticalAlign: 'top', fontSize: 'sm' } as const;
  return (
    <chakra.tr borderTopWidth="1px" borderColor="line" bg={chosen ? 'amberWash' : undefined}>
      <chakra.th scope="row" textAlign="left" {...cell}>
        <Button
          size="sm"
          variant={chosen ? 'ink' : 'quiet'}
          textAlign="start"
          justifyContent="flex-start"
          aria-pressed={chosen}
          onClick={onChoose}
        >
          {RESCUE_WORDS[rescue.kind]}
        </Button>
      </chakra.th>
      <chakra.td {...cell}>
        <Figure>{rescue.coat ? show(rescue.coat.mixM3, 'volume').text : '–'}</Figure>
      </chakra.td>
      <chakra.td {...cell}>{rescue.handsS > 0 ? spanText(rescue.handsS * 1000) : '–'}</chakra.td>
      <chakra.td {...cell}>{rescue.doneMs > now ? clockText(rescue.doneMs, now) : 'now'}</chakra.td>
      <chakra.td {...cell}>
        {rescue.cost === null
          ? 'no price'
          : rescue.cost === 0
            ? '–'
            : `${settings.currency}${rescue.cost.toFixed(2)}`}
      </chakra.td>
      <chakra.td {...cell}>{riskWords(risk)}</chakra.td>
      <chakra.td {...cell}>{SHOWS_WORDS[shows]}</chakra.td>
    </chakra.tr>
  );
}

/** What the chosen row would do, as a cut and as steps. */
function Details({ rescue, defect, view }: { rescue: RescueView } & Omit<Props, 'rescues'>) {
  const act = useAct();
  const { show } = useFormat();
  const steps = RESCUES[rescue.kind].steps;
  const caution = rescueCaution(steps);
  const areaId = rescue.coat?.row.areaIds[0] ?? defect.at?.areaId;
  const lie = view.coats.filter(
    (c) => c.clock && (!areaId || (c.coat.areaIds as readonly string[]).includes(areaId)),
  );
  const faulty = lie.findIndex((c) => c.coat.id === defect.coatId);
  const left = steps.includes('strip it off') && faulty >= 0 ? faulty : lie.length;
  const choose = () =>
    void act(
      'choose the way back',
      (db, c) => chooseRescue(db, c, defect.id, rescuePlan(view, rescue)),
      { defectId: defect.id, rescue: rescue.kind },
    );
  return (
    <Flex gap="4" wrap="wrap" mt="2" align="flex-start">
      <RescueSection
        coats={lie}
        filmM={rescue.coat?.row.thicknessM ?? 0}
        {...{ left, ground: SUPPORT_HATCH[view.piece.support] }}
        spot={RESCUES[rescue.kind].coat?.where === 'spot'}
        depthM={defect.look.depthM ?? 3e-4}
        title={`Section now and after: ${RESCUE_WORDS[rescue.kind]}`}
      />
      <Box flex="1 1 260px" fontSize="sm">
        <Box as="ol" ps="5" listStyleType="decimal">
          {steps.map((s) => (
            <li key={s}>{STEP_WORDS[s]}</li>
          ))}
          {rescue.prep.length > 0 && (
            <li>
              {rescue.prep.length} steps of Prepare before the coat: sanding, dust, wipe, mask,
              level
            </li>
          )}
          {rescue.coat && (
            <li>
              {rescue.coat.row.kind},{' '}
              <Figure>{show(rescue.coat.row.thicknessM, 'film').text}</Figure>,{' '}
              <Figure>{show(rescue.coat.mixM3, 'volume').text}</Figure> of {rescue.coat.resin.name}{' '}
              with cup and reserve
              {rescue.spotM3 !== null && (
                <>
                  ; the spots themselves take{' '}
                  <Figure>
                    {rescue.spotM3 < LEAST_SHOWN_M3
                      ? `less than ${show(LEAST_SHOWN_M3, 'volume').text}`
                      : show(rescue.spotM3, 'volume').text}
                  </Figure>
                </>
              )}
              {rescue.coat.mixKg < rescue.coat.leastKg && (
                <Box color="oxide" fontWeight="600">
                  Too little to measure on this scale: mix at least{' '}
                  {show(rescue.coat.leastKg, 'mass').text}, the rest goes on fillers.
                </Box>
              )}
            </li>
          )}
          {rescue.kind === 'accept' && <li>Say so to whom it is for; a later look closes it.</li>}
        </Box>
        {caution && <Caution title="Take care.">{caution}</Caution>}
        <Button mt="2" variant="ink" onClick={choose}>
          {rescue.coat || steps.length > 0 ? 'Choose it: put it on the plan' : 'Choose it'}
        </Button>
      </Box>
    </Flex>
  );
}

/** All ways back on one sheet: what can be done first, what cannot with its reason. */
export function RescueSheet({ defect, view, rescues }: Props) {
  const can = rescues.filter((r) => !r.refused);
  const cannot = rescues.filter((r) => r.refused);
  const [kind, setKind] = useState(can[0]?.kind ?? null);
  const own = view.coats.find((c) => c.coat.id === defect.coatId)?.coat.areaIds;
  const lies = (id: string) => !own || (own as readonly string[]).includes(id);
  // What a flood hides is hidden by the one that is planned.
  const planned =
    RESCUES['sand and flood'].for.includes(defect.kind) &&
    view.coats.find(
      (c) =>
        c.state === 'planned' && c.coat.kind === 'flood' && c.coat.areaIds.some((id) => lies(id)),
    );
  const shown = can.find((r) => r.kind === kind) ?? can[0];
  return (
    <Box as="section" aria-label="Ways back" mt="3">
      <Heading as="h3" fontSize="md" mb="1">
        Ways back
      </Heading>
      {planned && (
        <Box fontSize="sm" mb="2">
          <strong>{planned.coat.name} is planned over it already</strong> and hides it once it is
          sanded flat: Prepare asks for that. Another coat is only needed if you do not want to wait
          for it.
        </Box>
      )}
      {can.length > 0 && (
        <Box overflowX="auto">
          <chakra.table width="100%">
            <thead>
              <tr>
                {HEADS.map((h) => (
                  <chakra.th
                    key={h}
                    scope="col"
                    textAlign="left"
                    px="1.5"
                    fontSize="xs"
                    color="ink2"
                  >
                    {h}
                  </chakra.th>
                ))}
              </tr>
            </thead>
            <tbody>
              {can.map((r) => (
                <Row
                  key={r.kind}
                  rescue={r}
                  chosen={r === shown}
                  onChoose={() => setKind(r.kind)}
                />
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
      {shown && <Details rescue={shown} defect={defect} view={view} />}
      {cannot.length > 0 && (
        <Box mt="2" fontSize="sm" color="ink2">
          Not now:{' '}
          {cannot
            .map(
              (r) =>
                `${RESCUE_WORDS[r.kind].toLowerCase()} (${REFUSED_WORDS[r.refused ?? 'no face']})`,
            )
            .join('; ')}
          .
        </Box>
      )}
    </Box>
  );
}
