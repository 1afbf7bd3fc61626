// `node scripts/large.mjs [pieces]`: only the figures of the large shop, for looking; `npm run bench` writes them.
import process from 'node:process';
import { largeShopRows } from './lib/large.mjs';
import { startServer } from './lib/prepare.mjs';

const { origin, close } = await startServer(4196);
console.table(await largeShopRows(origin, Number(process.argv[2] ?? 1000)));
close();
