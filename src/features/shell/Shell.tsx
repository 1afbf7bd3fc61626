'use client';
import { Box, Flex } from '@chakra-ui/react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { ActProvider, ShopProvider } from '@/data/hooks';
import { Patterns } from '@/ui/Patterns';
import { BenchStrip } from './BenchStrip';
import { DemoOnAsking } from './DemoOnAsking';
import { PLACES } from './nav';
import { StorageTrouble } from './StorageTrouble';
import { WriteFailureBar } from './WriteFailureBar';

const isHere = (pathname: string, href: string) =>
  href === '/' ? pathname === '/' : pathname.startsWith(href);

function Rail({ pathname }: { pathname: string }) {
  return (
    <Flex
      as="nav"
      aria-label="Places"
      direction="column"
      width="84px"
      flexShrink={0}
      borderRightWidth="1px"
      borderColor="line"
      position="sticky"
      top="59px"
      alignSelf="flex-start"
      height="calc(100vh - 59px)"
      pt="2"
    >
      {PLACES.map(({ href, label, icon: Icon }) => {
        const here = isHere(pathname, href);
        return (
          <Flex
            key={href}
            asChild
            direction="column"
            align="center"
            gap="1"
            py="3"
            fontSize="sm"
            fontWeight={here ? '600' : '500'}
            color={here ? 'ink' : 'ink2'}
            bg={here ? 'amberWash' : 'transparent'}
            borderLeftWidth="4px"
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
    </Flex>
  );
}

/** Frame of every page: bench strip, rail, and the bar that says when something was not saved. */
export function Shell({ children }: { children: ReactNode }) {
  const pathname = usePathname();
  const atBench = pathname.startsWith('/wet/');
  return (
    <ShopProvider
      opening={<p className="opening">Opening the shop …</p>}
      failed={(error) => <StorageTrouble error={error} />}
    >
      <ActProvider>
        <Patterns />
        <DemoOnAsking />
        {atBench ? (
          <Box as="main">{children}</Box>
        ) : (
          <>
            <BenchStrip />
            <Flex align="flex-start">
              <Rail pathname={pathname} />
              <Box as="main" flex="1" minW="0" px="5" py="4">
                {children}
              </Box>
            </Flex>
          </>
        )}
        <WriteFailureBar />
      </ActProvider>
    </ShopProvider>
  );
}
