'use client';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
  type Dispatch,
  type ReactNode,
} from 'react';
import type { NewPhoto } from '@/data/repos/survey';
import { useFormat, type Format } from '@/features/common/useFormat';
import { fitEdges, sideCount, type AreaDraft, type EdgeDraft, type SurveyDraft } from './draft';
import { withPlaces } from './places';
import { startHistory, stepHistory, type HistoryAction } from './history';

/** What is told beside the plan. */
export type Tab = 'piece' | 'edges' | 'surface' | 'level';

/** The film that level is judged by: that of the coat planned next, or a usual one. */
export interface PlannedFilm {
  readonly name: string;
  readonly thicknessM: number;
  readonly densityKgM3: number;
  /** Fluidity that is left when it is poured, 1/Pa. */
  readonly fluidityPerPa: number;
}

export interface SurveyState {
  readonly film: PlannedFilm | null;
  readonly draft: SurveyDraft;
  readonly format: Format;
  readonly index: number;
  readonly area: AreaDraft;
  readonly edge: number | null;
  readonly photos: readonly NewPhoto[];
  readonly errors: Readonly<Record<string, string>>;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly tab: Tab;
  readonly setTab: (tab: Tab) => void;
  readonly select: (index: number) => void;
  /** Chooses an edge and shows what is told of it. */
  readonly selectEdge: (edge: number | null) => void;
  /** Changes the draft; changes in a row with one tag are undone together. */
  readonly edit: (change: (d: SurveyDraft) => SurveyDraft, tag?: string) => void;
  /** Changes the chosen area; its edges follow its sides. */
  readonly editArea: (change: Partial<AreaDraft>, tag?: string) => void;
  readonly editEdge: (edge: number, change: Partial<EdgeDraft>, tag?: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** The next change begins a new step, whatever its tag. */
  readonly rest: () => void;
  readonly addPhotos: (photos: readonly NewPhoto[]) => void;
  readonly showErrors: (errors: Readonly<Record<string, string>>) => void;
}

const Context = createContext<SurveyState | null>(null);

export function useSurvey(): SurveyState {
  const state = useContext(Context);
  if (!state) throw new Error('useSurvey: outside SurveyProvider');
  return state;
}

const replaceAt = <T,>(list: readonly T[], index: number, change: (item: T) => T): T[] =>
  list.map((item, i) => (i === index ? change(item) : item));

/** The ways to change the draft; the chosen area's edges follow its sides. */
function useEdits(dispatch: Dispatch<HistoryAction>, index: number, format: Format) {
  const edit = useCallback<SurveyState['edit']>(
    (change, tag) =>
      dispatch({
        type: 'change',
        // Places follow the outline of their face.
        change: (d) => {
          const next = change(d);
          return next === d ? d : withPlaces(next, format);
        },
        tag: tag ?? null,
      }),
    [dispatch, format],
  );
  const editArea = useCallback<SurveyState['editArea']>(
    (change, tag) =>
      edit(
        (d) => ({
          ...d,
          areas: replaceAt(d.areas, index, (a) => {
            const next = { ...a, ...change };
            return { ...next, edges: fitEdges(next.edges, sideCount(next)) };
          }),
        }),
        tag,
      ),
    [edit, index],
  );
  const editEdge = useCallback<SurveyState['editEdge']>(
    (at, change, tag) =>
      edit(
        (d) => ({
          ...d,
          areas: replaceAt(d.areas, index, (a) => ({
            ...a,
            edges: replaceAt(fitEdges(a.edges, sideCount(a)), at, (e) => ({ ...e, ...change })),
          })),
        }),
        tag,
      ),
    [edit, index],
  );
  return { edit, editArea, editEdge };
}

/** Holds what is surveyed while it is edited, with every step that can be taken back. */
export function SurveyProvider({
  initial,
  film,
  onDraft,
  children,
}: {
  initial: SurveyDraft;
  film: PlannedFilm | null;
  /** Told of every change. */
  onDraft?: ((draft: SurveyDraft) => void) | undefined;
  children: ReactNode;
}) {
  const format = useFormat();
  const [history, dispatch] = useReducer(stepHistory, initial, startHistory);
  const [chosen, select] = useState(0);
  const [edge, setEdge] = useState<number | null>(null);
  const [tab, setTab] = useState<Tab>('piece');
  const [photos, setPhotos] = useState<readonly NewPhoto[]>([]);
  const [errors, showErrors] = useState<Readonly<Record<string, string>>>({});
  const draft = history.now;
  const told = useRef(draft);
  useEffect(() => {
    if (told.current === draft) return;
    told.current = draft;
    onDraft?.(draft);
  }, [draft, onDraft]);
  const index = Math.min(chosen, draft.areas.length - 1);
  const area = draft.areas[index];
  if (!area) throw new Error('SurveyProvider: a survey has at least one area');
  const { edit, editArea, editEdge } = useEdits(dispatch, index, format);
  const state = useMemo<SurveyState>(
    () => ({
      film,
      draft,
      format,
      index,
      area,
      edge: edge !== null && edge < sideCount(area) ? edge : null,
      photos,
      errors,
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
      select: (i) => {
        select(i);
        setEdge(null);
      },
      tab,
      setTab,
      selectEdge: (e) => {
        setEdge(e);
        if (e !== null) setTab('edges');
      },
      edit,
      editArea,
      editEdge,
      undo: () => dispatch({ type: 'undo' }),
      redo: () => dispatch({ type: 'redo' }),
      rest: () => dispatch({ type: 'rest' }),
      addPhotos: (added) => setPhotos((p) => [...p, ...added]),
      showErrors,
    }),
    [
      film,
      draft,
      format,
      index,
      area,
      edge,
      photos,
      errors,
      history,
      tab,
      edit,
      editArea,
      editEdge,
    ],
  );
  return <Context value={state}>{children}</Context>;
}
