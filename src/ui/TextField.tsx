import { Input, Textarea, type InputProps, type TextareaProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { FieldRow } from './FieldRow';

interface RowProps {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
  readonly mark?: ReactNode;
}

/** One line of text. Takes what a form library's `register` gives. */
export function TextField({ label, hint, error, mark, ...input }: RowProps & InputProps) {
  return (
    <FieldRow label={label} hint={hint} error={error} mark={mark}>
      {(control) => <Input autoComplete="off" {...input} {...control} />}
    </FieldRow>
  );
}

export function TextAreaField({ label, hint, error, mark, ...input }: RowProps & TextareaProps) {
  return (
    <FieldRow label={label} hint={hint} error={error} mark={mark}>
      {(control) => <Textarea {...input} {...control} />}
    </FieldRow>
  );
}
