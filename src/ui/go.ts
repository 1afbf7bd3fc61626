const followers = new Set<() => void>();

/** A message to ourselves: what it brings about is no part of the tap's own event. */
let soon: MessageChannel | null = null;

/**
 * Tells all who follow the address, right after the event that changed it: React would else run all effects of what it
 * draws in an event before it lets the browser paint.
 */
function tell(): void {
  if (!soon) {
    soon = new MessageChannel();
    soon.port1.onmessage = () => {
      for (const told of followers) told();
    };
  }
  soon.port2.postMessage(null);
}

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
