/** What keeps text by a key: the browser's storage, or a map in a test. */
export type Kept = Pick<Storage, 'getItem' | 'setItem'>;

/** Which alarms this browser has told, by session: no part of the shop. */
const keyOf = (sessionId: string) => `bilamina-told-${sessionId}`;
/** So many are kept: more than a session of a day tells. */
const MOST = 500;

function toldBefore(sessionId: string, kept: Kept): readonly string[] {
  try {
    const told: unknown = JSON.parse(kept.getItem(keyOf(sessionId)) ?? '[]');
    return Array.isArray(told) ? told.filter((id): id is string => typeof id === 'string') : [];
  } catch {
    return [];
  }
}

/**
 * Those of the alarms that are due which were not told yet; from now on they were, over reloads as well.
 * @param due ids @param kept the browser's storage
 */
export function freshAlarms(
  sessionId: string,
  due: readonly string[],
  kept: Kept = localStorage,
): readonly string[] {
  const before = toldBefore(sessionId, kept);
  const fresh = due.filter((id) => id !== '' && !before.includes(id));
  if (fresh.length === 0) return fresh;
  try {
    kept.setItem(keyOf(sessionId), JSON.stringify([...before, ...fresh].slice(-MOST)));
  } catch {
    // Without storage it is told again after a reload: better twice than never.
  }
  return fresh;
}
