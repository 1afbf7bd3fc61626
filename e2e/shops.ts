import { existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';

/**
 * Shops that tests begin with, made once a run through the screen (`shops.setup.ts`) and kept as files: the demo as it
 * loads; the viaduct painting at “weigh A” and with its mix stirred; the relief map and the lens made ready.
 */
const SHOPS = ['demo', 'weighing', 'stirred', 'ready'] as const;
export type ShopName = (typeof SHOPS)[number];

interface KeptStore {
  readonly name: string;
  readonly keyPath: string;
  readonly indices: readonly { readonly name: string; readonly multiEntry: boolean }[];
  readonly rows: readonly Record<string, unknown>[];
}
interface KeptShop {
  /** The browser's own number of the version. */
  readonly version: number;
  readonly stores: readonly KeptStore[];
  readonly local: Readonly<Record<string, string>>;
  readonly nowMs: number;
  readonly path: string;
}

const FOLDER = 'test-results/shops';
const fileOf = (name: ShopName) => `${FOLDER}/${name}.json`;

/** Whether every shop was made since the program was built. */
export const shopsAreKept = (): boolean =>
  SHOPS.every(
    (name) =>
      existsSync(fileOf(name)) &&
      statSync(fileOf(name)).mtimeMs > statSync('.next/BUILD_ID').mtimeMs,
  );

/** Keeps what the browser holds now, and when and where that is. */
export async function keepShop(page: Page, name: ShopName): Promise<void> {
  const kept = await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const request = indexedDB.open('bilamina');
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error ?? new Error('no shop'));
    });
    const base64 = async (blob: Blob) => {
      const bytes = new Uint8Array(await blob.arrayBuffer());
      return btoa(bytes.reduce((text, byte) => text + String.fromCharCode(byte), ''));
    };
    const plain = async (row: Record<string, unknown>) =>
      row['blob'] instanceof Blob
        ? { ...row, blob: [await base64(row['blob']), row['blob'].type] }
        : row;
    const names = [...db.objectStoreNames];
    const tx = db.transaction(names, 'readonly');
    const asked = names.map((store) => {
      const held = tx.objectStore(store);
      const indices = [...held.indexNames].map((index) => ({
        name: index,
        multiEntry: held.index(index).multiEntry,
      }));
      return { name: store, keyPath: held.keyPath as string, indices, request: held.getAll() };
    });
    await new Promise((resolve) => (tx.oncomplete = resolve));
    const stores = await Promise.all(
      asked.map(async ({ request, ...store }) => {
        const rows = request.result as Record<string, unknown>[];
        return { ...store, rows: await Promise.all(rows.map(plain)) };
      }),
    );
    const version = db.version;
    db.close();
    const { pathname } = window.location;
    return { version, stores, local: { ...localStorage }, nowMs: Date.now(), path: pathname };
  });
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(fileOf(name), JSON.stringify(kept));
}

const read = new Map<ShopName, KeptShop>();
function keptShop(name: ShopName): KeptShop {
  const kept = read.get(name) ?? (JSON.parse(readFileSync(fileOf(name), 'utf8')) as KeptShop);
  read.set(name, kept);
  return kept;
}

/** Where a piece of a shop is worked on at one of its stages. */
export function placeOf(shop: ShopName, piece: string, stage: string): string {
  const pieces = keptShop(shop).stores.find(({ name }) => name === 'pieces')?.rows ?? [];
  const wanted = piece.toLowerCase();
  const found = pieces.find((row) => String(row['name']).toLowerCase().includes(wanted));
  if (!found) throw new Error(`no piece “${piece}” in the shop “${shop}”`);
  return `/pieces/${String(found['id'])}/${stage}`;
}

/**
 * Writes a shop into the empty browser, past all of the program, and sets its clock to when the shop was kept.
 * @returns where the shop was kept
 */
export async function putShop(page: Page, name: ShopName): Promise<string> {
  const shop = keptShop(name);
  // The demo is as old as the browser: it has just been loaded.
  if (name !== 'demo') await page.clock.setSystemTime(shop.nowMs);
  // A page of ours that holds none of the program.
  if (!page.url().endsWith('/icon.svg')) await page.goto('/icon.svg');
  await page.evaluate(async ({ version, stores, local }) => {
    const blob = ([text, type]: [string, string]) =>
      new Blob([Uint8Array.from(atob(text), (c) => c.charCodeAt(0))], { type });
    Object.assign(localStorage, local);
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const request = indexedDB.open('bilamina', version);
      request.onupgradeneeded = () => {
        for (const { name, keyPath, indices } of stores) {
          const store = request.result.createObjectStore(name, { keyPath });
          for (const { name: index, multiEntry } of indices)
            store.createIndex(index, index, { multiEntry });
        }
      };
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error ?? new Error('not written'));
    });
    const tx = db.transaction([...db.objectStoreNames], 'readwrite');
    for (const { name, rows } of stores)
      for (const row of rows)
        tx.objectStore(name).add(
          Array.isArray(row['blob'])
            ? { ...row, blob: blob(row['blob'] as [string, string]) }
            : row,
        );
    await new Promise((resolve, reject) => {
      tx.oncomplete = resolve;
      tx.onabort = () => reject(tx.error ?? new Error('not written'));
    });
    db.close();
  }, shop);
  return shop.path;
}
