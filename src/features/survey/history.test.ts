import { emptyDraft, type SurveyDraft } from './draft';
import { startHistory, stepHistory, type HistoryAction } from './history';
import { METRIC } from '../test/shop';

describe('steps of the survey', () => {
  const draft = emptyDraft(METRIC);
  const rename = (name: string, tag: string | null) => ({
    type: 'change' as const,
    change: (d: SurveyDraft) => ({ ...d, name }),
    tag,
  });
  const run = (...actions: HistoryAction[]) => actions.reduce(stepHistory, startHistory(draft));
  it('changes with one tag in a row are one step, until the hand rests', () => {
    const typed = run(rename('S', 'name'), rename('Si', 'name'), rename('Sill', 'name'));
    expect(typed.past).toHaveLength(1);
    const again = [rename('Sill', 'name'), { type: 'rest' } as const, rename('Sills', 'name')];
    expect(run(...again).past).toHaveLength(2);
    expect(run(rename('A', null), rename('B', null)).past).toHaveLength(2);
  });
  it('undo and redo go back and forth; a new change forgets what was undone', () => {
    const back = run(rename('A', null), rename('B', null), { type: 'undo' });
    expect(back.now.name).toBe('A');
    expect(stepHistory(back, { type: 'redo' }).now.name).toBe('B');
    const other = stepHistory(back, rename('C', null));
    expect(stepHistory(other, { type: 'redo' })).toBe(other);
    expect(run({ type: 'undo' }).now).toBe(draft);
  });
});
