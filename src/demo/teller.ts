import { seededRandom } from '@/core/numeric';
import type { ShopDb } from '@/data/db';
import { readWhole } from '@/data/changes';
import type { ActionContext } from '@/data/write';
import { asId, type Coat, type Id, type Piece } from '@/records';
import { viewPiece, type CoatView } from '@/shop/coatView';
import type { Shop } from '@/shop/shop';

/** An act of the story, when its time comes. */
type Tell = (db: ShopDb, context: ActionContext) => Promise<unknown>;

/** Plays acts on a shop in the order of their times, with a clock, people and ids of its own. */
export class Teller {
  private readonly told: { readonly atMs: number; readonly by: string; readonly tell: Tell }[] = [];
  private readonly random = seededRandom(1874);

  constructor(private readonly people: readonly [string, ...string[]]) {}

  /** Somebody of the shop. */
  anyone(): string {
    return this.people[Math.floor(this.random() * this.people.length)] ?? this.people[0];
  }

  /** A share between −½ and ½. */
  slip(): number {
    return this.random() - 0.5;
  }

  at(atMs: number, tell: Tell, by = this.anyone()): void {
    this.told.push({ atMs: Math.round(atMs), by, tell });
  }

  /** @throws whatever an act refuses, with its time in hours from the last one of the story */
  async play(db: ShopDb): Promise<void> {
    let serial = 0;
    const newId = <Name extends string>(): Id<Name> => {
      serial += 1;
      return asId(`demo-${String(serial).padStart(4, '0')}`);
    };
    for (const { atMs, by, tell } of [...this.told].sort((a, b) => a.atMs - b.atMs))
      await tell(db, { nowMs: atMs, by, newId });
  }
}

/** The shop as it stands while the story is told. */
export const shopNow = async (db: ShopDb): Promise<Shop> => (await readWhole(db)).shop;

function found<T>(row: T | undefined, name: string): T {
  if (row === undefined) throw new RangeError(`demo: no ${name}`);
  return row;
}

export async function pieceNamed(db: ShopDb, name: string): Promise<Piece> {
  return found(await db.pieces.filter((p) => p.name === name).first(), name);
}

export async function coatNamed(db: ShopDb, piece: string, name: string): Promise<Coat> {
  const { id } = await pieceNamed(db, piece);
  const coats = await db.coats.where('pieceId').equals(id).toArray();
  return found(
    coats.find((c) => c.name === name),
    `${piece}, ${name}`,
  );
}

/** A coat as the screens see it at an instant. */
export async function coatSeen(
  db: ShopDb,
  piece: string,
  name: string,
  nowMs: number,
): Promise<CoatView> {
  const shop = await shopNow(db);
  const view = viewPiece(shop, await pieceNamed(db, piece), nowMs);
  return found(
    view.coats.find((v) => v.coat.name === name),
    `${piece}, ${name}`,
  );
}
