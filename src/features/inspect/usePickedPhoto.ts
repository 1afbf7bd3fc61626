import { useRef, useState } from 'react';
import type { DefectNote } from '@/data/repos/findings';
import { shrinkPhoto } from './shrinkPhoto';

type Picked = NonNullable<DefectNote['photo']>;

/** A photo that is chosen and takes its time to be read; it belongs to the form that it was chosen in. */
export function usePickedPhoto() {
  const [photo, setPhoto] = useState<Picked | 'reading' | null>(null);
  const [trouble, setTrouble] = useState<string>();
  const pending = useRef<Promise<Picked | 'unreadable' | null>>(Promise.resolve(null));
  const forget = () => {
    pending.current = Promise.resolve(null);
    setPhoto(null);
    setTrouble(undefined);
  };
  const pick = (file: File | undefined) => {
    forget();
    if (!file) return;
    setPhoto('reading');
    const reading: Promise<Picked | 'unreadable'> = shrinkPhoto(file).catch((error: unknown) => {
      if (pending.current === reading)
        setTrouble(error instanceof Error ? error.message : String(error));
      return 'unreadable';
    });
    pending.current = reading;
    void reading.then((read) => {
      // Another was chosen meanwhile, or the form was cleared: this one is nobody's.
      if (pending.current === reading) setPhoto(read === 'unreadable' ? null : read);
    });
  };
  return {
    photo,
    trouble,
    pick,
    forget,
    /** The photo once it is read; `unreadable` when it cannot be, null when none was chosen. */
    settled: () => pending.current,
  };
}
