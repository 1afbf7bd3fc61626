import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form';

/** What a form's pure reader says: the record, or a message for each field that is wrong. */
export type FormRead<D, R> =
  | { readonly ok: true; readonly value: R }
  | { readonly ok: false; readonly errors: Partial<Record<keyof D & string, string>> };

/** A form resolver from a pure reader, so that forms and tests use the same rules. */
export function resolverOf<D extends FieldValues, R>(
  read: (draft: D) => FormRead<D, R>,
): Resolver<D> {
  return (draft) => {
    const result = read(draft);
    if (result.ok) return { values: draft, errors: {} };
    const errors = Object.fromEntries(
      Object.entries(result.errors).map(([field, message]) => [
        field,
        { type: 'invalid', message },
      ]),
    );
    return { values: {}, errors: errors as FieldErrors<D> };
  };
}
