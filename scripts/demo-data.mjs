// `npm run demo:data`: tells the story of the demo (`src/demo/story.ts`) to an empty shop and keeps it as a shop file.
import 'fake-indexeddb/auto';
import { writeFileSync } from 'node:fs';
import { loadTs } from './lib/loadTs.mjs';

const { makeDemo } = await loadTs('src/demo/make.ts');
writeFileSync('src/demo/shop.json', await makeDemo('demo'));
