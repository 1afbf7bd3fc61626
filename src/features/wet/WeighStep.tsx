'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { massRatioBA, splitMix } from '@/core/resin';
import { fromSI } from '@/core/units';
import { useAct, useShop } from '@/data/hooks';
import { mixB, undoLast, weighA } from '@/data/repos/wet';
import { Explained } from '@/features/common/Explained';
import { splitExplanation, wantedBExplanation } from '@/features/common/explanations';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import { Cup } from './Cup';
import { ratioGauge, wantedB, type RatioGauge, type WetView } from './model';
import { RatioBar } from './RatioBar';

/** Steps of the reading keys, in digits of the scale. */
const NUDGES = [-100, -10, -1, 1, 10, 100] as const;

interface ReadingProps {
  readonly kg: number;
  readonly onChange: (kg: number) => void;
}

/** What the scale shows, put right with large keys: nothing is typed while resin is wet. */
function Reading({ kg, onChange }: ReadingProps) {
  const { scale } = useFormat();
  const { scaleDigitKg, scaleUnit } = useShop().settings;
  const label = (n: number) =>
    `${n > 0 ? '+' : '−'}${Number(fromSI(Math.abs(n) * scaleDigitKg, scaleUnit).toFixed(3))}`;
  return (
    <Box>
      <Box color="ink2" mb="1">
        on the scale: <Figure fontWeight="600">{scale(kg).text}</Figure> (put it right if the scale
        shows something else)
      </Box>
      <Flex gap="2" wrap="wrap">
        {NUDGES.map((n) => (
          <Button
            key={n}
            minH="64px"
            minW="78px"
            fontSize="lg"
            fontFamily="mono"
            onClick={() => onChange(Math.max(0, kg + n * scaleDigitKg))}
          >
            {label(n)}
          </Button>
        ))}
      </Flex>
    </Box>
  );
}

/** Rounds a mass to what the scale can show. */
const onScale = (kg: number, digitKg: number): number => Math.round(kg / digitKg) * digitKg;

/** The giant number, and why it is so much. */
function Wanted({ view, aKg, wantedKg }: { view: WetView; aKg: number; wantedKg: number }) {
  const { scale } = useFormat();
  const { batch, resin, step } = view;
  const isA = step === 'weigh A';
  const mix = splitMix(batch.targetM3, resin.sheet);
  const why =
    isA && mix.ok ? splitExplanation(mix.value, resin, 'A') : wantedBExplanation(aKg, resin);
  const { number, unit } = scale(wantedKg);
  return (
    <>
      <Box fontSize="xl" color="ink2">
        pour in part {isA ? 'A' : 'B'}, tared to zero ·{' '}
        <Explained explanation={why} quantity="mass">
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

interface GaugeProps {
  readonly gauge: RatioGauge;
  readonly onAdd: (kg: number) => void;
}

/** The ratio as it stands, and the key that restores it when too much B went in. */
function Gauge({ gauge, onAdd }: GaugeProps) {
  const { scale } = useFormat();
  const { scaleDigitKg } = useShop().settings;
  const addKg = onScale(gauge.check.addAKg, scaleDigitKg);
  return (
    <>
      <RatioBar gauge={gauge} />
      {gauge.check.verdict === 'too much B' && (
        <Button minH="64px" mb="2" fontSize="lg" variant="amber" onClick={() => onAdd(addKg)}>
          {scale(addKg).text} of A is added
        </Button>
      )}
    </>
  );
}

function RatioLine({ view }: { view: WetView }) {
  const { show } = useFormat();
  const { ratio } = view.resin.sheet;
  const per100 = show(100 * massRatioBA(view.resin.sheet), 'number', 1).text;
  return (
    <Box color="ink2" mt="3">
      This resin is {ratio.a} : {ratio.b} by {ratio.by === 'mass' ? 'weight' : 'volume'}
      {ratio.by === 'volume' && `; by weight 100 : ${per100}`}.
    </Box>
  );
}

/** Weighing A, then B: the target follows what is really in the cup. */
export function WeighStep({ view }: { view: WetView }) {
  const act = useAct();
  const { scale } = useFormat();
  const { scaleDigitKg } = useShop().settings;
  const { batch, resin, step } = view;
  const isA = step === 'weigh A';
  const part = isA ? 'A' : 'B';
  const wantedKg = onScale(isA ? batch.targetAKg : wantedB(view), scaleDigitKg);
  const [kg, setKg] = useState(wantedKg);
  const [addedAKg, setAddedAKg] = useState(0);
  const aKg = (batch.aKg ?? 0) + addedAKg;
  const gauge = isA ? null : ratioGauge(aKg, kg, resin);
  const total = batch.targetAKg + batch.targetBKg;
  const goalKg = isA ? wantedKg : aKg * (1 + massRatioBA(resin.sheet));
  const next = () => {
    if (!gauge) {
      const weighed = { batchId: batch.id, aKg: kg };
      return void act('weigh A', (db, c) => weighA(db, c, batch.id, kg), weighed);
    }
    const cup = { aKg, bKg: kg, addedAKg, errorShare: gauge.check.errorShare };
    void act('mix B in', (db, c) => mixB(db, c, batch.id, cup), { batchId: batch.id, ...cup });
  };
  const undo = () => void act('undo', (db, c) => undoLast(db, c, batch.id));
  return (
    <BenchFrame
      view={view}
      title={`Weigh part ${part}`}
      caution={
        <>
          <strong>Gloves, open window.</strong> No flame near alcohol or a paper cup. The resin’s
          safety data sheet decides.
        </>
      }
      actions={
        <>
          {!isA && <BigAction kind="second" label="Undo" hotkey="u" keyName="U" onAct={undo} />}
          <BigAction
            kind="main"
            label={isA ? 'A is in' : 'B is in, stir'}
            hotkey=" "
            keyName="space"
            disabled={!(kg > 0)}
            onAct={next}
          />
        </>
      }
    >
      <Grid templateColumns={{ base: '1fr', md: '2fr 3fr' }} gap="8" alignItems="center">
        <Cup
          a={isA ? kg / total : aKg / total}
          b={isA ? 0 : kg / total}
          aText={isA ? 'A' : `A ${scale(aKg).text}`}
          goal={goalKg / total}
          goalText={`${part} to here`}
        />
        <Box>
          <Wanted view={view} aKg={aKg} wantedKg={wantedKg} />
          {gauge && <Gauge gauge={gauge} onAdd={(extra) => setAddedAKg(addedAKg + extra)} />}
          <Reading kg={kg} onChange={setKg} />
          <RatioLine view={view} />
        </Box>
      </Grid>
    </BenchFrame>
  );
}
