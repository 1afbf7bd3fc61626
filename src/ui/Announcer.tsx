'use client';
import { VisuallyHidden } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { hearAnnouncements } from './announce';

/** The one place where milestones are said to a screen reader, politely. */
export function Announcer() {
  const [words, setWords] = useState('');
  useEffect(() => hearAnnouncements(setWords), []);
  return (
    <VisuallyHidden role="status" data-announcer="">
      {words}
    </VisuallyHidden>
  );
}
