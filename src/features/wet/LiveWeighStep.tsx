'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { addA, mixB, noteTare, weighA, type Weighed } from '@/data/repos/wet';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import { Cup } from './Cup';
import { HandOfScale } from './HandOfScale';
import { LiveNumber, type Weighing } from './LiveNumber';
import { liveReading, tareFor, type LiveReading } from './liveReading';
import { meterOf, type Meter } from './meter';
import { ratioGauge, wantedB, type RatioGauge, type WetView } from './model';
import { UndoAction } from './UndoAction';
import type { FollowedScale } from './useScale';
import { MIXING_CAUTION, RatioLine } from './WeighStep';

function weighingOf(view: WetView, meter: Meter, addingB: number | null): Weighing {
  const { batch, done, resin, step } = view;
  const aKg = done.aKg ?? 0;
  if (step === 'weigh A')
    return { part: 'A', more: false, baseKg: 0, wantedKg: meter.round(batch.targetAKg) };
  if (addingB === null)
    return { part: 'B', more: false, baseKg: aKg, wantedKg: meter.round(wantedB(view)) };
  const { addAKg } = ratioGauge(aKg, addingB, resin).check;
  return { part: 'A', more: true, baseKg: aKg + addingB, wantedKg: meter.round(addAKg) };
}

/** The scale is tared anew only while next to nothing of a part is in, share of what is wanted. Judgement, no source. */
const RETARE_SHARE = 0.1;

interface Props {
  readonly view: WetView;
  readonly scale: FollowedScale;
  readonly onLeave: () => void;
  /** Readings are told by hand from here on. */
  readonly onByHand: () => void;
}

/** The large key: tares, takes what is in, or goes on after the scale was moved. */
function MainKey({
  reading,
  weighing,
  gauge,
  meter,
  onTare,
  onTake,
}: {
  reading: LiveReading;
  weighing: Weighing;
  gauge: RatioGauge | null;
  meter: Meter;
  onTare: (tareKg: number) => void;
  onTake: (kg: number) => void;
}) {
  const { part, more, baseKg } = weighing;
  if (reading.is !== 'weight') {
    const gross = reading.is === 'away' ? null : reading.grossKg;
    const steady = reading.is !== 'away' && reading.steady;
    const words =
      reading.is === 'too light' && baseKg > 0
        ? `Cup with ${meter.show(baseKg).text} is on: go on`
        : 'Tare the empty cup';
    return (
      <BigAction
        kind="main"
        token={`tare ${reading.is}`}
        label={words}
        hotkey=" "
        keyName="space"
        disabled={gross === null || !steady}
        onAct={() => onTare(tareFor(gross ?? 0, reading.is === 'too light' ? baseKg : 0))}
      />
    );
  }
  const off = gauge !== null && gauge.check.verdict !== 'right';
  const amount = meter.show(reading.kg).text;
  const words = more ? `A added: ${amount}` : part === 'A' ? `A is in: ${amount}` : 'B is in, stir';
  return (
    <BigAction
      kind="main"
      token={`${part}${more ? ' more' : ''}`}
      label={!reading.steady ? 'Wait: still moving' : off ? 'B is in, ratio off: hold' : words}
      hotkey=" "
      keyName="space"
      hold={off}
      disabled={!reading.steady || !(meter.round(reading.kg) > 0)}
      onAct={() => onTake(reading.kg)}
    />
  );
}

/** Weighing on a scale that is followed: A, then B, and more of A where too much B went in. */
export function LiveWeighStep({ view, scale, onLeave, onByHand }: Props) {
  const act = useAct();
  const format = useFormat();
  const { settings } = useShop();
  const { batch, done, resin, step } = view;
  const meter = meterOf(batch, 'A', resin.sheet, format, settings);
  // What of B lies in the cup while more of A is poured over it, kg.
  const [addingB, setAddingB] = useState<number | null>(null);
  const weighing = weighingOf(view, meter, step === 'weigh B' ? addingB : null);
  const { part, more, baseKg, wantedKg } = weighing;
  const reading = liveReading(scale.state, batch.tareKg, baseKg);
  const kg = reading.is === 'weight' ? reading.kg : 0;
  const aKg = done.aKg ?? 0;
  const gauge = part === 'B' && reading.is === 'weight' ? ratioGauge(aKg, kg, resin) : null;
  const tooMuch = gauge?.check.verdict === 'too much B';
  const tare = (tareKg: number) =>
    void act('tare the cup', (db, c) => noteTare(db, c, batch.id, tareKg));
  const take = (takenKg: number) => {
    const weighed: Weighed = { kg: takenKg, by: scale.by };
    const kept = { batchId: batch.id, part, ...weighed };
    if (more) {
      setAddingB(null);
      void act('add A', (db, c) => addA(db, c, batch.id, weighed), kept);
    } else if (part === 'A') void act('weigh A', (db, c) => weighA(db, c, batch.id, weighed), kept);
    else void act('mix B in', (db, c) => mixB(db, c, batch.id, weighed), kept);
  };
  const total = batch.targetAKg + batch.targetBKg;
  const inB = part === 'B' ? kg : (addingB ?? 0);
  return (
    <BenchFrame
      view={view}
      title={more ? 'Add part A' : `Weigh part ${part}`}
      caution={MIXING_CAUTION}
      onLeave={onLeave}
      actions={
        <>
          {step === 'weigh B' && <UndoAction view={view} />}
          <MainKey {...{ reading, weighing, gauge, meter }} onTare={tare} onTake={take} />
        </>
      }
    >
      <Grid templateColumns={{ base: '1fr', md: '2fr 3fr' }} gap="8" alignItems="center">
        <Cup
          a={(part === 'A' && !more ? kg : aKg + (more ? kg : 0)) / total}
          b={inB / total}
          aText={step === 'weigh A' ? 'A' : `A ${meter.show(aKg).text}`}
          goal={(baseKg + wantedKg) / total}
          goalText={`${part} to here`}
        />
        <Box>
          <LiveNumber {...{ reading, weighing, view, meter, gauge }} scale={scale.name} />
          <Flex gap="2" wrap="wrap" mt="2">
            {tooMuch && reading.is === 'weight' && (
              <Button
                minH="64px"
                fontSize="lg"
                variant="amber"
                disabled={!reading.steady}
                onClick={() => setAddingB(reading.kg)}
              >
                Add {meter.show(gauge.check.addAKg).text} of A
              </Button>
            )}
            {more && (
              <Button minH="64px" fontSize="lg" onClick={() => setAddingB(null)}>
                Back to B
              </Button>
            )}
            {reading.is === 'weight' && !more && reading.kg < RETARE_SHARE * wantedKg && (
              <Button
                minH="64px"
                fontSize="lg"
                disabled={!reading.steady}
                onClick={() => tare(tareFor(reading.grossKg, baseKg))}
              >
                Tare: nothing of {part} is in
              </Button>
            )}
            {reading.is === 'away' && (
              <Button minH="64px" fontSize="lg" variant="amber" onClick={scale.again}>
                Try again
              </Button>
            )}
            <Button minH="64px" fontSize="lg" variant="quiet" onClick={onByHand}>
              {reading.is === 'away' && reading.lastKg !== null
                ? `By hand; it showed ${meter.show(reading.lastKg).text}`
                : 'By hand'}
            </Button>
          </Flex>
          {step === 'weigh A' && <RatioLine view={view} />}
          {scale.hand && <HandOfScale hand={scale.hand} />}
        </Box>
      </Grid>
    </BenchFrame>
  );
}
