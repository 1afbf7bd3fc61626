import { Dialog, Portal } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Button } from './Button';

interface Props {
  readonly open: boolean;
  readonly title: string;
  readonly children: ReactNode;
  readonly confirm: string;
  readonly onConfirm: () => void;
  readonly onCancel: () => void;
}

/** Asks before something that cannot be taken back. */
export function ConfirmDialog({ open, title, children, confirm, onConfirm, onCancel }: Props) {
  return (
    <Dialog.Root role="alertdialog" open={open} onOpenChange={(e) => !e.open && onCancel()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>{title}</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>{children}</Dialog.Body>
            <Dialog.Footer>
              <Button onClick={onCancel}>Keep as it is</Button>
              <Button variant="danger" onClick={onConfirm}>
                {confirm}
              </Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
