import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Button } from './Button';
import { DialogFrame } from './DialogFrame';

interface Props<T extends string> {
  readonly open: boolean;
  readonly title: string;
  readonly children: ReactNode;
  readonly choices: readonly (readonly [value: T, words: string])[];
  readonly onChoose: (value: T) => void;
  readonly onCancel: () => void;
}

/** Asks which of a few it is, with keys for a gloved hand. */
export function ChoiceDialog<T extends string>({
  open,
  title,
  children,
  choices,
  onChoose,
  onCancel,
}: Props<T>) {
  return (
    <DialogFrame
      asks
      open={open}
      title={title}
      onClose={onCancel}
      footer={
        <Button minH="64px" fontSize="lg" onClick={onCancel}>
          Keep as it is
        </Button>
      }
    >
      <Box mb="3">{children}</Box>
      <Flex direction="column" gap="2">
        {choices.map(([value, words]) => (
          <Button key={value} minH="64px" fontSize="lg" onClick={() => onChoose(value)}>
            {words}
          </Button>
        ))}
      </Flex>
    </DialogFrame>
  );
}
