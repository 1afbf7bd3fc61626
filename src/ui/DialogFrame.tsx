import { Dialog, Portal } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface Props {
  readonly title: ReactNode;
  readonly children: ReactNode;
  /** Its keys, the one that leaves it first. */
  readonly footer: ReactNode;
  /** Left by Escape or by a tap beside it. */
  readonly onClose: () => void;
  readonly open?: boolean;
  /** It asks before something is done. */
  readonly asks?: boolean;
  /** Its width, where it is not the usual one. */
  readonly width?: string;
  /** A tap beside it leaves it alone: too much would be lost. */
  readonly stays?: boolean;
}

/** What lies over a place until it is answered or left: its title, what it holds, its keys. */
export function DialogFrame({
  title,
  children,
  footer,
  onClose,
  open = true,
  asks = false,
  width,
  stays = false,
}: Props) {
  return (
    <Dialog.Root
      role={asks ? 'alertdialog' : 'dialog'}
      open={open}
      onOpenChange={(e) => !e.open && onClose()}
      closeOnInteractOutside={!stays && !asks}
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content {...(width && { css: { width } })}>
            <Dialog.Header>
              <Dialog.Title>{title}</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>{children}</Dialog.Body>
            <Dialog.Footer>{footer}</Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
