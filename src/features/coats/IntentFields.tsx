import type { IntentKind } from '@/core/coat';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { useFormat } from '@/features/common/useFormat';
import { intentField, intentOptions, type IntentDraft } from './intents';

interface Props {
  readonly draft: IntentDraft;
  /** Said below a given thickness. */
  readonly hint?: string | undefined;
  readonly error: string | undefined;
  /** Why it starts with this; only while it does. */
  readonly why?: string | undefined;
  readonly onKind: (by: IntentKind) => void;
  readonly onValue: (value: string) => void;
  /** The number is done: Enter, or the field is left. */
  readonly onDone?: (() => void) | undefined;
}

/** What a coat is to do, and the one number that this takes. */
export function IntentFields({ draft, hint, error, why, onKind, onValue, onDone }: Props) {
  const field = intentField(draft.by, useFormat());
  return (
    <>
      <SelectField
        label="It is to"
        value={draft.by}
        options={intentOptions}
        hint={why}
        error={field ? undefined : error}
        onChange={(e) => onKind(e.target.value as IntentKind)}
      />
      {field && (
        <TextField
          label={field.label}
          hint={draft.by === 'given' ? hint : field.hint}
          value={draft.value}
          error={error}
          onChange={(e) => onValue(e.target.value)}
          onBlur={onDone}
          onKeyDown={(e) => e.key === 'Enter' && onDone?.()}
        />
      )}
    </>
  );
}
