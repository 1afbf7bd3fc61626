'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { Lock } from 'lucide-react';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { measureShape } from '@/core/geometry';
import { useAct, useNow, useShop } from '@/data/hooks';
import type { Area } from '@/data/records/types';
import { changeCoat, removeCoat } from '@/data/repos/bench';
import { ledgerOf, type CoatView, type PieceView } from '@/features/common/coatView';
import { Explained } from '@/features/common/Explained';
import { splitOf } from '@/features/common/explanations';
import { holdsOf } from '@/features/common/prep/prepView';
import { SectionDrawing } from '@/features/common/section';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { CheckCards } from './CheckCards';
import { LedgerPanel } from './LedgerPanel';
import { filmChecks } from './filmChecks';
import { coatChecks, ruleWords } from './model';
import { PlannedControls } from './PlannedControls';

function RuleOfThumb({ areaM2 }: { areaM2: number }) {
  const { settings } = useShop();
  const { show } = useFormat();
  const rule = ruleWords(settings.rule, areaM2);
  return (
    <Panel py="3">
      <Box fontWeight="600">
        Your rule of thumb says{' '}
        <Explained explanation={rule.explanation} quantity="volume">
          <Figure>{show(rule.volumeM3, 'volume').text}</Figure>
        </Explained>
        .
      </Box>
      <Box fontSize="sm" color="ink2">
        It assumes <Figure>{show(rule.thicknessM, 'film').text}</Figure> and nothing for edges or
        the cup.
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
        <Link href={`/wet/new?coat=${coatId}`} prefetch>
          Add to a wet session
        </Link>
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

interface Props {
  readonly view: PieceView;
  readonly area: Area;
  readonly selected: CoatView;
  readonly children: ReactNode;
}

/** Section, ledger and checks of one coat; its surface can be dragged while it is planned. */
export function CoatDesk({ view, area, selected, children }: Props) {
  const { settings } = useShop();
  const act = useAct();
  const format = useFormat();
  const { coat, resin, state, areas, batch } = selected;
  const [draftM, setDraftM] = useState<number | null>(null);
  const free = state === 'planned' && batch === null;
  const thicknessM = free && draftM !== null ? draftM : coat.thicknessM;
  const edited = { ...coat, thicknessM };
  const ledger = ledgerOf(edited, areas, view.piece.count, resin);
  const split = ledger.ok ? splitOf(ledger.value, resin) : null;
  const save = (change: Parameters<typeof changeCoat>[3]) =>
    act(`change ${coat.name}`, (db, c) => changeCoat(db, c, coat.id, change), {
      coatId: coat.id,
      change,
    });
  const areaM2 = areas.reduce((sum, a) => sum + measureShape(a.shape).areaM2, 0) * view.piece.count;
  const first = view.upcoming?.coat.id === coat.id;
  return (
    <Grid
      templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 320px', xl: 'minmax(0, 1fr) 372px' }}
      gap="4"
      alignItems="start"
    >
      <Flex direction="column" gap="4" minW="0">
        <Panel>
          <SectionDrawing
            area={area}
            support={view.piece.support}
            laminae={view.coats.map((c) => ({
              id: c.coat.id,
              name: c.coat.name,
              state: c.state,
              thicknessM: c.coat.id === coat.id ? thicknessM : c.coat.thicknessM,
            }))}
            {...(free && {
              editable: {
                id: coat.id,
                minM: resin.sheet.thinnestM,
                maxM: resin.sheet.thickestM,
                onChange: setDraftM,
                onCommit: () => {
                  if (draftM !== null && draftM !== coat.thicknessM)
                    void save({ thicknessM: draftM });
                },
              },
            })}
          />
        </Panel>
        {split && (
          <CheckCards
            checks={[
              ...coatChecks(edited, resin, split, settings, format),
              ...filmChecks({ coat: edited, areas, piece: view.piece, resin, format }),
            ]}
          />
        )}
        {children}
      </Flex>
      <Flex direction="column" gap="3">
        {ledger.ok && split && (
          <LedgerPanel name={coat.name} ledger={ledger.value} split={split} resin={resin} />
        )}
        {free && (
          <PlannedControls
            coat={edited}
            resin={resin}
            onSave={(change) => {
              setDraftM(change.thicknessM ?? draftM);
              void save(change);
            }}
            onRemove={() => void act(`remove ${coat.name}`, (db, c) => removeCoat(db, c, coat.id))}
          />
        )}
        {free && first && <ToTheBench view={view} coatId={coat.id} />}
        <RuleOfThumb areaM2={areaM2} />
        {free &&
          view.top &&
          (view.top.state === 'sand first' ||
            view.top.state === 'hard' ||
            view.top.state === 'fully cured') && (
            <Caution title={`${view.top.coat.name} is past its recoat window.`}>
              Without tooth this coat can peel: sand what it will cover. Dust mask (P2/N95 or
              better) or wet sanding, damp cloth after. The resin’s safety data sheet goes first.
            </Caution>
          )}
      </Flex>
    </Grid>
  );
}
