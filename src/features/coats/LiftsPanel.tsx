import { Box, chakra, Heading } from '@chakra-ui/react';
import { liftsOf, tallestRelief } from '@/core/coat';
import type { Issue } from '@/core/result';
import { planOf } from '@/shop/coatFacts';
import { groundOf, type CoatView } from '@/shop/coatView';
import { Explained } from '@/features/common/Explained';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';

interface Props {
  readonly view: CoatView;
  readonly thicknessM: number;
  /** Plans the lifts as coats of their own; null while the coat cannot be changed. */
  readonly onSplit: ((films: readonly number[]) => void) | null;
}

/** A film that no number of lifts comes to. */
function NoSplit({ issue }: { issue: Issue }) {
  const { show } = useFormat();
  const film = (m: number | undefined) => show(m ?? 0, 'film').text;
  return (
    <Panel as="section" aria-label="Lifts">
      <Heading as="h2" fontSize="lg">
        No split fits the sheet
      </Heading>
      <Box role="alert">
        {issue.path[0] === 'thickestM'
          ? 'It would take over a hundred lifts.'
          : `One lift fewer goes up to ${film(issue.allowed?.max)}, one more starts at ${film(issue.allowed?.min)}: choose a film up to the one or from the other on.`}
      </Box>
    </Panel>
  );
}

/** In how many pours a coat goes on, and where relief still stands proud after each. */
export function LiftsPanel({ view, thicknessM, onSplit }: Props) {
  const { show } = useFormat();
  const { coat, areas, resin } = view;
  const face = areas.find((a) => a.relief.length > 0) ?? areas[0];
  if (!face) return null;
  const { thickestM } = resin.sheet;
  const read = liftsOf(planOf(coat, groundOf(view), resin.sheet), thicknessM);
  const issue = read.ok ? null : read.issues.find((i) => i.code === 'does-not-fit');
  if (issue) return <NoSplit issue={issue} />;
  if (!read.ok || (read.value.length === 1 && face.relief.length === 0)) return null;
  const lifts = read.value;
  const explanation = {
    title: 'Number of lifts',
    formula:
      'film ÷ greatest depth of one lift, or what open edges hold of it, rounded up; a thin one first over loose parts',
    inputs: [
      { label: 'film in all', value: thicknessM, quantity: 'film', source: 'chosen' },
      {
        label: 'greatest depth of one lift',
        value: thickestM,
        quantity: 'film',
        source: 'data sheet',
      },
      {
        label: 'greatest relief',
        value: tallestRelief(face.relief),
        quantity: 'film',
        source: 'measured',
      },
    ],
    source: 'The resin’s data sheet; thin first lift: common practice, no source.',
    note: 'Thicker than the sheet allows heats itself. Share proud from the surveyed heights.',
  } as const;
  return (
    <Panel as="section" aria-label="Lifts">
      <Heading as="h2" fontSize="lg">
        <Explained explanation={explanation} quantity="number">
          {lifts.length === 1 ? 'One lift' : `${lifts.length} lifts`}
        </Explained>
      </Heading>
      <chakra.table width="100%" fontSize="sm">
        <thead>
          <tr>
            {['Lift', 'Film', 'Surface', 'Still proud'].map((name, i) => (
              <chakra.th
                key={name}
                scope="col"
                textAlign={i === 0 ? 'left' : 'right'}
                fontWeight="400"
              >
                {name}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lifts.map((lift, i) => (
            <chakra.tr key={i} borderTopWidth="1px" borderColor="line">
              <chakra.th scope="row" textAlign="left" fontWeight="600" py="1">
                {i + 1}
                {lift.gentle && (
                  <Box as="span" fontWeight="400">
                    {' gently'}
                  </Box>
                )}
              </chakra.th>
              {[
                show(lift.thicknessM, 'film').text,
                show(lift.topM, 'film').text,
                lift.proud > 0 ? show(lift.proud, 'share', 1).text : 'nothing',
              ].map((text, k) => (
                <chakra.td key={k} textAlign="right">
                  <Figure>{text}</Figure>
                </chakra.td>
              ))}
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      {lifts.some((l) => l.gentle) && (
        <Box fontSize="sm" color="ink2" mt="1">
          Stream the first on without touching: it locks loose parts and moves none.
        </Box>
      )}
      {onSplit && lifts.length > 1 && (
        <Button size="sm" mt="2" onClick={() => onSplit(lifts.map((l) => l.thicknessM))}>
          Plan them as {lifts.length} coats
        </Button>
      )}
    </Panel>
  );
}
