'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { TOUCH_FINDS, TOUCHED, type Touched, type TouchFind } from '@/core/resin';
import { useAct, useShop } from '@/data/hooks';
import { noteTouch, takeTouchBack } from '@/data/repos/touch';
import { clockText } from '@/features/common/clockText';
import type { Coat, CoatTouch, Resin } from '@/records';
import { coatPace } from '@/shop/clockOf';
import { Button } from '@/ui/Button';
import { SelectField } from '@/ui/SelectField';

const FOUND: Readonly<Record<TouchFind, string>> = {
  strings: 'pulls strings',
  tacky: 'tacky, no strings',
  leathery: 'takes a fingerprint',
  'no mark': 'takes no print',
  'nail mark': 'takes a nail only',
  hard: 'takes no nail',
};
const ON: Readonly<Record<Touched, string>> = {
  coat: 'on the coat',
  'witness cup': 'in the witness cup of its batch',
  'demould try': 'at a corner eased from its mould',
};

const touchWords = ({ found, on }: CoatTouch): string =>
  on === 'coat' ? FOUND[found] : `${FOUND[found]}, ${ON[on]}`;

/** What its touches, or batches before it, tell of a coat, in one sentence. */
export function paceWords(factor: number, sigma: number, touches: number, batches: number): string {
  const share = Math.abs(factor - 1);
  const how =
    share < 0.02
      ? 'as fast as its sheet says'
      : `${Math.round(share * 100)} % ${factor > 1 ? 'faster' : 'slower'} than its sheet says`;
  const counted = (n: number, one: string, more: string) =>
    n === 1 ? `one ${one}` : `${n} ${more}`;
  const from =
    touches > 0
      ? counted(touches, 'touch', 'touches')
      : counted(batches, 'earlier batch', 'earlier batches');
  return `By ${from} it cures ${how}, ± ${Math.round(sigma * 100)} %.`;
}

function HowWorkedOut() {
  return (
    <Box as="details" fontSize="sm" color="ink2">
      <Box as="summary" cursor="pointer" minH="24px">
        How it is worked out
      </Box>
      Each finding stands for a span of the sheet’s ripe time (strings until leathery, tacky until
      recoat shuts, a nail until hard; no print: from there on, whatever a nail would do). The pace
      that fits all touches best is found by Bayes on its logarithm: sheets are taken to be right to
      12 %, one in five to 35 %, a finger to 8 % on the coat, 15 % in a cup, 12 % at a mould.
      Judgement on common practice, no source. Warm load never comes earlier than by the sheet.
    </Box>
  );
}

/** What was noted, each with its way back. */
function Noted({ coat, nowMs }: { coat: Coat; nowMs: number }) {
  const act = useAct();
  return (
    <Box as="ul" listStyleType="none" fontSize="sm" mt="1">
      {coat.touches.map((touch) => (
        <Flex as="li" key={`${touch.atMs}${touch.on}`} gap="3" align="center">
          <span>
            {clockText(touch.atMs, nowMs)}: {touchWords(touch)}
          </span>
          <Button
            size="sm"
            variant="quiet"
            aria-label={`Take the touch of ${clockText(touch.atMs, nowMs)} back`}
            onClick={() =>
              void act(`take a touch of ${coat.name} back`, (db, c) =>
                takeTouchBack(db, c, coat.id, touch.atMs),
              )
            }
          >
            take back
          </Button>
        </Flex>
      ))}
    </Box>
  );
}

/** What a gloved finger finds on a coat or its witness: it moves the clock, and the sheet stays beside it. */
export function TouchTests({ coat, resin, nowMs }: { coat: Coat; resin: Resin; nowMs: number }) {
  const act = useAct();
  const [on, setOn] = useState<Touched>('coat');
  const { touches } = coat;
  const { room } = useShop();
  const pace = coatPace(coat, resin.sheet, room);
  return (
    <Box as="section" aria-label={`Touch of ${coat.name}`} mt="3">
      <Flex justify="space-between" align="end" wrap="wrap" gap="3" mb="2">
        <Heading as="h3" fontSize="md">
          A gloved fingertip finds
        </Heading>
        <Box flex="0 1 300px">
          <SelectField
            label="Touched"
            options={TOUCHED.map((t) => [t, ON[t]] as const)}
            value={on}
            onChange={(e) => setOn(e.target.value as Touched)}
          />
        </Box>
      </Flex>
      <Grid templateColumns="repeat(auto-fit, minmax(108px, 1fr))" gap="2">
        {TOUCH_FINDS.map((found) => (
          <Button
            key={found}
            size="bench"
            fontSize="md"
            px="2"
            onClick={() =>
              void act(`note the touch of ${coat.name}`, (db, c) =>
                noteTouch(db, c, coat.id, found, on),
              )
            }
          >
            {FOUND[found]}
          </Button>
        ))}
      </Grid>
      {(touches.length > 0 || coat.learned) && (
        <Box mt="2" fontWeight="600">
          {paceWords(pace.factor, pace.sigma, touches.length, coat.learned?.count ?? 0)}
        </Box>
      )}
      {touches.length > 0 && (
        <>
          {pace.unlikely && (
            <Box role="alert" mt="1" color="oxide" fontWeight="600">
              ! A touch fits no likely clock: not this resin, not this ratio, or colder than noted.
              Look before you coat.
            </Box>
          )}
          <HowWorkedOut />
          <Noted coat={coat} nowMs={nowMs} />
        </>
      )}
    </Box>
  );
}
