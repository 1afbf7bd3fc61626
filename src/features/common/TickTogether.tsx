'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { Button } from '@/ui/Button';
import { Tick } from '@/ui/Tick';

export interface Tickable {
  readonly key: string;
  readonly label: ReactNode;
}

interface Props {
  /** Name of the list, for those who hear it. */
  readonly label: string;
  readonly items: readonly Tickable[];
  /** What the button that notes says for so many. */
  readonly words: (chosen: number) => string;
  readonly size: 'bench' | 'sm';
  /** @returns whether it was noted */
  readonly onNote: (keys: readonly string[]) => Promise<boolean>;
  readonly onLeave: () => void;
}

/** Things that were done in one go: nothing is taken for done that nobody ticked. */
export function TickTogether({ label, items, words, size, onNote, onLeave }: Props) {
  const [taken, setTaken] = useState<readonly string[]>([]);
  const chosen = items.filter((i) => taken.includes(i.key)).map((i) => i.key);
  const all = chosen.length === items.length;
  const note = async () => {
    if (await onNote(chosen)) onLeave();
  };
  return (
    <Box role="group" aria-label={label}>
      {items.map(({ key, label: name }) => (
        <Tick
          key={key}
          gap="3"
          minH="44px"
          checked={taken.includes(key)}
          onTick={(checked) => setTaken(checked ? [...taken, key] : taken.filter((k) => k !== key))}
        >
          {name}
        </Tick>
      ))}
      <Flex gap="3" my="1" wrap="wrap">
        <Button
          variant="ink"
          size={size}
          disabled={chosen.length === 0}
          onClick={() => void note()}
        >
          {words(chosen.length)}
        </Button>
        <Button size={size} onClick={() => setTaken(all ? [] : items.map((i) => i.key))}>
          {all ? 'None of these' : 'All of these'}
        </Button>
        <Button size={size} onClick={onLeave}>
          Not yet
        </Button>
      </Flex>
    </Box>
  );
}
