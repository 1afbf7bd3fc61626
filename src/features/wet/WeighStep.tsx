'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { fromSI } from '@/core/units';
import { useAct, useShop } from '@/data/hooks';
import { mixB, undoLast, weighA } from '@/data/repos/wet';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import { Cup } from './Cup';
import { ratioGauge, wantedB, type WetView } from './model';
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

export function WeighStep({ view }: { view: WetView }) {
  const act = useAct();
  const { scale, show } = useFormat();
  const { scaleDigitKg } = useShop().settings;
  const { batch, resin, step } = view;
  const isA = step === 'weigh A';
  const wantedKg = onScale(isA ? batch.targetAKg : wantedB(view), scaleDigitKg);
  const [kg, setKg] = useState(wantedKg);
  const aKg = batch.aKg ?? 0;
  const gauge = isA ? null : ratioGauge(aKg, kg, resin);
  const total = batch.targetAKg + batch.targetBKg;
  const { ratio } = resin.sheet;
  const part = isA ? 'A' : 'B';
  const next = () => {
    if (isA)
      void act('weigh A', (db, c) => weighA(db, c, batch.id, kg), { batchId: batch.id, aKg: kg });
    else if (gauge)
      void act('mix B in', (db, c) => mixB(db, c, batch.id, kg, gauge.check.errorShare), {
        batchId: batch.id,
        bKg: kg,
      });
  };
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
          {!isA && (
            <BigAction
              kind="second"
              label="Undo"
              hotkey="u"
              keyName="U"
              onAct={() => void act('undo', (db, c) => undoLast(db, c, batch.id))}
            />
          )}
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
          goal={isA ? wantedKg / total : (aKg + wantedKg) / total}
          goalText={`${part} to here`}
        />
        <Box>
          <Box fontSize="xl" color="ink2">
            pour in part {part}, tared to zero
          </Box>
          <Figure
            display="block"
            fontSize="bench"
            fontWeight="600"
            lineHeight="1"
            letterSpacing="-0.03em"
          >
            {scale(wantedKg).number}
            <Box as="span" fontSize="0.35em">
              {` ${scale(wantedKg).unit}`}
            </Box>
          </Figure>
          {gauge && <RatioBar gauge={gauge} />}
          <Reading kg={kg} onChange={setKg} />
          <Box color="ink2" mt="3">
            This resin is {ratio.a} : {ratio.b} by {ratio.by === 'mass' ? 'weight' : 'volume'}
            {ratio.by === 'volume' &&
              `; by weight 100 : ${show(100 * wantedB({ batch: { ...batch, aKg: 1 }, resin }), 'number', 1).text}`}
            .
          </Box>
        </Box>
      </Grid>
    </BenchFrame>
  );
}
