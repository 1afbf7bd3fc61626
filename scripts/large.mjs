// `node scripts/large.mjs [pieces]`: only the figures of the large shop, for looking; `npm run bench` writes them.
import process from 'node:process';
import { chromium } from '@playwright/test';
import { largeShopRows } from './lib/large.mjs';
import { CHROMIUM, startServer } from './lib/prepare.mjs';

const { origin, close } = await startServer(4196);
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] });
console.table(await largeShopRows(browser, origin, Number(process.argv[2] ?? 1000)));
await browser.close();
close();
