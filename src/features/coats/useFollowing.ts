import { useState } from 'react';

/** What is typed follows what is stored, until it is typed into again. */
export function useFollowing<T>(stored: T) {
  const [value, setValue] = useState(stored);
  const [seen, setSeen] = useState(JSON.stringify(stored));
  const [touched, setTouched] = useState(false);
  // The surface was dragged, or another tab changed the coat: the field follows.
  if (seen !== JSON.stringify(stored)) {
    setSeen(JSON.stringify(stored));
    setValue(stored);
    setTouched(false);
  }
  return { value, setValue, touched, touch: () => setTouched(true) };
}
