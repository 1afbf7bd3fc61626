'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Lock } from 'lucide-react';
import { Link } from '@/ui/Link';
import { tallestRelief, type Ledger } from '@/core/coat';
import type { Area, Coat } from '@/records';
import { measureShape } from '@/core/geometry';
import { useAct, useNow, useShop } from '@/data/hooks';
import { filmAreas } from '@/core/coat';
import { moveCoat, removeCoat } from '@/data/repos/coats';
import { splitCoat } from '@/data/repos/splitCoat';
import type { CoatView, PieceView } from '@/shop/coatView';
import { Explained } from '@/features/common/Explained';
import { issueText } from '@/features/common/issueText';
import { holdsOf } from '@/shop/prepView';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { LedgerPanel } from './LedgerPanel';
import { LiftsPanel } from './LiftsPanel';
import { ruleWords } from './model';
import { CostPanel, LeftOverPanel } from './MoneyPanel';
import { PlannedControls } from './PlannedControls';
import type { CoatEdit } from './useCoatEdit';

/** A rule for 12 × 12 in speaks of a flood on a flat face, and of nothing else. */
const speaksOf = ({ kind, intent }: Coat, areas: readonly Area[]): boolean =>
  kind === 'flood' &&
  ['natural', 'over', 'given', 'mix'].includes(intent.by) &&
  areas.some((a) => a.kind === 'face') &&
  areas.every((a) => tallestRelief(a.relief) === 0);

function RuleOfThumb({ areaM2, ledger }: { areaM2: number; ledger: Ledger | null }) {
  const { settings } = useShop();
  const { show } = useFormat();
  const rule = ruleWords(settings.rule, areaM2);
  const differs = ledger ? rule.volumeM3 / ledger.totalM3 - 1 : 0;
  return (
    <Panel py="3">
      <Box fontWeight="600">
        Your rule of thumb says{' '}
        <Explained explanation={rule.explanation} quantity="volume">
          <Figure>{show(rule.volumeM3, 'volume').text}</Figure>
        </Explained>
        {ledger && Math.abs(differs) >= 0.005 && (
          <>
            , <Figure>{show(Math.abs(differs), 'share', 0).text}</Figure>{' '}
            {differs > 0 ? 'more' : 'less'} than the ledger
          </>
        )}
        .
      </Box>
      <Box fontSize="sm" color="ink2">
        It assumes <Figure>{show(rule.thicknessM, 'film').text}</Figure> and nothing for edges,
        relief or the cup.
      </Box>
    </Panel>
  );
}

/** The way to the bench, or what stands before it. */
function ToTheBench({ view, coatId }: { view: PieceView; coatId: string }) {
  const shop = useShop();
  const now = useNow();
  const held = holdsOf(shop, view.piece, coatId, now);
  if (held.length === 0)
    return (
      <Button asChild variant="ink" minH="52px" fontSize="lg">
        <Link href={`/wet/new?coat=${coatId}`}>Add to a wet session</Link>
      </Button>
    );
  return (
    <Button asChild variant="outline" minH="52px" fontSize="lg">
      <Link href={`/pieces/${view.piece.id}/prepare`}>
        <Lock size={18} aria-hidden /> Prepare first:{' '}
        {held.length === 1 ? 'one step is open' : `${held.length} steps are open`}
      </Link>
    </Button>
  );
}

/** What the ledger lacks, said instead of a number. */
function NoLedger({ edit, selected }: { edit: CoatEdit; selected: CoatView }) {
  const format = useFormat();
  const [issue] = edit.ledger.ok ? [] : edit.ledger.issues;
  const name = String(issue?.path[0] ?? '');
  const words =
    name === 'areas'
      ? 'None of its areas has an outline: survey one, or choose another.'
      : name === 'densityKgM3'
        ? `${selected.resin.name} has no density: enter it on its sheet.`
        : issue?.code === 'does-not-fit'
          ? 'The relief leaves this coat no room: make it thicker, or lay it higher.'
          : issue
            ? `Its ${name} is wrong: ${issueText(issue, 'film', format)}`
            : 'Its resin cannot be split into A and B.';
  return (
    <Panel as="section" aria-label={`Ledger of ${selected.coat.name}`}>
      <Box role="alert" fontWeight="600" color="oxide">
        No volume yet.
      </Box>
      <Box>{words}</Box>
    </Panel>
  );
}

interface Props {
  readonly view: PieceView;
  readonly selected: CoatView;
  readonly edit: CoatEdit;
  readonly onSelect: (coatId: string) => void;
  readonly onRemoved: (coat: Coat) => void;
}

/** The right-hand column: what the coat takes, what it is to do, and what follows from that. */
export function CoatNumbers({ view, selected, edit, onSelect, onRemoved }: Props) {
  const act = useAct();
  const { coat, resin } = selected;
  const { free, ledger, split, edited, thicknessM } = edit;
  const areaM2 =
    filmAreas(coat, view.areas).reduce((sum, a) => sum + measureShape(a.shape).areaM2, 0) *
    view.piece.count;
  const splitUp = (films: readonly number[]) =>
    void act(`plan ${coat.name} in lifts`, (db, c) => splitCoat(db, c, coat.id, films), {
      id: coat.id,
      films,
    }).then((outcome) => outcome.ok && onSelect(outcome.value));
  return (
    <Flex direction="column" gap="3">
      {ledger.ok && split ? (
        <LedgerPanel
          coat={coat}
          ledger={ledger.value}
          split={split}
          resin={resin}
          onSet={free ? edit.setLine : null}
        />
      ) : (
        <NoLedger edit={edit} selected={selected} />
      )}
      {free && (
        <PlannedControls
          view={edited}
          intent={edit.intent}
          totalM3={ledger.ok ? ledger.value.totalM3 : null}
          issue={edit.issue}
          places={edit.places}
          onSave={edit.choose}
          onMove={(by) => void act(`move ${coat.name}`, (db, c) => moveCoat(db, c, coat.id, by))}
          onRemove={() =>
            void act(`remove ${coat.name}`, (db, c) => removeCoat(db, c, coat.id), {
              id: coat.id,
            }).then((outcome) => outcome.ok && onRemoved(coat))
          }
        />
      )}
      {free && view.upcoming?.coat.id === coat.id && <ToTheBench view={view} coatId={coat.id} />}
      <LiftsPanel view={edited} thicknessM={thicknessM} onSplit={free ? splitUp : null} />
      {speaksOf(edited.coat, selected.areas) && (
        <RuleOfThumb areaM2={areaM2} ledger={ledger.ok ? ledger.value : null} />
      )}
      {ledger.ok && <CostPanel view={view} selected={edited} ledger={ledger.value} />}
      {ledger.ok && free && <LeftOverPanel selected={edited} ledger={ledger.value} />}
      {free &&
        view.top &&
        (view.top.state === 'sand first' ||
          view.top.state === 'hard' ||
          view.top.state === 'fully cured') && (
          <Caution title={`${view.top.coat.name} is past its recoat window.`}>
            Without tooth this coat can peel: sand what it will cover. Dust mask (P2/N95 or better)
            or wet sanding, damp cloth after. The resin’s safety data sheet goes first.
          </Caution>
        )}
    </Flex>
  );
}
