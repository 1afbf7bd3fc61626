import { useState } from 'react';

/**
 * What is typed follows what is stored, unless it is being typed into: another tab's change does not wipe it out.
 * @param stored the stored value as the field shows it @param origin what stands behind it in the record
 */
export function useFollowing<T, O>(stored: T, origin: O) {
  const [value, setValue] = useState(stored);
  const [seen, setSeen] = useState(JSON.stringify(stored));
  const [touched, setTouched] = useState(false);
  /** What stood in the record when typing or choosing began; null while the record is followed. */
  const [begun, setBegun] = useState<{ readonly origin: O; readonly typed: boolean } | null>(null);
  if (seen !== JSON.stringify(stored)) {
    setSeen(JSON.stringify(stored));
    if (!begun) {
      setValue(stored);
      setTouched(false);
    }
  }
  return {
    value,
    touched,
    /** What the change is based on. */
    origin: begun ? begun.origin : origin,
    type: (next: T) => {
      setBegun((b) => ({ origin: b ? b.origin : origin, typed: true }));
      setValue(next);
    },
    /** Chosen, not typed: it stands until it is stored, whatever was on its way there before. */
    put: (next: T, stored: Promise<unknown>) => {
      setBegun((b) => b ?? { origin, typed: false });
      setValue(next);
      void stored.finally(() => setBegun((b) => (b?.typed ? b : null)));
    },
    /** The field is left: it follows again. */
    done: () => {
      setTouched(true);
      setBegun(null);
    },
  };
}
