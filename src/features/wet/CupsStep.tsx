'use client';
import { Box, Flex } from '@chakra-ui/react';
import { mixDensity } from '@/core/resin';
import { colourLoad, cupKey } from '@/core/wet';
import { useAct, useShop } from '@/data/hooks';
import { cutCup, leaveCupOut, noteReading } from '@/data/repos/wet';
import { useFormat } from '@/features/common/useFormat';
import type { Batch, Swatch } from '@/records';
import { byId } from '@/shop/ofPiece';
import { Figure } from '@/ui/Figure';
import { BenchFrame } from './BenchFrame';
import { BigAction } from './BigAction';
import { mixMeter, type Meter } from './meter';
import type { WetView } from './model';
import { ReadingKeys } from './ReadingKeys';
import { UndoAction } from './UndoAction';

type PlannedCup = Batch['cups'][number];

/** The swatch that a cup is mixed by; null: the colour has none. */
function swatchOf(swatches: readonly Swatch[], view: WetView, cup: PlannedCup): Swatch | null {
  const coat = view.coats.find((c) => c.coat.id === cup.coatId)?.coat;
  const colour = coat?.colours.find((c) => c.name === cup.colour);
  return byId(swatches, colour?.swatchId ?? null) ?? null;
}

/** What makes the colour of a cup: its pigments, its drops, and what speaks against them. */
function Recipe({ swatch, view, kg }: { swatch: Swatch | null; view: WetView; kg: number }) {
  const { show } = useFormat();
  if (!swatch)
    return (
      <Box fontSize="lg" color="ink2">
        No swatch is kept of this colour: liquid colour at most one part in ten, paste a little at a
        time, and try its opacity on a corner.
      </Box>
    );
  const load = colourLoad(swatch.parts, view.resin.declared);
  const tried = swatch.trials.at(-1);
  const { alcoholDrops, siliconeDrops } = swatch;
  return (
    <Box fontSize="xl">
      {swatch.parts.map((p) => (
        <Box key={p.name}>
          <Figure fontWeight="600">{show(p.share * kg, 'mass').text}</Figure> {p.name} ({p.form},{' '}
          {show(p.share, 'share').text})
        </Box>
      ))}
      {alcoholDrops > 0 && <Box>{alcoholDrops} drops of alcohol: no flame near it</Box>}
      {siliconeDrops > 0 && (
        <Box color="oxide" fontWeight="600">
          ! {siliconeDrops} drops of silicone: degrease before the next coat
        </Box>
      )}
      {load.over && (
        <Box color="oxide" fontWeight="600">
          ! Colour is {show(load.share, 'share').text} of the cup; this resin bears{' '}
          {show(load.limit, 'share').text}
          {load.usual ? ' as usual' : ' by its sheet'}: it may stay soft
        </Box>
      )}
      {!tried && <Box color="ink2">Never tried: test its opacity on a corner.</Box>}
      {(swatch.resinId !== view.resin.id ||
        (tried && (tried.resinId !== view.resin.id || tried.lotId !== view.batch.lotId))) && (
        <Box color="oxide" fontWeight="600">
          ! Tried in another {tried && tried.resinId === view.resin.id ? 'lot' : 'resin'}: it looks
          different, test it first
        </Box>
      )}
    </Box>
  );
}

/** The cups in their order: what is cut, what comes, and what stays clear. */
function CupList({ view, meter }: { view: WetView; meter: Meter }) {
  const { batch, done, coats } = view;
  const next = batch.cups.find((c) => !done.cups.has(cupKey(c)));
  const cutKg = batch.cups.reduce((sum, c) => sum + (done.cups.get(cupKey(c)) ?? 0), 0);
  const inCup = (done.aKg ?? 0) + (done.bKg ?? 0) - cutKg;
  const nameOf = (cup: PlannedCup) =>
    coats.length > 1 ? ` · ${coats.find((c) => c.coat.id === cup.coatId)?.piece.name}` : '';
  return (
    <Box as="section" aria-label="Cups" flex="1 1 320px" fontSize="xl">
      <Box as="ol" listStyleType="none">
        {batch.cups.map((cup) => {
          const cut = done.cups.get(cupKey(cup));
          return (
            <Flex
              as="li"
              key={cupKey(cup)}
              gap="3"
              py="1"
              fontWeight={cup === next ? '700' : '400'}
            >
              <Box width="1.2em">
                {cut === null ? '–' : cut !== undefined ? '✓' : cup === next ? '▸' : '○'}
              </Box>
              <Box flex="1">
                {cup.colour}
                {nameOf(cup)}
              </Box>
              <Figure>{cut === null ? 'left out' : meter.show(cut ?? cup.kg).text}</Figure>
            </Flex>
          );
        })}
      </Box>
      <Box mt="2" color="ink2">
        In the clear cup now: <Figure>{meter.show(inCup).text}</Figure>. Clear is poured first, and
        some of it is kept back; white last.
      </Box>
    </Box>
  );
}

/** Colours are cut out of the clear mix, one after the other. */
export function CupsStep({ view }: { view: WetView }) {
  const act = useAct();
  const format = useFormat();
  const { settings, swatches } = useShop();
  const { batch, done, resin } = view;
  const cup = batch.cups.find((c) => !done.cups.has(cupKey(c)));
  if (!cup) return null;
  const meter = mixMeter(batch, mixDensity(resin.sheet), format, settings);
  const kg = batch.reading?.part === 'cup' ? batch.reading.kg : null;
  const wantedKg = meter.round(cup.kg);
  const told = { coatId: cup.coatId, colour: cup.colour };
  const cut = () =>
    void act('cut a colour', (db, c) =>
      cutCup(
        db,
        c,
        batch.id,
        kg === null ? { ...told, kg: wantedKg, by: 'assumed' } : { ...told, kg, by: meter.by },
      ),
    );
  const { number, unit } = meter.show(wantedKg);
  return (
    <BenchFrame
      view={view}
      title="Colours"
      caution={
        <>
          <strong>Clear first, some of it kept back; white last.</strong> Stir the jar before:
          pigment settles. Dust mask with powders. Alcohol: no flame.
        </>
      }
      actions={
        <>
          <UndoAction view={view} />
          <BigAction
            kind="second"
            token={`out ${cupKey(cup)}`}
            label="Leave it out: hold"
            hotkey="l"
            keyName="L"
            hold
            onAct={() =>
              void act('leave a colour out', (db, c) => leaveCupOut(db, c, batch.id, told))
            }
          />
          <BigAction
            kind="main"
            token={cupKey(cup)}
            label={kg === null ? `${cup.colour} is in, not read: hold` : `${cup.colour} is in`}
            hotkey=" "
            keyName="space"
            hold={kg === null}
            disabled={kg === 0}
            onAct={cut}
          />
        </>
      }
    >
      <Flex gap="8" wrap="wrap" align="center">
        <Box flex="2 1 460px">
          <Box fontSize="xl" color="ink2">
            pour off into a cup of its own, for {cup.colour}
          </Box>
          <Figure display="block" fontSize="bench" fontWeight="600" lineHeight="1">
            {number}
            <Box as="span" fontSize="0.35em">
              {` ${unit}`}
            </Box>
          </Figure>
          <ReadingKeys
            meter={meter}
            kg={kg}
            wantedKg={wantedKg}
            onChange={(next) =>
              void act('keep the reading', (db, c) =>
                noteReading(db, c, batch.id, { part: 'cup', kg: next }),
              )
            }
          />
          <Recipe swatch={swatchOf(swatches, view, cup)} view={view} kg={kg ?? wantedKg} />
        </Box>
        <CupList view={view} meter={meter} />
      </Flex>
    </BenchFrame>
  );
}
