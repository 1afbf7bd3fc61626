import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020';
import { demoShop } from '@/demo';
import { freshDb } from '../test/shop';
import { shopFileSchema } from './jsonSchema';
import { exportShop, fillEmptyShop } from './shopFile';

describe('JSON Schema of the shop file', () => {
  const ajv = new Ajv2020({ strict: false, allErrors: true });
  const validate = ajv.compile(shopFileSchema());
  const file = async () => {
    const db = freshDb();
    await fillEmptyShop(db, demoShop(Date.UTC(2026, 10, 24, 9, 30)));
    return JSON.parse(JSON.stringify(await exportShop(db, 0))) as {
      tables: Record<string, Record<string, unknown>[]>;
    };
  };
  it('stands in docs as it is (npm run demo:data writes it)', () => {
    const kept: unknown = JSON.parse(readFileSync('docs/shop-file.schema.json', 'utf8'));
    expect(kept).toEqual(JSON.parse(JSON.stringify(shopFileSchema())));
  });
  it('takes the demo shop, read by a validator that is not ours', async () => {
    validate(await file());
    expect(validate.errors ?? []).toEqual([]);
  });
  it('refuses a row without a name, a wrong kind, a field that is none', async () => {
    const spoilt = async (spoil: (piece: Record<string, unknown>) => void) => {
      const data = await file();
      spoil(data.tables['pieces']?.[0] ?? {});
      return validate(data);
    };
    expect(await spoilt((p) => delete p['name'])).toBe(false);
    expect(await spoilt((p) => (p['support'] = 'cheese'))).toBe(false);
    expect(await spoilt((p) => (p['extra'] = 1))).toBe(false);
  });
});
