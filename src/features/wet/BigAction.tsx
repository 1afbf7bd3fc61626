import { Box } from '@chakra-ui/react';
import type { MouseEvent } from 'react';
import { Button } from '@/ui/Button';
import { KeyName } from './KeyName';
import { useArmed } from './useArmed';
import { useHold } from './useHold';
import { useKey } from './useKey';

interface Props {
  readonly label: string;
  /** What it is about: another token is another action, deaf for a moment so that a second tap does not reach it. */
  readonly token: string;
  readonly hotkey: string;
  readonly keyName: string;
  readonly onAct: () => void;
  readonly kind: 'main' | 'second';
  readonly disabled?: boolean;
  /** It must be held down: what it does cannot be meant by a tap. */
  readonly hold?: boolean;
}

/** One large target, or one key. */
export function BigAction({
  label,
  token,
  hotkey,
  keyName,
  onAct,
  kind,
  disabled = false,
  hold = false,
}: Props) {
  const armed = useArmed(`${token}/${hold}`);
  const holding = useHold(onAct, hold && armed.isArmed && !disabled, hotkey);
  useKey(hotkey, onAct, disabled || hold || !armed.isArmed);
  const click = (event: MouseEvent) => {
    const byHand = event.detail > 0;
    if (hold) {
      if (!byHand) holding.byAssistance();
    } else if (armed.takes(byHand)) onAct();
  };
  return (
    <Button
      variant={kind === 'main' ? 'ink' : 'quiet'}
      size="bench"
      bg={kind === 'main' ? (hold ? 'oxide' : 'ink') : 'verdigrisPale'}
      flex={kind === 'main' ? '2' : '1'}
      minH="124px"
      fontSize={kind === 'main' ? '2xl' : 'xl'}
      position="relative"
      overflow="hidden"
      touchAction="none"
      userSelect="none"
      disabled={disabled}
      data-hold={hold ? hotkey : undefined}
      aria-disabled={!armed.isArmed || undefined}
      opacity={armed.isArmed && !disabled ? 1 : 0.55}
      {...armed.handlers}
      onPointerDown={() => {
        armed.handlers.onPointerDown();
        holding.start();
      }}
      onPointerUp={holding.stop}
      onPointerLeave={holding.stop}
      onPointerCancel={holding.stop}
      onContextMenu={(event) => event.preventDefault()}
      onClick={click}
      aria-keyshortcuts={hotkey === ' ' ? 'Space' : hotkey.toUpperCase()}
    >
      {holding.share > 0 && (
        <Box
          aria-hidden
          position="absolute"
          left="0"
          top="0"
          bottom="0"
          bg="amber"
          opacity={0.55}
          width={`${holding.share * 100}%`}
        />
      )}
      <Box as="span" position="relative">
        {holding.asked ? 'Press once more to confirm' : label}
      </Box>
      <KeyName>{hold ? `hold ${keyName}` : keyName}</KeyName>
    </Button>
  );
}
