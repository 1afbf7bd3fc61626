'use client';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { ROOM_LIMITS_K, type ResinSheet } from '@/core/resin';
import { SHEET_FILM_M, TRAY_DEPTH_M, type CupOutlook } from '@/core/resin/model';
import { editText } from '@/core/units';
import { useShop } from '@/data/hooks';
import { FieldReader } from '@/features/common/fieldReader';
import { useFormat } from '@/features/common/useFormat';
import { Caution } from '@/ui/Caution';
import { roomAir } from '@/shop/room';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';
import { cupSteps, determinedWords, FILM_WORDS, fitWords, HEAT_WORDS } from './cupWords';
import { useCupOutlook } from '@/features/common/useCupOutlook';

const CupChart = dynamic(() => import('./CupChart').then((m) => m.CupChart), { ssr: false });

/** Masses that are asked of one cup, kg. Judgement, no source. */
const MASS_LIMITS_KG = { min: 1e-3, max: 20 } as const;
/** A batch that many benches mix, kg. Judgement, no source. */
const USUAL_KG = 0.2;

/** The sheet’s film in this room, by the model and by the sheet: how well the one meets the other. */
function FilmTable({ outlook }: { outlook: CupOutlook }) {
  const { show } = useFormat();
  return (
    <Box my="2">
      <chakra.table width="100%">
        <chakra.caption textAlign="start" color="ink">
          A film of {show(SHEET_FILM_M, 'film').text} in this room: the clocks of coats go by the
          sheet.
        </chakra.caption>
        <thead>
          <chakra.tr textAlign="left">
            <th>It</th>
            <th>sheet</th>
            <th>model</th>
          </chakra.tr>
        </thead>
        <tbody>
          {outlook.film.map(({ mark, modelS, sigma, sheetS }) => (
            <chakra.tr key={mark} borderTopWidth="1px" borderColor="line">
              <td>{FILM_WORDS[mark]}</td>
              <td>
                <Figure>{show(sheetS, 'duration').text}</Figure>
              </td>
              <td>
                <Figure>
                  {show(modelS, 'duration').text} ± {show(sigma, 'share', 0).text}
                </Figure>
              </td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      <Box>{fitWords(outlook)}</Box>
    </Box>
  );
}

function Told({ outlook, massText }: { outlook: CupOutlook; massText: string }) {
  const { show } = useFormat();
  const minutes = (s: number) => `${Math.round(s / 60)} min`;
  return (
    <>
      <Flex align="baseline" gap="2" my="2">
        <Figure fontSize="3xl" fontWeight="600">
          {minutes(outlook.workingS)}
        </Figure>
        <Box fontSize="sm" color="ink2">
          to work with, ± {show(outlook.sigma, 'share').text} (one standard deviation)
        </Box>
      </Flex>
      <Box as="ul" listStyleType="none" mb="2">
        {cupSteps(outlook).map(({ when, what }) => (
          <Flex as="li" key={what} gap="3" borderTopWidth="1px" borderColor="line" py="1">
            <Figure minW="150px" flexShrink={0}>
              {when}
            </Figure>
            <span>{what}</span>
          </Flex>
        ))}
      </Box>
      <CupChart outlook={outlook} />
      <Box fontSize="sm" my="2">
        Spread {show(TRAY_DEPTH_M, 'film').text} deep in a tray:{' '}
        <strong>{minutes(outlook.tray.workingS)}</strong> instead.
      </Box>
      {outlook.heat === 'warm' ? (
        <Box fontSize="sm">
          {massText} {HEAT_WORDS.warm}.
        </Box>
      ) : (
        <Caution title={outlook.heat === 'hot' ? 'Hot cup.' : 'Dangerous heat.'}>
          {massText} {HEAT_WORDS[outlook.heat]}. Up to {show(outlook.greatestKg, 'mass').text} in
          one cup stays below that.
        </Caution>
      )}
      <Box as="details" fontSize="sm" color="ink2" mt="2">
        <Box as="summary" cursor="pointer" minH="24px">
          How sure, and how it is worked out
        </Box>
        {determinedWords(outlook)}
        <FilmTable outlook={outlook} />
        Kinetics of Kamal and Sourour (1973) with the diffusion of Chern and Poehlein (1987), fitted
        to five times of the sheet; viscosity of Castro and Macosko (1982); heat balance of a cup as
        wide as the mix is deep. Stop is 8 times the fresh viscosity as it lies on the board, or 25
        K in the cup. How hot a cup gets no sheet tells: only its class is said.
      </Box>
    </>
  );
}

/** A batch of this resin in its cup: how long it can be worked, what to do when, and how warm it gets. */
export function CupPanel({ sheet }: { sheet: ResinSheet }) {
  const { room: record } = useShop();
  const format = useFormat();
  const [mass, setMass] = useState(editText(USUAL_KG, format.typed('mass')));
  const [room, setRoom] = useState(
    editText(roomAir(record).temperatureK, format.typed('temperature')),
  );
  const [bottles, setBottles] = useState('');
  const reader = new FieldReader<'mass' | 'room' | 'bottles'>(format);
  const massKg = reader.quantity('mass', mass, 'mass', MASS_LIMITS_KG);
  const roomK = reader.quantity('room', room, 'temperature', ROOM_LIMITS_K);
  const startK =
    bottles.trim() === ''
      ? roomK
      : reader.quantity('bottles', bottles, 'temperature', ROOM_LIMITS_K);
  const state = useCupOutlook(reader.sound ? { sheet, massKg, roomK, startK } : null);
  return (
    <Panel as="section" aria-label="In the cup">
      <Heading as="h2" fontSize="lg" mb="2">
        In the cup
      </Heading>
      <Grid templateColumns="1fr 1fr 1fr" gap="3" mb="2">
        <TextField
          label="Mixed"
          value={mass}
          error={reader.errors.mass}
          onChange={(e) => setMass(e.target.value)}
        />
        <TextField
          label="Room"
          value={room}
          error={reader.errors.room}
          onChange={(e) => setRoom(e.target.value)}
        />
        <TextField
          label="Bottles, if warmed"
          value={bottles}
          error={reader.errors.bottles}
          onChange={(e) => setBottles(e.target.value)}
        />
      </Grid>
      {reader.sound && state.is === 'working' && <Box color="ink2">Working it out …</Box>}
      {state.is === 'failed' && <Box role="alert">{state.why}</Box>}
      {reader.sound && state.is === 'found' && state.outlook && (
        <Told outlook={state.outlook} massText={format.show(massKg, 'mass').text} />
      )}
      {reader.sound && state.is === 'found' && !state.outlook && (
        <Box>By these times it stays workable for more than half a day: check the sheet.</Box>
      )}
    </Panel>
  );
}
