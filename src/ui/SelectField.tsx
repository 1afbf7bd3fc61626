import { NativeSelect, type NativeSelectFieldProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { FieldRow } from './FieldRow';

interface Props extends NativeSelectFieldProps {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
  readonly mark?: ReactNode;
  readonly options: readonly (readonly [value: string, label: string])[];
}

/** A choice among a few. Takes what a form library's `register` gives. */
export function SelectField({ label, hint, error, mark, options, ...select }: Props) {
  return (
    <FieldRow label={label} hint={hint} error={error} mark={mark}>
      {(control) => (
        <NativeSelect.Root>
          <NativeSelect.Field {...select} {...control}>
            {options.map(([value, text]) => (
              <option key={value} value={value}>
                {text}
              </option>
            ))}
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
      )}
    </FieldRow>
  );
}
