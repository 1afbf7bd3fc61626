'use client';
import { Box, Grid } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import {
  massRatioBA,
  partVolumeExplanation,
  splitExplanation,
  splitMix,
  wantedBExplanation,
  wantedVolumeBExplanation,
} from '@/core/resin';
import { useAct, useShop } from '@/data/hooks';
import { addA, mixB, noteReading, weighA, type Weighed } from '@/data/repos/wet';
import { Explained } from '@/features/common/Explained';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import { Cup } from './Cup';
import { DensityDoubt } from './DensityDoubt';
import { meterOf, type Meter } from './meter';
import { ratioGauge, wantedB, type RatioGauge, type WetView } from './model';
import { RatioBar } from './RatioBar';
import { ReadingKeys } from './ReadingKeys';
import { UndoAction } from './UndoAction';

/** The giant number, and why it is so much. */
function Wanted({
  view,
  aKg,
  wantedKg,
  meter,
}: {
  view: WetView;
  aKg: number;
  wantedKg: number;
  meter: Meter;
}) {
  const { batch, done, resin, step } = view;
  const isA = step === 'weigh A';
  const mix = splitMix(batch.targetM3, resin.sheet);
  const byVolume = batch.measure === 'volume';
  const known = done.aBy === 'read' || done.aBy === 'to the mark';
  const whyA = byVolume ? partVolumeExplanation : splitExplanation;
  const whyB = () =>
    byVolume
      ? wantedVolumeBExplanation(aKg / resin.sheet.densityAKgM3, resin.sheet, known)
      : wantedBExplanation(aKg, resin.sheet, known);
  const why = isA && mix.ok ? whyA(mix.value, resin.sheet, 'A') : whyB();
  const { number, unit } = meter.show(wantedKg);
  return (
    <>
      <Box fontSize="xl" color="ink2">
        pour in part {isA ? 'A' : 'B'}, {meter.asks} ·{' '}
        <Explained explanation={why} quantity={byVolume ? 'volume' : 'mass'}>
          why so much?
        </Explained>
      </Box>
      <Figure
        display="block"
        fontSize="bench"
        fontWeight="600"
        lineHeight="1"
        letterSpacing="-0.03em"
      >
        {number}
        <Box as="span" fontSize="0.35em">
          {` ${unit}`}
        </Box>
      </Figure>
    </>
  );
}

/** The key that restores the ratio when too much B went in. */
function AddedKey({
  gauge,
  meter,
  onAdd,
}: {
  gauge: RatioGauge;
  meter: Meter;
  onAdd: (kg: number) => void;
}) {
  const addKg = meter.round(gauge.check.addAKg);
  if (gauge.check.verdict !== 'too much B') return null;
  return (
    <Button minH="64px" px="3" fontSize="lg" variant="amber" onClick={() => onAdd(addKg)}>
      {meter.show(addKg).text} of A is added
    </Button>
  );
}

export function RatioLine({ view }: { view: WetView }) {
  const { show } = useFormat();
  const { ratio } = view.resin.sheet;
  const per100 = show(100 * massRatioBA(view.resin.sheet), 'number', 1).text;
  return (
    <Box color="ink2" mt="3">
      This resin is {ratio.a} : {ratio.b} by {ratio.by === 'mass' ? 'weight' : 'volume'}
      {ratio.by === 'volume' && `; by weight 100 : ${per100}`}.
      {view.batch.measure === 'weight' && <DensityDoubt sheet={view.resin.sheet} />}
    </Box>
  );
}

/** The reading of the part being weighed: what this tab told last, else what is kept with the batch. */
function useReading({ batch }: WetView, part: 'A' | 'B') {
  const act = useAct();
  const kept = batch.reading?.part === part ? batch.reading.kg : null;
  const [own, setOwn] = useState<number | null>(null);
  const tell = (kg: number) => {
    setOwn(kg);
    void act('keep the reading', (db, c) => noteReading(db, c, batch.id, { part, kg }));
  };
  return { kg: own ?? kept, tell };
}

export const MIXING_CAUTION = (
  <>
    <strong>Gloves, open window.</strong> No flame near alcohol or a paper cup. The resin’s safety
    data sheet decides.
  </>
);

/** Weighing A, then B, told by hand: the target follows what is really in the cup. */
export function ToldWeighStep({
  view,
  onLeave,
  children,
}: {
  view: WetView;
  onLeave: () => void;
  /** What the scale has to say, where one is followed. */
  children?: ReactNode;
}) {
  const act = useAct();
  const format = useFormat();
  const { settings } = useShop();
  const { batch, done, resin, step } = view;
  const isA = step === 'weigh A';
  const part = isA ? 'A' : 'B';
  const meter = meterOf(batch, part, resin.sheet, format, settings);
  const meterA = meterOf(batch, 'A', resin.sheet, format, settings);
  const wantedKg = meter.round(isA ? batch.targetAKg : wantedB(view));
  const { kg, tell } = useReading(view, part);
  const aKg = done.aKg ?? 0;
  const gauge = isA || kg === null ? null : ratioGauge(aKg, kg, resin);
  const total = batch.targetAKg + batch.targetBKg;
  const goalKg = isA ? wantedKg : aKg * (1 + massRatioBA(resin.sheet));
  const weighed: Weighed = kg === null ? { kg: wantedKg, by: 'assumed' } : { kg, by: meter.by };
  const next = () => {
    const kept = { batchId: batch.id, part, ...weighed };
    if (isA) void act('weigh A', (db, c) => weighA(db, c, batch.id, weighed), kept);
    else void act('mix B in', (db, c) => mixB(db, c, batch.id, weighed), kept);
  };
  const add = (addedKg: number) => {
    const more: Weighed = { kg: addedKg, by: 'assumed' };
    void act('add A', (db, c) => addA(db, c, batch.id, more), { batchId: batch.id, addedKg });
  };
  const inWords = isA ? 'A is in' : 'B is in, stir';
  const off = gauge !== null && gauge.check.verdict !== 'right';
  return (
    <BenchFrame
      view={view}
      title={`${meter.verb} part ${part}`}
      caution={MIXING_CAUTION}
      onLeave={onLeave}
      actions={
        <>
          {!isA && <UndoAction view={view} />}
          <BigAction
            kind="main"
            token={part}
            label={
              kg === null
                ? `${inWords}, not ${batch.measure === 'weight' ? 'read' : 'told'}: hold`
                : off
                  ? 'B is in, ratio off: hold'
                  : inWords
            }
            hotkey=" "
            keyName="space"
            hold={kg === null || off}
            disabled={kg === 0}
            onAct={next}
          />
        </>
      }
    >
      <Grid templateColumns={{ base: '1fr', md: '2fr 3fr' }} gap="8" alignItems="center">
        <Cup
          a={(isA ? (kg ?? 0) : aKg) / total}
          b={isA ? 0 : (kg ?? 0) / total}
          aText={
            isA ? 'A' : `A ${meterA.show(aKg).text}${done.aBy === 'assumed' ? ', assumed' : ''}`
          }
          goal={goalKg / total}
          goalText={`${part} to here`}
        />
        <Box>
          <Wanted view={view} aKg={aKg} wantedKg={wantedKg} meter={meter} />
          {gauge && (
            <RatioBar
              gauge={gauge}
              meter={{ A: meterA, B: meter }}
              plannedKg={{ planned: total, inCup: aKg + (kg ?? 0) }}
            />
          )}
          <ReadingKeys meter={meter} kg={kg} wantedKg={wantedKg} onChange={tell}>
            {gauge && <AddedKey gauge={gauge} meter={meterA} onAdd={add} />}
          </ReadingKeys>
          <RatioLine view={view} />
          {children}
        </Box>
      </Grid>
    </BenchFrame>
  );
}
