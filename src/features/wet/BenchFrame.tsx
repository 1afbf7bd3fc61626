'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { HandOver } from '@/features/common/files/HandOver';
import { PageHeading } from '@/ui/PageHeading';
import { useLook } from '@/ui/useLook';
import type { ReactNode } from 'react';
import { SECOND_MS, useNow, useShop } from '@/data/hooks';
import { minutesText } from '@/features/common/clockText';
import { Explained } from '@/features/common/Explained';
import { workingExplanation } from '@/core/resin';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { AlarmBar, LookKey, SoundKey, ThrowAway } from './BenchBars';
import { BatchSwitch } from './BatchSwitch';
import { LeftStanding } from './LeftStanding';
import { useAlarms, useAwake } from './useAlarms';
import { wetSteps, type WetView } from './model';

function StepTrail({ view }: { view: WetView }) {
  const steps = wetSteps(view.batch);
  const at = steps.findIndex((s) => s.step === (view.step === 'stirring' ? 'stir' : view.step));
  const here = at === -1 ? steps.length : at;
  return (
    <Flex as="ol" listStyleType="none" gap="2" fontFamily="heading" wrap="wrap">
      {steps.map(({ word }, i) => (
        <Box
          as="li"
          key={word}
          fontWeight={i === here ? '700' : '500'}
          color={i < here ? 'verdigris' : i === here ? 'ink' : 'ink2'}
          aria-current={i === here ? 'step' : undefined}
        >
          {i < here && '✓ '}
          {word}
          {i < steps.length - 1 && ' —'}
        </Box>
      ))}
    </Flex>
  );
}

function WorkingClock({ view }: { view: WetView }) {
  const now = useNow(SECOND_MS);
  const { show } = useFormat();
  const ends = view.workingEndsMs;
  const left = ends === null ? view.workingMs : ends - now;
  const over = left < 0;
  const running = over ? `+ ${minutesText(left)}` : minutesText(left);
  const figure = ends === null ? `${Math.round(left / 60_000)} min` : running;
  return (
    <Box
      px="6"
      py="3"
      flex="0 0 290px"
      bg={over ? 'oxideWash' : 'card'}
      role="timer"
      aria-label="Working time"
    >
      <Box fontSize="sm" color="ink2">
        {ends === null
          ? 'working time starts when B meets A'
          : over
            ? 'past the working time: stop pushing it'
            : 'working time left'}
      </Box>
      <Box
        fontSize="4xl"
        fontWeight="600"
        lineHeight="1.1"
        color={over || left < 5 * 60_000 ? 'oxide' : 'ink'}
      >
        <Explained
          explanation={workingExplanation(view.resin.sheet, view.massKg, view.roomK)}
          quantity="duration"
        >
          <Figure>{figure}</Figure>
        </Explained>
        {ends !== null && (
          <Box as="span" fontSize="md">
            {' '}
            min:s
          </Box>
        )}
      </Box>
      <Box fontSize="sm" color="ink2">
        {show(view.massKg, 'mass').text} in one cup at {show(view.roomK, 'temperature').text}
      </Box>
    </Box>
  );
}

interface Props {
  readonly view: WetView;
  readonly title: string;
  /** The small working clock below; left out where it is the giant number. */
  readonly clock?: boolean;
  /** Something is wrong: the whole screen says so. */
  readonly grave?: boolean;
  /** Leaves the session; only while nothing is mixed. */
  readonly onLeave?: () => void;
  readonly caution: ReactNode;
  readonly actions: ReactNode;
  readonly children: ReactNode;
}

/** What is done now, and for which pieces: as much of their names as there is room for. */
function Title({ title, names }: { title: string; names: string }) {
  return (
    <Flex align="baseline" gap="4" flex="1 1 200px" minW="0" whiteSpace="nowrap">
      <PageHeading title={title} fontSize="2xl" />
      <Box color="ink2" truncate>
        for {names}
      </Box>
    </Flex>
  );
}

/** Full screen at the bench: what to do on top, the clock and the large targets at the bottom. */
export function BenchFrame({
  view,
  title,
  clock = true,
  grave = false,
  onLeave,
  caution,
  actions,
  children,
}: Props) {
  const now = useNow(SECOND_MS);
  const alarms = useAlarms(view, now);
  useAwake();
  useLook(useShop().settings.benchLook);
  const names = view.coats.map((c) => c.piece.name).join(', ');
  return (
    <Flex
      direction="column"
      minH="var(--bench-height, 100vh)"
      height={{ base: 'auto', md: 'var(--bench-height, 100vh)' }}
      bg={grave ? 'oxideWash' : undefined}
    >
      <Flex
        as="header"
        bg="card"
        borderBottomWidth="2px"
        borderColor="ink"
        px="6"
        minH="68px"
        align="center"
        justify="space-between"
        gap="4"
        wrap="wrap"
      >
        <Title title={title} names={names} />
        <Flex align="center" gap="2">
          <StepTrail view={view} />
          <HandOver what={{ kind: 'session', id: view.session.id }} name={names} small />
          <LookKey />
          <SoundKey />
          <ThrowAway view={view} />
          {onLeave && (
            <Button variant="quiet" minH="44px" onClick={onLeave}>
              Leave, nothing is mixed
            </Button>
          )}
          <Flex asChild align="center" minH="44px" textDecoration="underline">
            <Link href="/">Today</Link>
          </Flex>
        </Flex>
      </Flex>
      <AlarmBar alarms={alarms} view={view} />
      <LeftStanding view={view} nowMs={now} />
      <BatchSwitch view={view} nowMs={now} />
      {/* What does not fit is scrolled to: it never lies under the large keys. */}
      <Flex
        flex="1"
        minH="0"
        overflowY={{ base: 'visible', md: 'auto' }}
        direction="column"
        px="6"
        py="5"
        data-bench="work"
      >
        <Box my="auto">{children}</Box>
      </Flex>
      <Flex
        as="footer"
        position="sticky"
        bottom="0"
        borderTopWidth="2px"
        borderColor="ink"
        bg="card"
        align="stretch"
        wrap="wrap"
        minH="124px"
      >
        {clock && <WorkingClock view={view} />}
        <Box
          flex="1 1 220px"
          bg="oxideWash"
          px="5"
          py="4"
          fontSize="sm"
          borderLeftWidth="1px"
          borderColor="line"
        >
          {caution}
        </Box>
        <Flex flex="2 1 460px" align="stretch">
          {actions}
        </Flex>
      </Flex>
    </Flex>
  );
}
