import { useState } from 'react';

/**
 * What is typed follows what is stored, unless it is being typed into: another tab's change does not wipe it out.
 * @param stored the stored value as the field shows it @param origin what stands behind it in the record
 */
export function useFollowing<T, O>(stored: T, origin: O) {
  const [value, setValue] = useState(stored);
  const [seen, setSeen] = useState(JSON.stringify(stored));
  const [touched, setTouched] = useState(false);
  /** What stood in the record when typing began; null while nothing is typed. */
  const [begun, setBegun] = useState<{ readonly origin: O } | null>(null);
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
      setBegun((b) => b ?? { origin });
      setValue(next);
    },
    /** Chosen, not typed: it is stored at once. */
    put: setValue,
    /** The field is left: it follows again. */
    done: () => {
      setTouched(true);
      setBegun(null);
    },
  };
}
