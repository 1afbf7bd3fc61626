'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';
import { coatCost } from '@/core/coat';
import { mixDensity } from '@/core/resin';
import { DISCARD_REASONS, type Alarm, type DiscardReason } from '@/core/wet';
import { useAct, useShop } from '@/data/hooks';
import { chooseAtBench } from '@/data/repos/bench';
import { discardMix } from '@/data/repos/wet';
import { ring } from '@/devices/alarm';
import type { Settings } from '@/records';
import { Button } from '@/ui/Button';
import { ChoiceDialog } from '@/ui/ChoiceDialog';
import { alarmWords } from './alarmText';
import type { WetView } from './model';

/** What is due now and not done yet; heard once. */
export function AlarmBar({ alarms, view }: { alarms: readonly Alarm[]; view: WetView }) {
  const due = alarms.map((a) => ({ id: a.id, ...alarmWords(a, view) }));
  const urgent = due.some((a) => a.urgent);
  return (
    <Box aria-live="polite" aria-relevant="additions">
      {due.length > 0 && (
        <Flex
          as="ul"
          aria-label="Due now"
          listStyleType="none"
          gap="6"
          px="6"
          py="2"
          wrap="wrap"
          bg={urgent ? 'oxide' : 'amberPale'}
          color={urgent ? 'card' : 'ink'}
          fontSize="xl"
          fontWeight="600"
        >
          {due.map((a) => (
            <li key={a.id}>
              {a.urgent ? '!' : '·'} {a.title}
            </li>
          ))}
        </Flex>
      )}
    </Box>
  );
}

/** Alarms are sounded or only shown; turning them on sounds one, which is its test. */
export function SoundKey() {
  const act = useAct();
  const { sound } = useShop().settings;
  const turn = () => {
    if (!sound) ring();
    void act('turn the sound on or off', (db, c) => chooseAtBench(db, c, { sound: !sound }));
  };
  return (
    <Button variant="quiet" minH="44px" px="2" aria-pressed={sound} onClick={turn}>
      Sound {sound ? 'on' : 'off'}
    </Button>
  );
}

/** Paper by day, dark in a dim room. */
export function LookKey() {
  const act = useAct();
  const { benchLook } = useShop().settings;
  const next = benchLook === 'dark' ? 'paper' : 'dark';
  return (
    <Button
      variant="quiet"
      minH="44px"
      minW="44px"
      px="0"
      aria-label="Dark look"
      aria-pressed={benchLook === 'dark'}
      onClick={() =>
        void act('change the look', (db, c) => chooseAtBench(db, c, { benchLook: next }))
      }
    >
      {benchLook === 'dark' ? <Sun size={22} aria-hidden /> : <Moon size={22} aria-hidden />}
    </Button>
  );
}

const REASON_WORDS: Readonly<Record<DiscardReason, string>> = {
  'too late': 'Too late to pour',
  'ratio is off': 'The ratio is off beyond repair',
  'wrong resin': 'Wrong resin or wrong bottle',
  spilt: 'Dropped, spilt',
  'no longer needed': 'No longer needed',
};

/** What a batch cost, in the shop's own currency; null where its price is not known. */
function costOf({ resin, massKg }: WetView, { currency, consumables }: Settings): string | null {
  const { price, sheet } = resin;
  if (!price) return null;
  const densityKgM3 = mixDensity(sheet);
  const totalM3 = massKg / densityKgM3;
  const { total } = coatCost({ totalM3, wasteM3: totalM3, densityKgM3, price, consumables });
  return `${currency} ${total.toFixed(2)}`;
}

/** Mixed resin that is not poured: why, and what happens to the coats. */
export function ThrowAway({ view }: { view: WetView }) {
  const act = useAct();
  const [open, setOpen] = useState(false);
  const { settings } = useShop();
  const { batch, done, coats } = view;
  const cost = costOf(view, settings);
  const left = coats.filter((c) => !done.poured.has(c.coat.id));
  if (done.mixedMs === null || left.length === 0 || done.discarded) return null;
  return (
    <>
      <Button variant="quiet" minH="44px" onClick={() => setOpen(true)}>
        Throw away …
      </Button>
      <ChoiceDialog
        open={open}
        title="Throw away what is mixed?"
        choices={DISCARD_REASONS.map((why) => [why, REASON_WORDS[why]] as const)}
        onChoose={(why) => {
          setOpen(false);
          void act('throw the mix away', (db, c) => discardMix(db, c, batch.id, why), { why });
        }}
        onCancel={() => setOpen(false)}
      >
        {left.map((c) => c.piece.name).join(', ')}: planned again, to be mixed anew.
        {cost !== null && ` What is thrown away cost about ${cost}.`} Spread what is mixed in a wide
        tray in the open; in a cup it heats itself.
      </ChoiceDialog>
    </>
  );
}
