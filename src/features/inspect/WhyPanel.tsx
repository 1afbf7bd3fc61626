'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import type { Diagnosis, EvidenceCode, RankedCause, Weighed } from '@/core/inspect';
import { useAct, useNow } from '@/data/hooks';
import { answerTest } from '@/data/repos/findings';
import { clockText } from '@/features/common/clockText';
import { useFormat, type Format } from '@/features/common/useFormat';
import type { Defect, LogEntry } from '@/records';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import {
  CAUSE_WORDS,
  EVIDENCE_WORDS,
  FIGURE_WORDS,
  NEXT_TIME,
  TEST_WORDS,
} from '@/features/common/causeWords';
import { entriesOf } from './useEntries';

interface Props {
  readonly defect: Defect;
  readonly why: Diagnosis;
  readonly entries: readonly LogEntry[];
  readonly batchId: string | null;
}

const ABSTAINS = {
  'no evidence':
    'Nothing in the log bears on it. What is usual stands below; a test would tell more.',
  thin: 'What the log says is too little to name a cause. A test would tell more.',
  undecided: 'The log speaks for several causes alike. A test would tell them apart.',
} as const;

function figuresText(figures: Readonly<Record<string, number>>, format: Format): string {
  return Object.entries(figures)
    .flatMap(([name, value]) => {
      const told = FIGURE_WORDS[name];
      return told ? [`${told.label} ${format.show(value, told.quantity).text}`] : [];
    })
    .join(', ');
}

/** One piece of evidence with what it does to the cause; opened, the entries that tell it. */
function EvidenceRow({ weighed, ...props }: { weighed: Weighed } & Omit<Props, 'why'>) {
  const format = useFormat();
  const now = useNow();
  const { defect, entries, batchId } = props;
  const { code, truth, figures } = weighed.evidence;
  const words = EVIDENCE_WORDS[code];
  const found = entriesOf(entries, code, { coatId: defect.coatId, batchId });
  const told = figuresText(figures, format);
  const strength =
    Math.abs(weighed.weight) > 1.6 ? '●●●' : Math.abs(weighed.weight) > 0.7 ? '●●' : '●';
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" py="1">
      <details>
        <Box as="summary" cursor="pointer" minH="24px">
          <Figure as="span" fontSize="xs" aria-label={`weight ${strength.length} of 3`}>
            {strength}
          </Figure>{' '}
          {truth > 0.5 ? words.so : words.not}
          {told && (
            <Box as="span" color="ink2" fontSize="sm">
              {' '}
              ({told})
            </Box>
          )}
        </Box>
        <Box ps="5" fontSize="sm">
          {found.length === 0
            ? 'From the survey, the plan or the finding itself: no entry of its own.'
            : found.slice(-4).map((e) => (
                <Box key={e.id}>
                  {clockText(e.atMs, now)} · {e.kind} {e.text}
                </Box>
              ))}
        </Box>
      </details>
    </Box>
  );
}

function Cause({
  ranked,
  first,
  ...props
}: { ranked: RankedCause; first: boolean } & Omit<Props, 'why'>) {
  const { show } = useFormat();
  const speaks = ranked.evidence.filter((w) => w.weight > 0).slice(0, 5);
  const against = ranked.evidence.filter((w) => w.weight < 0).slice(0, 3);
  const next = NEXT_TIME[ranked.cause];
  return (
    <Box as="li" mb="2">
      <Flex align="center" gap="3">
        <Box width="88px" height="10px" bg="paper" borderWidth="1px" borderColor="ink3" aria-hidden>
          <Box width={`${ranked.probability * 100}%`} height="100%" bg={first ? 'ink' : 'ink3'} />
        </Box>
        <Figure fontSize="sm" width="44px">
          {show(ranked.probability, 'share', 0).text}
        </Figure>
        <Box fontWeight={first ? '700' : '400'}>{CAUSE_WORDS[ranked.cause]}</Box>
      </Flex>
      {first && (
        <Box ps="4" mt="1" fontSize="sm">
          {speaks.length > 0 && <Box fontWeight="600">Speaks for it</Box>}
          <Box as="ul" listStyleType="none">
            {speaks.map((w) => (
              <EvidenceRow key={w.evidence.code} weighed={w} {...props} />
            ))}
          </Box>
          {against.length > 0 && <Box fontWeight="600">Speaks against it</Box>}
          <Box as="ul" listStyleType="none">
            {against.map((w) => (
              <EvidenceRow key={w.evidence.code} weighed={w} {...props} />
            ))}
          </Box>
          {next && (
            <Box mt="1">
              <strong>Next time:</strong> {next}.
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}

/** Looks and tests that would tell most, each answered by one tap. */
function Settle({ defect, why }: Pick<Props, 'defect' | 'why'>) {
  const act = useAct();
  const tests = [
    ...why.settle.slice(0, 2).map((s) => s.test),
    ...(Object.keys(defect.answers) as EvidenceCode[]),
  ];
  if (tests.length === 0) return null;
  const answer = (test: EvidenceCode, so: boolean) =>
    void act('note what the test found', (db, c) => answerTest(db, c, defect.id, test, so), {
      ...{ defectId: defect.id, test, so },
    });
  return (
    <Box mt="2" borderTopWidth="1px" borderColor="line" pt="2">
      <Box fontWeight="600" fontSize="sm">
        A test would tell
      </Box>
      {tests.map((test) => (
        <Flex key={test} align="center" gap="2" py="1" wrap="wrap">
          <Box flex="1 1 220px" fontSize="sm">
            {TEST_WORDS[test]?.ask}
            <Box as="span" display="block" fontSize="xs" color="ink2">
              {TEST_WORDS[test]?.how}
            </Box>
          </Box>
          {([true, false] as const).map((so) => (
            <Button
              key={String(so)}
              size="sm"
              variant={defect.answers[test] === so ? 'ink' : 'outline'}
              aria-pressed={defect.answers[test] === so}
              aria-label={`${TEST_WORDS[test]?.ask ?? test} ${so ? 'Yes' : 'No'}`}
              onClick={() => answer(test, so)}
            >
              {so ? 'Yes' : 'No'}
            </Button>
          ))}
        </Flex>
      ))}
    </Box>
  );
}

/** Why it came about: causes ranked by what the shop noted, each with what speaks for and against it. */
export function WhyPanel({ defect, why, entries, batchId }: Props) {
  const ranked = why.ranked.filter((r) => r.probability > 0.02).slice(0, 4);
  if (defect.kind === 'not liked') return null;
  return (
    <Box as="section" aria-label="Why">
      <Heading as="h3" fontSize="md" mb="1">
        Why
      </Heading>
      {why.abstains && (
        <Box fontSize="sm" mb="1">
          {ABSTAINS[why.abstains]}
        </Box>
      )}
      <Box as="ol" listStyleType="none">
        {ranked.map((r, i) => (
          <Cause
            key={r.cause}
            ranked={r}
            first={i === 0 && why.abstains === null}
            {...{ defect, entries, batchId }}
          />
        ))}
      </Box>
      {why.contradicted.length > 0 && (
        <Box fontSize="sm" color="oxide">
          Told both ways, and not used:{' '}
          {why.contradicted.map((c) => EVIDENCE_WORDS[c].so).join(', ')}.
        </Box>
      )}
      <Settle defect={defect} why={why} />
      <Box fontSize="xs" color="ink2" mt="1">
        Shares by Bayes’ rule from what the log says; how often a cause shows such signs is
        judgement on common practice, no source.
      </Box>
    </Box>
  );
}
