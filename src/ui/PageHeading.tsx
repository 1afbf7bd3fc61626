'use client';
import { Heading, type HeadingProps } from '@chakra-ui/react';
import { useEffect, useRef, type ReactNode } from 'react';
import { useTitle } from './useTitle';

interface Props extends Pick<HeadingProps, 'fontSize' | 'mb'> {
  /** The page in the window’s title. */
  readonly title: string;
  readonly children?: ReactNode;
}

/** Whether a page was shown before: the first one leaves the keyboard where the browser puts it. */
let shown = false;

/** True when the keyboard is nowhere, or still on what led here. */
function isAdrift(): boolean {
  const place = document.activeElement?.closest('main, [role=dialog], [role=alertdialog]');
  return !place || place === document.activeElement;
}

/** The heading of a page: who comes from another page begins here, also by key and by ear. */
export function PageHeading({ title, children = title, fontSize = '3xl', mb }: Props) {
  const ref = useRef<HTMLHeadingElement>(null);
  useTitle(title);
  useEffect(() => {
    if (shown && isAdrift()) ref.current?.focus({ preventScroll: true });
    shown = true;
  }, []);
  return (
    <Heading ref={ref} as="h1" tabIndex={-1} outline="none" fontSize={fontSize} mb={mb}>
      {children}
    </Heading>
  );
}
