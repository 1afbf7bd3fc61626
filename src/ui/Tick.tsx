import { chakra, type HTMLChakraProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { focusRing } from './touch';

interface Props extends Omit<HTMLChakraProps<'label'>, 'children'> {
  readonly checked: boolean;
  readonly onTick: (checked: boolean) => void;
  readonly children: ReactNode;
}

/** A box to tick with its words; a tap on the words ticks it too. */
export function Tick({ checked, onTick, children, ...rest }: Props) {
  return (
    <chakra.label display="flex" gap="2" alignItems="center" minH="32px" {...rest}>
      <chakra.input
        type="checkbox"
        width="20px"
        height="20px"
        flexShrink={0}
        accentColor="ink"
        checked={checked}
        onChange={(e) => onTick(e.target.checked)}
        _focusVisible={focusRing}
      />
      <span>{children}</span>
    </chakra.label>
  );
}
