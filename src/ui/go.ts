const followers = new Set<() => void>();

/** A message to ourselves: what is drawn in a tap's own event runs all its effects before the browser may paint. */
let soon: MessageChannel | null = null;

function tell(): void {
  for (const told of followers) told();
}

/** Tells all who follow the address, right after the event that changed it. */
function tellSoon(): void {
  if (!soon) {
    soon = new MessageChannel();
    soon.port1.onmessage = tell;
  }
  soon.port2.postMessage(null);
}

/**
 * Changes the address as the browser itself does. The router has put its own way over that, to draw what follows in pieces
 * with pauses between them; an entry that holds nothing of it leaves it alone, also on the way back.
 */
const write = (how: 'pushState' | 'replaceState', href: string): void =>
  History.prototype[how].call(window.history, null, '', href);

function change(href: string, how: 'push' | 'replace'): void {
  write(how === 'push' ? 'pushState' : 'replaceState', href);
  if (how === 'push') window.scrollTo(0, 0);
}

/** Leads on to another place of Bilamina, drawn in one go with what changed just before. No server is asked. */
export function go(href: string, how: 'push' | 'replace' = 'push'): void {
  change(href, how);
  tell();
}

/** Leads to another place from within the event of a tap, which is over before the place is drawn. */
export function follow(href: string): void {
  change(href, 'push');
  tellSoon();
}

/** Whether somebody follows the address already: then it is what the window says. */
export const isFollowed = (): boolean => followers.size > 0;

/** Calls back whenever the address has changed. From then on it is ours alone. @returns what ends it */
export function followAddress(told: () => void): () => void {
  if (followers.size === 0) {
    write('replaceState', window.location.href);
    window.addEventListener('popstate', tellSoon);
  }
  followers.add(told);
  return () => {
    followers.delete(told);
    if (followers.size === 0) window.removeEventListener('popstate', tellSoon);
  };
}
