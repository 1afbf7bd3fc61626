'use client';
import { Box, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { Button } from '@/ui/Button';
import { DialogFrame } from '@/ui/DialogFrame';
import { Figure } from '@/ui/Figure';
import { padAfter, PAD_KEYS, type PadKeyName } from './padAfter';
import { useKey } from './useKey';

function PadKey({ name, onPress }: { name: PadKeyName; onPress: () => void }) {
  useKey(name === '⌫' ? 'backspace' : name, onPress);
  return (
    <Button
      minH="72px"
      fontSize="2xl"
      fontFamily="mono"
      aria-label={name === '⌫' ? 'Take the last digit back' : undefined}
      onClick={onPress}
    >
      {name}
    </Button>
  );
}

interface Props {
  readonly title: string;
  readonly unit: string;
  readonly onTold: (value: number) => void;
  readonly onCancel: () => void;
}

/** A number told with large keys, or with the digits of a keyboard; it starts empty. */
export function NumberPad({ title, unit, onTold, onCancel }: Props) {
  const [text, setText] = useState('');
  const value = Number(text);
  const told = text !== '' && value > 0;
  return (
    <DialogFrame
      title={title}
      onClose={onCancel}
      footer={
        <>
          <Button minH="64px" fontSize="lg" onClick={onCancel}>
            Not now
          </Button>
          <Button
            minH="64px"
            fontSize="lg"
            variant="ink"
            disabled={!told}
            onClick={() => onTold(value)}
          >
            Take it
          </Button>
        </>
      }
    >
      <Box role="status" fontSize="4xl" fontWeight="600" minH="64px">
        <Figure>{text === '' ? '–' : text}</Figure> {unit}
      </Box>
      <Grid templateColumns="repeat(3, 1fr)" gap="2">
        {PAD_KEYS.map((key) => (
          <PadKey key={key} name={key} onPress={() => setText(padAfter(text, key))} />
        ))}
      </Grid>
    </DialogFrame>
  );
}
