import type { Survey } from '@/data/repos/survey';
import type { Format } from '@/features/common/useFormat';
import { emptyArea, emptyDraft, type AreaDraft, type SurveyDraft } from './draft';

/** A survey that is typed and not stored yet, with what it was begun from. */
export interface KeptSurvey {
  readonly draft: SurveyDraft;
  readonly basis: { readonly base: Survey; readonly read: Survey } | null;
}

/**
 * A kept draft as this program reads it: fields that it does not know are as in an empty one. Pictures are not kept
 * with a draft, so an outline that was traced since is taken as drawn.
 * @param known ids of pictures that are stored
 * @returns null for what is no draft of a survey
 */
export function reviveSurvey(
  kept: KeptSurvey,
  known: ReadonlySet<string>,
  format: Format,
): SurveyDraft | null {
  const { draft } = kept;
  if (typeof draft !== 'object' || !Array.isArray(draft.areas) || draft.areas.length === 0)
    return null;
  const areas = draft.areas.map((area): AreaDraft => {
    const { measured } = area;
    const blank = emptyArea(format, area.kind);
    const lost = measured.by === 'photo' && !known.has(measured.photoId);
    return {
      ...blank,
      ...area,
      surface: { ...blank.surface, ...area.surface },
      ...(lost && { measured: { by: 'drawing' } as const }),
    };
  });
  return { ...emptyDraft(format), ...draft, areas };
}
