'use client';
import { Box } from '@chakra-ui/react';
import { PackageOpen } from 'lucide-react';
import type { BundleWhat } from '@/data/exchange/bundle';
import { useShop } from '@/data/hooks';
import { Button } from '@/ui/Button';
import { saveBundle } from './bundleFile';
import { useFileWork } from './useFileWork';
import { WorkState } from './WorkState';

/** Saves a part of the shop as a bundle that another machine takes in. */
export function HandOver({ what, name, small }: { what: BundleWhat; name: string; small?: true }) {
  const { person } = useShop().settings;
  const work = useFileWork();
  return (
    <Box>
      <Button
        {...(small && { variant: 'quiet', minH: '44px', px: '2', 'aria-label': 'Hand over' })}
        onClick={() =>
          void work.run('Handing over', (options) => saveBundle(what, name, person, options))
        }
      >
        <PackageOpen size={small ? 22 : 18} aria-hidden />
        {!small && 'Hand over'}
      </Button>
      <WorkState {...work} />
    </Box>
  );
}
