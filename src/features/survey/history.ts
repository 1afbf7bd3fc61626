import type { SurveyDraft } from './draft';

/** Steps that can be taken back; `tag` names what the last change was about. */
export interface History {
  readonly past: readonly SurveyDraft[];
  readonly now: SurveyDraft;
  readonly future: readonly SurveyDraft[];
  readonly tag: string | null;
}

export type HistoryAction =
  | {
      readonly type: 'change';
      readonly change: (d: SurveyDraft) => SurveyDraft;
      readonly tag: string | null;
    }
  | { readonly type: 'undo' | 'redo' | 'rest' };

const MOST = 200;

export const startHistory = (now: SurveyDraft): History => ({
  past: [],
  now,
  future: [],
  tag: null,
});

/** Changes with the same tag in a row (a drag, typing in one field) are one step. */
export function stepHistory(history: History, action: HistoryAction): History {
  const { past, now, future, tag } = history;
  switch (action.type) {
    case 'change': {
      const next = action.change(now);
      if (next === now) return history;
      const same = action.tag !== null && action.tag === tag;
      return {
        past: same ? past : [...past, now].slice(-MOST),
        now: next,
        future: [],
        tag: action.tag,
      };
    }
    case 'undo': {
      const before = past[past.length - 1];
      return before
        ? { past: past.slice(0, -1), now: before, future: [now, ...future], tag: null }
        : history;
    }
    case 'redo': {
      const [after, ...rest] = future;
      return after ? { past: [...past, now], now: after, future: rest, tag: null } : history;
    }
    case 'rest':
      return { ...history, tag: null };
  }
}
