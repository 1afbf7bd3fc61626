'use client';
import { Popover, Portal, type HTMLChakraProps } from '@chakra-ui/react';
import { cloneElement, useState, type ReactElement, type ReactNode } from 'react';

interface Props {
  /** What opens it: a button. */
  readonly button: ReactElement<HTMLChakraProps<'button'>>;
  /** What it is called for who listens. */
  readonly label: string;
  readonly placement?: 'left' | 'bottom-start' | 'bottom-end';
  readonly children: ReactNode;
}

/** A small text that opens at a button. A screen holds dozens of these: each is made when it is first asked for. */
export function Opens({ button, label, placement = 'bottom-start', children }: Props) {
  const [wanted, setWanted] = useState(false);
  if (!wanted)
    return cloneElement(button, {
      'aria-haspopup': 'dialog',
      'aria-expanded': false,
      onClick: () => setWanted(true),
    });
  return (
    <Popover.Root defaultOpen lazyMount unmountOnExit positioning={{ placement }}>
      <Popover.Trigger asChild>{button}</Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content aria-label={label}>
            <Popover.Body>{children}</Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}
