'use client';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { colourLoad } from '@/core/wet';
import { useAct, useShop } from '@/data/hooks';
import { removeSwatch, saveSwatch, trySwatch } from '@/data/repos/swatches';
import { writeDay } from '@/features/common/day';
import { useFormat } from '@/features/common/useFormat';
import { newId, type Resin, type Swatch, type SwatchTrial } from '@/records';
import { lotInUse } from '@/shop/lots';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';
import { Tick } from '@/ui/Tick';
import { OpacityTrial } from './OpacityTrial';
import { EMPTY_SWATCH, readSwatch, trialWords, type SwatchDraft } from './swatch';

/** A new colour: its name as coats call it, and what goes in. */
function AddSwatch({ resin, onAdded }: { resin: Resin; onAdded: () => void }) {
  const act = useAct();
  const format = useFormat();
  const [draft, setDraft] = useState<SwatchDraft>(EMPTY_SWATCH);
  const [tried, setTried] = useState(false);
  const read = readSwatch(draft, format);
  const errors = tried && !read.ok ? read.errors : {};
  const field = (key: Exclude<keyof SwatchDraft, 'white'>) => ({
    value: draft[key],
    error: errors[key],
    onChange: (e: { target: { value: string } }) => setDraft({ ...draft, [key]: e.target.value }),
  });
  const add = async () => {
    setTried(true);
    if (!read.ok) return;
    const swatch = { ...read.value, id: newId<'swatch'>(), resinId: resin.id };
    const outcome = await act(
      `add the colour ${swatch.name}`,
      (db, c) => saveSwatch(db, c, swatch),
      swatch,
    );
    if (outcome.ok) onAdded();
  };
  return (
    <chakra.form
      mt="3"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
    >
      <Grid templateColumns={{ base: '1fr 1fr', lg: '1fr 2fr 1fr 1fr' }} gap="3">
        <TextField label="Colour" hint="As coats call it" {...field('name')} />
        <TextField
          label="What goes in, of the mix by weight"
          hint="blue paste 4 %, pearl mica 2 %"
          {...field('parts')}
        />
        <TextField label="Drops of alcohol" {...field('alcohol')} />
        <TextField label="Drops of silicone" {...field('silicone')} />
      </Grid>
      <Flex gap="3" mt="3" align="end" wrap="wrap">
        <Box flex="1 1 240px">
          <TextField label="Remark" {...field('remark')} />
        </Box>
        <Tick minH="44px" checked={draft.white} onTick={(white) => setDraft({ ...draft, white })}>
          poured last, as white is
        </Tick>
        <Button type="submit" variant="ink">
          Add this colour
        </Button>
        <Button variant="quiet" onClick={onAdded}>
          Not now
        </Button>
      </Flex>
    </chakra.form>
  );
}

/** A trial of a colour on a card that is black and white. */
function TrySwatch({
  swatch,
  resin,
  onTried,
}: {
  swatch: Swatch;
  resin: Resin;
  onTried: () => void;
}) {
  const act = useAct();
  const shop = useShop();
  const [photo, setPhoto] = useState<File | null>(null);
  const [seen, setSeen] = useState<SwatchTrial['seen']>(null);
  const [remark, setRemark] = useState('');
  const told = seen !== null || remark.trim() !== '';
  const note = async () => {
    const lotId = lotInUse(shop, resin.id)?.lot.id ?? null;
    const trial = { resinId: resin.id, lotId, filmM: null, seen, remark: remark.trim() };
    const outcome = await act(
      `note the trial of ${swatch.name}`,
      (db, c) => trySwatch(db, c, swatch.id, trial),
      { id: swatch.id, trial },
    );
    if (outcome.ok) onTried();
  };
  return (
    <Box bg="amberWash" p="3" my="2">
      <chakra.label display="block" fontWeight="600">
        Photo of the card, in even light
        <chakra.input
          type="file"
          accept="image/*"
          display="block"
          minH="44px"
          onChange={(e) => {
            setSeen(null);
            setPhoto(e.target.files?.[0] ?? null);
          }}
        />
      </chakra.label>
      {photo && (
        <OpacityTrial key={photo.name + photo.lastModified} photo={photo} onSeen={setSeen} />
      )}
      <Flex gap="3" mt="2" align="end" wrap="wrap">
        <Box flex="1 1 240px">
          <TextField
            label="How it came out"
            value={remark}
            onChange={(e) => setRemark(e.target.value)}
          />
        </Box>
        <Button variant="ink" disabled={!told || remark.length > 500} onClick={() => void note()}>
          Keep the trial
        </Button>
        <Button variant="quiet" onClick={onTried}>
          Not now
        </Button>
      </Flex>
    </Box>
  );
}

function SwatchRow({ swatch, resin }: { swatch: Swatch; resin: Resin }) {
  const act = useAct();
  const format = useFormat();
  const { coats, lots } = useShop();
  const [trying, setTrying] = useState(false);
  const load = colourLoad(swatch.parts, resin.declared);
  const last = swatch.trials.at(-1);
  const used = coats.some(
    (c) => c.batchId !== null && c.colours.some((colour) => colour.swatchId === swatch.id),
  );
  const drops = [
    swatch.alcoholDrops > 0 && `${swatch.alcoholDrops} drops of alcohol`,
    swatch.siliconeDrops > 0 && `${swatch.siliconeDrops} drops of silicone: degrease after it`,
  ].filter(Boolean);
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" py="2">
      <Flex gap="4" align="baseline" wrap="wrap">
        <Box fontWeight="600" minW="120px">
          {swatch.name}
          {swatch.white && <Box fontSize="sm">poured last</Box>}
        </Box>
        <Box flex="1 1 260px">
          {swatch.parts.map((p, i) => (
            <span key={p.name}>
              {i > 0 && ', '}
              {p.name} <Figure>{format.show(p.share, 'share').text}</Figure> ({p.form})
            </span>
          ))}
          {drops.length > 0 && <Box fontSize="sm">{drops.join(', ')}</Box>}
          {load.over && (
            <Box color="oxide" fontWeight="600">
              ! more colour than this resin bears: {format.show(load.share, 'share').text} of{' '}
              {format.show(load.limit, 'share').text}
            </Box>
          )}
          {swatch.remark && (
            <Box fontSize="sm" color="ink2">
              {swatch.remark}
            </Box>
          )}
        </Box>
        <Box flex="1 1 260px">
          {last ? (
            <>
              {writeDay(last.atMs)}: {trialWords(last, format)}
              <Box fontSize="sm" color="ink2">
                {[last.remark, lots.find((l) => l.id === last.lotId)?.name]
                  .filter(Boolean)
                  .join(' · ')}
              </Box>
            </>
          ) : (
            'never tried'
          )}
        </Box>
        <Flex gap="2">
          <Button size="sm" aria-label={`Try ${swatch.name}`} onClick={() => setTrying(true)}>
            try it …
          </Button>
          {!used && (
            <Button
              size="sm"
              variant="quiet"
              aria-label={`Take ${swatch.name} off the list`}
              onClick={() =>
                void act(`remove ${swatch.name}`, (db, c) => removeSwatch(db, c, swatch.id))
              }
            >
              remove
            </Button>
          )}
        </Flex>
      </Flex>
      {trying && <TrySwatch swatch={swatch} resin={resin} onTried={() => setTrying(false)} />}
    </Box>
  );
}

/** Colours of a resin: each a recipe with its trials. A coat that calls a colour so is mixed by it. */
export function SwatchPanel({ resin }: { resin: Resin }) {
  const { swatches } = useShop();
  const [adding, setAdding] = useState(false);
  const own = swatches.filter((s) => s.resinId === resin.id);
  return (
    <Panel as="section" aria-label="Swatches" mb="4">
      <Flex justify="space-between" align="baseline">
        <Heading as="h2" fontSize="lg">
          Swatches
        </Heading>
        {!adding && <Button onClick={() => setAdding(true)}>Add a colour</Button>}
      </Flex>
      {own.length === 0 && !adding && (
        <Box color="ink2">
          None kept. A colour as a recipe is cut at the bench by weight, held to what the resin
          bears, and tried before it is poured.
        </Box>
      )}
      {adding && <AddSwatch resin={resin} onAdded={() => setAdding(false)} />}
      {own.length > 0 && (
        <Box as="ul" listStyleType="none" mt="2">
          {own.map((swatch) => (
            <SwatchRow key={swatch.id} swatch={swatch} resin={resin} />
          ))}
        </Box>
      )}
    </Panel>
  );
}
