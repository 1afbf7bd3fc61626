'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { ring, askToNotify, notifyAllowed } from '@/devices/alarm';
import { useAct, useShop } from '@/data/hooks';
import { chooseAtBench } from '@/data/repos/bench';
import { ScaleSelect } from '@/features/common/ScaleSelect';
import { BENCH_LOOKS, HOURS, LOOKS, type Settings } from '@/records';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { BlankSelect, Sentence } from './Blank';

const LOOK_WORDS: Readonly<Record<Settings['look'], string>> = {
  system: 'as the system has it',
  paper: 'paper, for daylight',
  dark: 'dark, for a dim room',
};
const HOUR_WORDS: Readonly<Record<Settings['hours'], string>> = {
  auto: 'as the browser has them',
  '24': 'as 13:05',
  '12': 'as 1:05 pm',
};
const ALARMS = [
  ['on', 'sounded and shown'],
  ['off', 'shown only'],
] as const;
const ALLOWED: Readonly<Record<NotificationPermission, string>> = {
  granted: 'Alarms are also told by the system while another page is in front.',
  denied: 'The browser forbids messages of this page: alarms are sounded and shown here.',
  default: 'Alarms are sounded and shown here.',
};

/** What a wet session is worked with: scale, look, sound and messages. */
export function AtBench() {
  const act = useAct();
  const { settings } = useShop();
  const [allowed, setAllowed] = useState(notifyAllowed);
  const choose = (change: Partial<Pick<Settings, 'sound' | 'benchLook' | 'look' | 'hours'>>) =>
    void act('change the bench', (db, c) => chooseAtBench(db, c, change));
  return (
    <Panel as="section" aria-label="At the bench">
      <Heading as="h2" fontSize="lg" mb="2">
        At the bench
      </Heading>
      <Flex direction="column" gap="3">
        <ScaleSelect />
        <Box>
          <Sentence narrow>
            Bilamina is shown{' '}
            <BlankSelect
              label="Look of Bilamina"
              options={LOOKS.map((look) => [look, LOOK_WORDS[look]] as const)}
              value={settings.look}
              onChange={(e) => choose({ look: e.target.value as Settings['look'] })}
            />
          </Sentence>
          <Sentence narrow>
            The bench is shown{' '}
            <BlankSelect
              label="Look of the bench"
              options={BENCH_LOOKS.map((look) => [look, LOOK_WORDS[look]] as const)}
              value={settings.benchLook}
              onChange={(e) => choose({ benchLook: e.target.value as Settings['benchLook'] })}
            />
          </Sentence>
          <Sentence narrow>
            Hours are told{' '}
            <BlankSelect
              label="Hours of the day"
              options={HOURS.map((hours) => [hours, HOUR_WORDS[hours]] as const)}
              value={settings.hours}
              onChange={(e) => choose({ hours: e.target.value as Settings['hours'] })}
            />
          </Sentence>
          <Sentence narrow>
            Alarms are{' '}
            <BlankSelect
              label="Alarms"
              options={ALARMS}
              value={settings.sound ? 'on' : 'off'}
              onChange={(e) => choose({ sound: e.target.value === 'on' })}
            />
          </Sentence>
        </Box>
        <Flex gap="3" wrap="wrap">
          <Button onClick={ring}>Try the sound</Button>
          {allowed === 'default' && (
            <Button onClick={() => void askToNotify().then(setAllowed)}>Messages too …</Button>
          )}
        </Flex>
        {allowed && <Box color="ink2">{ALLOWED[allowed]}</Box>}
      </Flex>
    </Panel>
  );
}
