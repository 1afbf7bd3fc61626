'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import dynamic from 'next/dynamic';
import { memo, useEffect, type ReactNode } from 'react';
import { ActProvider, ShopProvider, useShop } from '@/data/hooks';
import { Announcer } from '@/ui/Announcer';
import { Patterns } from '@/ui/Patterns';
import { later } from '@/ui/later';
import { useAddress } from '@/ui/useAddress';
import { useLook } from '@/ui/useLook';
import { chooseDates, monthFirst } from '../common/dates';
import { chooseHours } from '../common/hours';
import { Boundary } from '../common/trouble';
import { BenchStrip } from './BenchStrip';
import { DemoOnAsking } from './DemoOnAsking';
import { Help } from './help/Help';
import { PLACES } from './nav';
import { NameMark } from './NameMark';
import { NewVersionBar } from './NewVersionBar';
import { OpeningShop, OvertakenBar } from './OpeningShop';
import { StorageTrouble } from './StorageTrouble';
import { UNDER_STRIP } from './underStrip';
import { ReadTroubleBar, WriteFailureBar } from './WriteFailureBar';

const Urgent = later(() => import('./UrgentStrip').then((m) => m.UrgentStrip));
/** The first screen stands for this long before the strip of a wet session is fetched, ms. */
const AHEAD_MS = 1500;

/** Fetched ahead, so that the first tap into a session does not wait for it. */
function useUrgentAhead(): void {
  useEffect(() => {
    const timer = setTimeout(() => void Urgent.load().catch(() => undefined), AHEAD_MS);
    return () => clearTimeout(timer);
  }, []);
}

const FollowSensor = dynamic(() => import('./FollowSensor').then((m) => m.FollowSensor), {
  ssr: false,
});

const FolderBackup = dynamic(() => import('./FolderBackup').then((m) => m.FolderBackup), {
  ssr: false,
});

const isHere = (pathname: string, href: string) =>
  href === '/' ? pathname === '/' : pathname.startsWith(href);

function Rail({ pathname }: { pathname: string }) {
  return (
    <Flex
      as="nav"
      aria-label="Places"
      direction={{ base: 'row', md: 'column' }}
      width={{ base: '100%', md: '84px' }}
      flexShrink={0}
      bg={{ base: 'card', md: 'transparent' }}
      borderRightWidth={{ base: '0', md: '1px' }}
      borderTopWidth={{ base: '1.5px', md: '0' }}
      borderColor={{ base: 'ink', md: 'line' }}
      position={{ base: 'fixed', md: 'sticky' }}
      top={{ base: 'auto', md: '59px' }}
      bottom={{ base: '0', md: 'auto' }}
      left="0"
      zIndex={{ base: 'strip', md: 'auto' }}
      alignSelf="flex-start"
      height={{ base: 'auto', md: 'calc(100vh - 59px)' }}
      pt={{ base: '0', md: '2' }}
    >
      <NameMark />
      {PLACES.map(({ href, label, icon: Icon }) => {
        const here = isHere(pathname, href);
        return (
          <Flex
            key={href}
            asChild
            direction="column"
            align="center"
            gap="1"
            flex={{ base: '1 1 0', md: '0 0 auto' }}
            minW="0"
            py={{ base: '1.5', md: '3' }}
            fontSize={{ base: 'xs', md: 'sm' }}
            fontWeight={here ? '600' : '500'}
            color={here ? 'ink' : 'ink2'}
            bg={here ? 'amberWash' : 'transparent'}
            borderLeftWidth={{ base: '0', md: '4px' }}
            borderTopWidth={{ base: '4px', md: '0' }}
            borderColor={here ? 'amber' : 'transparent'}
            _hover={{ bg: 'amberWash' }}
          >
            <Link href={href} aria-current={here ? 'page' : undefined}>
              <Icon size={24} strokeWidth={1.6} aria-hidden />
              {label}
            </Link>
          </Flex>
        );
      })}
      <Help pathname={pathname} />
    </Flex>
  );
}

/** Name of the place that an address leads to. */
const placeOf = (pathname: string): string =>
  pathname.startsWith('/wet/')
    ? 'The wet session'
    : (PLACES.findLast(({ href }) => isHere(pathname, href))?.label ?? 'This place');

/** Around the place; drawn anew with another one only. */
const Frame = memo(function Frame({
  pathname,
  children,
}: {
  pathname: string;
  children: ReactNode;
}) {
  const place = (
    <Boundary what={placeOf(pathname)} resetKey={pathname}>
      {children}
    </Boundary>
  );
  if (pathname.startsWith('/wet/'))
    return (
      <Box as="main" id={WORK} tabIndex={-1} outline="none">
        <ReadTroubleBar />
        <Box css={UNDER_STRIP}>
          <Urgent.Part pathname={pathname} />
          {place}
        </Box>
      </Box>
    );
  return (
    <>
      <Boundary what="The clocks" small>
        <BenchStrip />
      </Boundary>
      <ReadTroubleBar />
      <Flex align="flex-start">
        <Rail pathname={pathname} />
        <Box
          as="main"
          id={WORK}
          tabIndex={-1}
          outline="none"
          flex="1"
          minW="0"
          px={{ base: '3', md: '5' }}
          pt="4"
          pb={{ base: '24', md: '4' }}
        >
          {place}
        </Box>
      </Flex>
    </>
  );
});

/** The place itself, behind strip and rail. */
const WORK = 'work';

/** First in the order of keys: past the clocks and the rail. */
function SkipLink() {
  return (
    <Box
      asChild
      position="fixed"
      top="2"
      left="2"
      zIndex="skipNav"
      bg="ink"
      color="card"
      px="4"
      py="2.5"
      transform="translateY(-200%)"
      _focusVisible={{ transform: 'none' }}
    >
      <a
        href={`#${WORK}`}
        onClick={(event) => {
          // No step of the history: going back leads to the place before.
          event.preventDefault();
          document.getElementById(WORK)?.focus();
        }}
      >
        To the work
      </a>
    </Box>
  );
}

if (typeof window !== 'undefined') chooseDates(monthFirst());

/** How the application looks and tells the time, as it was chosen. */
function Chosen() {
  const { look, hours } = useShop().settings;
  chooseHours(hours);
  useLook(look);
  return null;
}

/** Only a shop that has a sensor loads what follows it. */
function Sensor() {
  const { sensor } = useShop().settings;
  return sensor && <FollowSensor choice={sensor} />;
}

/** Only a shop with pieces has something to back up. */
function Backups({ pathname }: { pathname: string }) {
  const { pieces } = useShop();
  return pieces.length > 0 && !pathname.startsWith('/wet/') && <FolderBackup />;
}

/** Frame of every page: bench strip, rail, and the bar that says when something was not saved. */
export function Shell({ children }: { children: ReactNode }) {
  const { pathname } = useAddress();
  useUrgentAhead();
  return (
    <Boundary what="Bilamina">
      <ShopProvider
        opening={(state) => <OpeningShop state={state} />}
        failed={(error, again) => <StorageTrouble error={error} onAgain={again} />}
        overtaken={<OvertakenBar />}
      >
        <ActProvider>
          <Chosen />
          <SkipLink />
          <Patterns />
          <DemoOnAsking />
          <Backups pathname={pathname} />
          <Frame pathname={pathname}>{children}</Frame>
          <Sensor />
          <WriteFailureBar />
          <NewVersionBar />
          <Announcer />
        </ActProvider>
      </ShopProvider>
    </Boundary>
  );
}
