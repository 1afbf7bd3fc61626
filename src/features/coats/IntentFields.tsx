import type { IntentKind } from '@/core/coat';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { INTENT_WORDS, intentOptions, type IntentDraft } from './intents';

interface Props {
  readonly draft: IntentDraft;
  /** Said below a given thickness. */
  readonly hint?: string | undefined;
  readonly error: string | undefined;
  readonly onKind: (by: IntentKind) => void;
  readonly onValue: (value: string) => void;
  /** The number is done: Enter, or the field is left. */
  readonly onDone?: (() => void) | undefined;
}

/** What a coat is to do, and the one number that this takes. */
export function IntentFields({ draft, hint, error, onKind, onValue, onDone }: Props) {
  const { field } = INTENT_WORDS[draft.by];
  return (
    <>
      <SelectField
        label="It is to"
        value={draft.by}
        options={intentOptions}
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
