const followers = new Set<() => void>();

/**
 * Tells all who follow the address, right after the event that changed it: of what is drawn in the event itself React runs
 * all effects before it lets the browser paint.
 */
const tell = (): void =>
  queueMicrotask(() => {
    for (const told of followers) told();
  });

/** Leads to another place of Bilamina. Who follows the address draws it next; no server is asked. */
export function go(href: string, how: 'push' | 'replace' = 'push'): void {
  if (how === 'replace') window.history.replaceState(null, '', href);
  else {
    window.history.pushState(null, '', href);
    window.scrollTo(0, 0);
  }
  tell();
}

/** Calls back whenever the address has changed. @returns what ends it */
export function followAddress(told: () => void): () => void {
  followers.add(told);
  window.addEventListener('popstate', tell);
  return () => {
    followers.delete(told);
    if (followers.size === 0) window.removeEventListener('popstate', tell);
  };
}
