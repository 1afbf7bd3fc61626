'use client';
import { Box } from '@chakra-ui/react';
import type { Opening } from '@/data/hooks';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';

const WORDS: Readonly<Record<Exclude<Opening, 'opening'>, readonly [title: string, text: string]>> =
  {
    blocked: [
      'Another tab holds the shop open',
      'This shop has to be brought up to date, and a tab with the older Bilamina is still open. Close that tab or reload it; this one then goes on by itself.',
    ],
    silent: [
      'The browser’s storage does not answer',
      'It has been asked for some seconds. Close other tabs of Bilamina, or restart the browser; the shop opens here by itself as soon as it answers. Nothing was changed.',
    ],
  };

/** What is shown until the shop is open. */
export function OpeningShop({ state }: { state: Opening }) {
  if (state === 'opening') return <p className="opening">Opening the shop …</p>;
  const [title, text] = WORDS[state];
  return (
    <Box p="10" maxW="720px" role="alert">
      <Panel p="6">
        <Box as="h1" fontFamily="heading" fontSize="2xl" fontWeight="600" mb="2">
          {title}
        </Box>
        {text}
      </Panel>
    </Box>
  );
}

/** Another tab brought the shop up to date: this one stops writing and says so. */
export function OvertakenBar() {
  return (
    <Box role="alert" bg="oxide" color="card" px="6" py="3">
      <strong>This tab is out of date.</strong> Another tab brought the shop up to date, so nothing
      more is saved here. What you typed still stands below: copy what you need, then reload.{' '}
      <Button size="sm" ms="3" onClick={() => window.location.reload()}>
        Reload
      </Button>
    </Box>
  );
}
