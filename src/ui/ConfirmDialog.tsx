import type { ReactNode } from 'react';
import { Button } from './Button';
import { DialogFrame } from './DialogFrame';

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
    <DialogFrame
      asks
      open={open}
      title={title}
      onClose={onCancel}
      footer={
        <>
          <Button onClick={onCancel}>Keep as it is</Button>
          <Button variant="danger" onClick={onConfirm}>
            {confirm}
          </Button>
        </>
      }
    >
      {children}
    </DialogFrame>
  );
}
