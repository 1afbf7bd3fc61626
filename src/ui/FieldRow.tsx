import { Box, chakra } from '@chakra-ui/react';
import { useId, type ReactNode } from 'react';

export interface ControlProps {
  readonly id: string;
  readonly 'aria-describedby': string | undefined;
  readonly 'aria-invalid': true | undefined;
}

interface Props {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
  /** Stands beside the label. */
  readonly mark?: ReactNode;
  readonly children: (control: ControlProps) => ReactNode;
}

/** A label, its control, a hint, and a message at the control when something is wrong. */
export function FieldRow({ label, hint, error, mark, children }: Props) {
  const id = useId();
  const describedBy = [hint ? `${id}-hint` : '', error ? `${id}-error` : '']
    .filter(Boolean)
    .join(' ');
  return (
    <Box>
      <Box mb="1">
        <chakra.label htmlFor={id} fontSize="sm" fontWeight="600">
          {label}
        </chakra.label>
        {mark}
      </Box>
      {children({
        id,
        'aria-describedby': describedBy || undefined,
        'aria-invalid': error ? true : undefined,
      })}
      {hint && (
        <Box id={`${id}-hint`} fontSize="xs" color="ink2" mt="1">
          {hint}
        </Box>
      )}
      {error && (
        <Box id={`${id}-error`} role="alert" fontSize="sm" color="oxide" fontWeight="600" mt="1">
          {error}
        </Box>
      )}
    </Box>
  );
}
