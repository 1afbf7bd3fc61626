'use client';
import { CircleHelp } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Button } from '@/ui/Button';

const HelpDialog = dynamic(() => import('./HelpDialog').then((m) => m.HelpDialog), { ssr: false });

/** Opens the help of the place, by its key or by `?`; where something is typed, `?` is a letter. */
export function Help({ pathname }: { pathname: string }) {
  const [open, setOpen] = useState(false);
  useHotkeys('?', () => setOpen(true), { useKey: true });
  return (
    <>
      <Button
        variant="quiet"
        flexDirection="column"
        gap="1"
        width={{ base: 'auto', md: '100%' }}
        flex={{ base: '1 1 0', md: '0 0 auto' }}
        minW="0"
        px="1"
        py={{ base: '1.5', md: '3' }}
        fontSize={{ base: 'xs', md: 'sm' }}
        fontFamily="body"
        fontWeight="500"
        color="ink2"
        aria-keyshortcuts="?"
        onClick={() => setOpen(true)}
      >
        <CircleHelp size={24} strokeWidth={1.6} aria-hidden />
        Help
      </Button>
      {open && <HelpDialog pathname={pathname} onClose={() => setOpen(false)} />}
    </>
  );
}
