import { createDb } from '@/data/db';
import { exportShop } from '@/data/exchange/shopFile';
import { tellStory } from './story';

/** The last hour of the story, a Tuesday afternoon. */
export const STORY_ENDS_MS = Date.UTC(2026, 10, 24, 13, 30);

/** Tells the story to an empty shop. @returns the text of its shop file */
export async function makeDemo(name: string): Promise<string> {
  const db = createDb(name);
  await tellStory(db, STORY_ENDS_MS);
  const file = await exportShop(db, STORY_ENDS_MS);
  await db.delete();
  return `${JSON.stringify(file, null, 1)}\n`;
}
