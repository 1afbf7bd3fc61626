// `npm run demo:data`: tells the story of the demo (`src/demo/story.ts`) to an empty shop and keeps it as a shop file; and
// writes down the form of such a file for other programs.
import 'fake-indexeddb/auto';
import { writeFileSync } from 'node:fs';
import { format } from 'prettier';
import { loadTs } from './lib/loadTs.mjs';

const { makeDemo } = await loadTs('src/demo/make.ts');
writeFileSync('src/demo/shop.json', await makeDemo('demo'));
const { shopFileSchema } = await loadTs('src/data/exchange/jsonSchema.ts');
writeFileSync(
  'docs/shop-file.schema.json',
  await format(JSON.stringify(shopFileSchema()), { parser: 'json', printWidth: 100 }),
);
