'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { TOUCH_FINDS, type TouchFind } from '@/core/resin';
import { useAct, useShop } from '@/data/hooks';
import { noteTouch, takeTouchBack } from '@/data/repos/touch';
import { clockText } from '@/features/common/clockText';
import type { Coat, Resin } from '@/records';
import { coatPace } from '@/shop/clockOf';
import { Button } from '@/ui/Button';

const FOUND: Readonly<Record<TouchFind, string>> = {
  strings: 'pulls strings',
  tacky: 'tacky, no strings',
  leathery: 'takes a fingerprint',
  'nail mark': 'takes a nail only',
  hard: 'takes no nail',
};

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

/** What a gloved finger finds on a coat: it moves the clock of that coat, and the sheet stays beside it. */
export function TouchTests({ coat, resin, nowMs }: { coat: Coat; resin: Resin; nowMs: number }) {
  const act = useAct();
  const { touches } = coat;
  const { room } = useShop();
  const pace = coatPace(coat, resin.sheet, room);
  return (
    <Box as="section" aria-label={`Touch of ${coat.name}`} mt="3">
      <Heading as="h3" fontSize="md" mb="1">
        A gloved fingertip finds
      </Heading>
      <Flex gap="2" wrap="wrap">
        {TOUCH_FINDS.map((found) => (
          <Button
            key={found}
            size="bench"
            fontSize="md"
            px="4"
            onClick={() =>
              void act(`note the touch of ${coat.name}`, (db, c) =>
                noteTouch(db, c, coat.id, found),
              )
            }
          >
            {FOUND[found]}
          </Button>
        ))}
      </Flex>
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
          <Box as="details" fontSize="sm" color="ink2">
            <Box as="summary" cursor="pointer" minH="24px">
              How it is worked out
            </Box>
            Each finding stands for a span of the sheet’s ripe time (strings until leathery, tacky
            until recoat shuts, a nail until hard). The pace that fits all touches best is found by
            Bayes on its logarithm: sheets are taken to be right to 12 %, one in five to 35 %, a
            finger to 8 %. Judgement on common practice, no source. Warm load never comes earlier
            than by the sheet.
          </Box>
          <Box as="ul" listStyleType="none" fontSize="sm" mt="1">
            {touches.map((touch) => (
              <Flex as="li" key={touch.atMs} gap="3" align="center">
                <span>
                  {clockText(touch.atMs, nowMs)}: {FOUND[touch.found]}
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
        </>
      )}
    </Box>
  );
}
