'use client';
import { useEffect } from 'react';
import { announce } from './announce';

const NAME = 'Bilamina';

/** Names the page in the window and to a screen reader; nothing is said while `words` is null. */
export function useTitle(words: string | null): void {
  useEffect(() => {
    if (words === null) return;
    const title = `${words} · ${NAME}`;
    if (document.title === title) return;
    document.title = title;
    announce(words);
  }, [words]);
}
