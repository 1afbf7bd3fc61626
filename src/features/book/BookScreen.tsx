'use client';
import { dayMonth, weekdayDate } from '@/features/common/dates';
import { hourMinute, hourMinuteSecond } from '@/features/common/hours';
import { Box, Flex, Grid, Heading, Input } from '@chakra-ui/react';
import { PageHeading } from '@/ui/PageHeading';
import { format as formatDate } from 'date-fns';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { LogEntry } from '@/records';
import { useAct, useShop } from '@/data/hooks';
import { writeLogNote } from '@/data/repos/bench';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { Boundary } from '@/features/common/trouble';
import { ShopFiles } from './ShopFiles';
import { entryWords, filterLog, type NamedEntry } from './model';
import { useLog } from './useLog';

/** Charts come when they are asked for. */
const Faults = dynamic(() => import('./Faults').then((m) => m.Faults), { ssr: false });
const PAGE = 60;

interface RowProps {
  readonly named: NamedEntry;
  readonly onCorrect: (entry: LogEntry) => void;
}

function Row({ named, onCorrect }: RowProps) {
  const format = useFormat();
  const { entry, piece, undone } = named;
  return (
    <Grid
      as="li"
      // Where there is no room for columns an entry takes two lines: when and what, then of which piece and by whom.
      templateColumns={{
        base: 'auto minmax(0, 1fr) auto',
        xl: '100px 126px 140px minmax(0, 1fr) 60px 74px',
      }}
      templateAreas={{
        base: '"time kind correct" "words words words" "piece piece by"',
        xl: '"time kind piece words by correct"',
      }}
      columnGap="3"
      py="1.5"
      borderTopWidth="1px"
      borderColor="line"
      alignItems="baseline"
    >
      <Figure gridArea="time" fontSize="sm">
        {formatDate(entry.atMs, hourMinuteSecond())}
      </Figure>
      <Box gridArea="kind" fontWeight="600" textDecoration={undone ? 'line-through' : undefined}>
        {entry.kind}
      </Box>
      <Box gridArea="piece" color={{ base: 'ink2', xl: 'ink' }} truncate>
        {piece}
      </Box>
      <Box gridArea="words">
        {entryWords(named, format)}
        {undone && <Box as="em"> (undone)</Box>}
      </Box>
      <Box gridArea="by" color="ink2" fontSize="sm" truncate>
        {entry.by}
      </Box>
      <Button
        gridArea="correct"
        size="sm"
        variant="quiet"
        onClick={() => onCorrect(entry)}
        aria-label={`Correct: ${entry.kind} ${formatDate(entry.atMs, hourMinute())}`}
      >
        Correct
      </Button>
    </Grid>
  );
}

function NoteLine({ about, onDone }: { about: LogEntry | null; onDone: () => void }) {
  const act = useAct();
  const [text, setText] = useState('');
  const save = async () => {
    if (text.trim() === '') return;
    const outcome = await act(
      'write in the log',
      (db, c) => writeLogNote(db, c, text.trim(), about),
      { text, about: about?.id ?? null },
    );
    if (!outcome.ok) return;
    setText('');
    onDone();
  };
  const label = about
    ? `Correction of “${about.kind}” at ${formatDate(about.atMs, `${dayMonth()} ${hourMinute()}`)}`
    : 'Note';
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <Flex gap="3" align="center" mb="3" wrap="wrap">
        <Input
          aria-label={label}
          placeholder={label}
          value={text}
          onChange={(e) => setText(e.target.value)}
          flex="1 1 300px"
          autoComplete="off"
        />
        <Button type="submit" variant="ink">
          {about ? 'Add the correction' : 'Add a note'}
        </Button>
        {about && <Button onClick={onDone}>No correction</Button>}
      </Flex>
    </form>
  );
}

function Days({
  entries,
  onCorrect,
}: {
  entries: readonly NamedEntry[];
  onCorrect: RowProps['onCorrect'];
}) {
  const days = new Map<string, NamedEntry[]>();
  for (const named of entries) {
    const day = formatDate(named.entry.atMs, weekdayDate());
    days.set(day, [...(days.get(day) ?? []), named]);
  }
  return [...days].map(([day, rows]) => (
    <Box key={day} mb="4">
      <Heading as="h2" fontSize="lg" mb="1">
        {day}
      </Heading>
      <Box as="ul" listStyleType="none">
        {rows.map((named) => (
          <Row key={named.entry.id} named={named} onCorrect={onCorrect} />
        ))}
      </Box>
    </Box>
  ));
}

/** How many entries are looked at: those found, or the newest. */
function countWords(found: number | null, shown: number, total: number): string {
  if (found !== null) return String(found);
  return shown < total ? `newest ${shown}` : String(total);
}

/** The log, newest first, with search; files out and in. */
export function BookScreen() {
  const shop = useShop();
  const [page, setPage] = useState<'Log' | 'What goes wrong'>('Log');
  const [search, setSearch] = useState('');
  const [shown, setShown] = useState(PAGE);
  const searching = search.trim() !== '';
  const { value, error } = useLog(shown, searching);
  const [about, setAbout] = useState<LogEntry | null>(null);
  const found = useMemo(() => filterLog(value?.entries ?? [], shop, search), [value, shop, search]);
  const left = (searching ? found.length : (value?.total ?? 0)) - shown;
  return (
    <Box maxW="1240px">
      <Flex align="baseline" gap="4" mb="4" wrap="wrap">
        <PageHeading title="Book" />
        {(['Log', 'What goes wrong'] as const).map((name) => (
          <Button
            key={name}
            size="sm"
            variant={page === name ? 'ink' : 'outline'}
            aria-pressed={page === name}
            onClick={() => setPage(name)}
          >
            {name}
          </Button>
        ))}
      </Flex>
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 320px' }}
        gap="4"
        alignItems="start"
      >
        {page === 'What goes wrong' ? (
          <Boundary what="What goes wrong" resetKey={shop}>
            <Faults />
          </Boundary>
        ) : (
          <Panel as="section" aria-label="Log" minW="0">
            <NoteLine key={about?.id ?? 'note'} about={about} onDone={() => setAbout(null)} />
            <Flex gap="3" align="center" mb="4">
              <Input
                type="search"
                aria-label="Search the log"
                placeholder="Search: piece, coat, action, words"
                value={search}
                onChange={(e) => setSearch(e.target.value)}
              />
              <Box whiteSpace="nowrap" color="ink2" role="status">
                {value
                  ? `${countWords(searching ? found.length : null, shown, value.total)} of ${value.total} entries`
                  : 'reading …'}
              </Box>
            </Flex>
            {error && (
              <Box role="alert" color="oxide" fontWeight="600" mb="3">
                The log could not be read: {error.message}. What you see is from before.
              </Box>
            )}
            <Boundary what="The log" resetKey={value}>
              <Days entries={found.slice(0, shown)} onCorrect={setAbout} />
            </Boundary>
            {left > 0 && (
              <Button onClick={() => setShown(shown + PAGE)}>
                Show {Math.min(PAGE, left)} earlier
              </Button>
            )}
            {value?.total === 0 && <Box color="ink2">The log begins with the first piece.</Box>}
          </Panel>
        )}
        <ShopFiles />
      </Grid>
    </Box>
  );
}
