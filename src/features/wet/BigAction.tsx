'use client';
import { Box } from '@chakra-ui/react';
import { Button } from '@/ui/Button';
import { useKey } from './useKey';

interface Props {
  readonly label: string;
  readonly hotkey: string;
  readonly keyName: string;
  readonly onAct: () => void;
  readonly kind: 'main' | 'second';
  readonly disabled?: boolean;
}

/** One large target, or one key. */
export function BigAction({ label, hotkey, keyName, onAct, kind, disabled = false }: Props) {
  useKey(hotkey, onAct, disabled);
  return (
    <Button
      variant={kind === 'main' ? 'ink' : 'quiet'}
      size="bench"
      bg={kind === 'main' ? 'ink' : 'verdigrisPale'}
      flex={kind === 'main' ? '2' : '1'}
      minH="124px"
      disabled={disabled}
      onClick={onAct}
      aria-keyshortcuts={hotkey === ' ' ? 'Space' : hotkey.toUpperCase()}
    >
      {label}
      <Box
        as="span"
        aria-hidden
        fontSize="sm"
        fontFamily="mono"
        borderWidth="1px"
        borderColor="currentcolor"
        px="2"
        py="0.5"
      >
        {keyName}
      </Box>
    </Button>
  );
}
