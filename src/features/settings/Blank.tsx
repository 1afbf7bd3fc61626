import { Box, chakra } from '@chakra-ui/react';
import {
  useId,
  type ComponentPropsWithRef,
  type ReactNode,
  type SelectHTMLAttributes,
  type InputHTMLAttributes,
} from 'react';
import { focusRing } from '@/ui/touch';

const line = {
  bg: 'amberWash',
  borderBottomWidth: '2px',
  borderColor: 'amber',
  fontWeight: '600',
  minH: '44px',
  height: '44px',
  lineHeight: '1.2',
  px: '2',
  color: 'ink',
  maxW: '100%',
  _focusVisible: focusRing,
  _invalid: { borderColor: 'oxide' },
} as const;

/** A sentence of the settings with its blanks; what it means, and what is wrong with it, stands under it. */
export function Sentence({
  hint,
  narrow = false,
  children,
}: {
  hint?: string;
  /** In a column: each blank stands under its words. */
  narrow?: boolean;
  children: ReactNode;
}) {
  return (
    <Box py="2.5" borderBottomWidth="1px" borderColor="line" _last={{ borderBottomWidth: '0' }}>
      <Box
        fontSize={narrow ? 'md' : 'lg'}
        lineHeight={narrow ? '1.7' : '2.9'}
        css={narrow ? { '& select': { display: 'block', width: '100%' } } : undefined}
      >
        {children}
      </Box>
      {hint && (
        <Box fontSize="sm" color="ink2">
          {hint}
        </Box>
      )}
    </Box>
  );
}

interface Named {
  /** Its name for who hears the page; in the sentence the words before it name it. */
  readonly label: string;
  readonly error?: string | undefined;
}

function Trouble({ id, error }: { id: string; error: string | undefined }) {
  return (
    error && (
      <Box as="span" id={id} role="alert" fontSize="sm" fontWeight="600" color="oxide">
        {error}{' '}
      </Box>
    )
  );
}

/** A blank that is filled by choosing. Takes what a form library’s `register` gives. */
export function BlankSelect({
  label,
  options,
  ...select
}: Named & {
  readonly options: readonly (readonly [value: string, words: string])[];
} & ComponentPropsWithRef<'select'> &
  SelectHTMLAttributes<HTMLSelectElement>) {
  return (
    <chakra.select aria-label={label} cursor="pointer" {...line} {...select}>
      {options.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </chakra.select>
  );
}

/** A blank that is filled by typing. @param ch room for so many letters */
export function BlankText({
  label,
  error,
  ch,
  ...input
}: Named & { readonly ch: number } & ComponentPropsWithRef<'input'> &
  InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <>
      <chakra.input
        aria-label={label}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? id : undefined}
        autoComplete="off"
        width={`calc(${ch}ch + 20px)`}
        {...line}
        {...input}
      />
      <Trouble id={id} error={error} />
    </>
  );
}
