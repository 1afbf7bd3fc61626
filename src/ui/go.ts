/** Leads to another place of Bilamina. The router hears of it through the history; no server is asked. */
export function go(href: string, how: 'push' | 'replace' = 'push'): void {
  if (how === 'replace') {
    window.history.replaceState(null, '', href);
    return;
  }
  window.history.pushState(null, '', href);
  window.scrollTo(0, 0);
}
