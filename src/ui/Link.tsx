'use client';
import type { AnchorHTMLAttributes, MouseEvent } from 'react';
import { follow } from './go';

interface Props extends AnchorHTMLAttributes<HTMLAnchorElement> {
  readonly href: string;
}

/** Left alone: a click that opens another tab, or that somebody else has taken. */
const isOrdinary = (event: MouseEvent): boolean =>
  !event.defaultPrevented &&
  event.button === 0 &&
  !(event.metaKey || event.ctrlKey || event.shiftKey || event.altKey);

/** A link to another place of Bilamina: the browser draws it, no server is asked. */
export function Link({ href, onClick, ...rest }: Props) {
  return (
    <a
      {...rest}
      href={href}
      onClick={(event) => {
        onClick?.(event);
        if (!isOrdinary(event)) return;
        event.preventDefault();
        follow(href);
      }}
    />
  );
}
