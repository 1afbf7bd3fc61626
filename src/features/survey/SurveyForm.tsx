'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useEffect, useState, type FormEvent, type KeyboardEvent as KeyPress } from 'react';
import type { NewPhoto, Survey } from '@/data/repos/survey';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import type { SurveyDraft } from './draft';
import { EdgeFields } from './EdgeFields';
import { LevelFields } from './LevelFields';
import { PieceFields } from './PieceFields';
import { PlanEditor } from './plan/PlanEditor';
import { readSurvey } from './readSurvey';
import { Results } from './Results';
import { SurfaceFields } from './SurfaceFields';
import { SurveyProvider, useSurvey, type PlannedFilm, type Tab } from './SurveyContext';

const TABS = [
  ['piece', 'Piece'],
  ['edges', 'Edges'],
  ['surface', 'Surface'],
  ['level', 'Level, marks'],
] as const satisfies readonly (readonly [Tab, string])[];

/** The tab that a key leads to, as tabs are gone through by arrows; null for any other key. Source: ARIA practices, tabs. */
function tabByKey(key: string, from: Tab): Tab | null {
  const at = TABS.findIndex(([name]) => name === from);
  const last = TABS.length - 1;
  const to = {
    ...{ ArrowRight: at === last ? 0 : at + 1, ArrowLeft: at === 0 ? last : at - 1 },
    ...{ Home: 0, End: last },
  }[key];
  return (to !== undefined && TABS[to]?.[0]) || null;
}

/** The tab on which a field with a fault stands. */
const tabOf = (field: string): Tab => {
  if (field.startsWith('level')) return 'level';
  if (/\.edges\.\d/.test(field)) return 'edges';
  return /\.(relief|age)/.test(field) ? 'surface' : 'piece';
};

interface Props {
  readonly initial: SurveyDraft;
  readonly film?: PlannedFilm | null;
  readonly submit: string;
  readonly onSubmit: (survey: Survey, photos: readonly NewPhoto[]) => Promise<void>;
  readonly onDraft?: (draft: SurveyDraft) => void;
}

function Fields({ tab }: { tab: Tab }) {
  if (tab === 'edges') return <EdgeFields />;
  if (tab === 'surface') return <SurfaceFields />;
  return tab === 'level' ? <LevelFields /> : <PieceFields />;
}

function Form({ submit, onSubmit }: Omit<Props, 'initial' | 'film' | 'onDraft'>) {
  const { draft, format, photos, index, tab, setTab, select, showErrors, undo, redo } = useSurvey();
  const [busy, setBusy] = useState(false);
  const save = async (event: FormEvent) => {
    event.preventDefault();
    const read = readSurvey(draft, format);
    showErrors(read.ok ? {} : read.errors);
    if (!read.ok) {
      const [first = ''] = Object.keys(read.errors);
      const at = /^areas\.(\d+)/.exec(first);
      if (at && Number(at[1]) !== index) select(Number(at[1]));
      setTab(tabOf(first));
      return;
    }
    const named = new Set(
      read.value.areas.flatMap(({ measured: m }) =>
        m.by === 'photo' ? [m.photoId, m.planPhotoId] : [],
      ),
    );
    setBusy(true);
    await onSubmit(
      read.value,
      photos.filter((p) => named.has(p.id)),
    );
    setBusy(false);
  };
  // When a drawing is finished nothing has the focus: the keys of the page still take the drawing back, not a name.
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    };
    document.addEventListener('keydown', key);
    return () => document.removeEventListener('keydown', key);
  }, [undo, redo]);
  const byArrows = (event: KeyPress) => {
    const next = tabByKey(event.key, tab);
    if (!next) return;
    event.preventDefault();
    setTab(next);
    document.getElementById(`tab-${next}`)?.focus();
  };
  return (
    <form onSubmit={(e) => void save(e)} noValidate>
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 372px' }}
        gap="4"
        alignItems="start"
      >
        <Panel minW="0" p="3">
          <PlanEditor />
          <Results />
        </Panel>
        <Panel p="0">
          <Flex
            role="tablist"
            aria-label="Survey"
            borderBottomWidth="1px"
            borderColor="line"
            onKeyDown={byArrows}
          >
            {TABS.map(([name, label]) => (
              <Button
                key={name}
                role="tab"
                id={`tab-${name}`}
                aria-selected={tab === name}
                aria-controls="survey-fields"
                variant={tab === name ? 'ink' : 'quiet'}
                size="sm"
                minH="44px"
                flex="1"
                px="1"
                onClick={() => setTab(name)}
              >
                {label}
              </Button>
            ))}
          </Flex>
          <Box id="survey-fields" role="tabpanel" aria-labelledby={`tab-${tab}`} p="4">
            <Fields tab={tab} />
            <Flex justify="flex-end" mt="4">
              <Button type="submit" variant="ink" disabled={busy}>
                {submit}
              </Button>
            </Flex>
          </Box>
        </Panel>
      </Grid>
    </form>
  );
}

/** Survey of a piece: its areas on the plan, its edges, what lies on it, and how level it is. */
export function SurveyForm({ initial, film = null, onDraft, ...rest }: Props) {
  return (
    <SurveyProvider initial={initial} film={film} onDraft={onDraft}>
      <Form {...rest} />
    </SurveyProvider>
  );
}
