import { existsSync } from 'node:fs';

/** Without a window where Debian has it so, else the whole of it. */
const HEADLESS = '/usr/bin/chromium-headless-shell';

/** Debian's Chromium, with its own calls to the network switched off. */
export const CHROMIUM = {
  executablePath: existsSync(HEADLESS) ? HEADLESS : '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    // One process for all pages of the application: what it compiled for one test it need not compile for the next.
    '--process-per-site',
  ],
};
