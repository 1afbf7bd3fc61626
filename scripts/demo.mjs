// `npm run demo`: installs if needed, builds if needed, serves with the demo shop.
import {
  ensureBuilt,
  ensureInstalled,
  ensureNode,
  ensurePortFree,
  portOf,
} from './lib/prepare.mjs';

ensureNode();
await ensurePortFree(portOf(4180));
ensureInstalled();
ensureBuilt();
await import('./serve.mjs');
