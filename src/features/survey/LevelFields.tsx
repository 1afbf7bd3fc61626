'use client';
import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import {
  propLifts,
  propsCarry,
  reachOf,
  shapeBox,
  steepest,
  type Shape,
  type Tilt,
} from '@/core/geometry';
import { INCLINOMETERS, type Inclinometer } from '@/devices/inclinometer';
import { Explained } from '@/features/common/Explained';
import { FieldReader } from '@/features/common/fieldReader';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { TextField } from '@/ui/TextField';
import { shapeNow } from './readShape';
import { LEVEL_SHARE } from '@/core/film';
import { levelExplanation, LEVEL_FILM_M, unevenExplanation } from './explain';
import { readLevel } from './readSurvey';
import { useSurvey } from './SurveyContext';

function Devices({ onRead }: { onRead: (tilt: Tilt, by: string) => void }) {
  const [trouble, setTrouble] = useState('');
  const read = async (device: Inclinometer) => {
    setTrouble('');
    try {
      onRead(await device.read(), device.name);
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <Box>
      <Box fontSize="sm" fontWeight="600" mb="1">
        Or read a tilt sensor
      </Box>
      <Flex gap="2" wrap="wrap">
        {INCLINOMETERS.map((device) => (
          <Button key={device.name} size="sm" onClick={() => void read(device)}>
            {device.simulated ? 'Simulated sensor (not real)' : 'This device'}
          </Button>
        ))}
      </Flex>
      <Box role="status" fontSize="sm" color="oxide">
        {trouble}
      </Box>
    </Box>
  );
}

function Marks() {
  const { draft, edit, format } = useSurvey();
  if (draft.marks.length === 0)
    return (
      <Box fontSize="sm" color="ink2">
        No hardware marked. Choose “Hardware” over the plan and click where each fitting was.
      </Box>
    );
  return (
    <Box as="ul" listStyleType="none">
      {draft.marks.map((mark, i) => (
        <Flex key={i} as="li" gap="2" align="center" py="1">
          <chakra.input
            aria-label={`Name of mark ${i + 1}`}
            value={mark.name}
            flex="1"
            minW="0"
            minH="32px"
            px="2"
            borderWidth="1px"
            borderColor="ink3"
            maxLength={120}
            onChange={(e) =>
              edit(
                (d) => ({
                  ...d,
                  marks: d.marks.map((m, k) => (k === i ? { ...m, name: e.target.value } : m)),
                }),
                `mark ${i}`,
              )
            }
          />
          <Figure fontSize="sm">
            {mark.at.map((v) => format.show(v, 'length').text).join(' · ')}
          </Figure>
          <Button
            size="sm"
            variant="quiet"
            aria-label={`Remove ${mark.name}`}
            onClick={() => edit((d) => ({ ...d, marks: d.marks.filter((_, k) => k !== i) }))}
          >
            Remove
          </Button>
        </Flex>
      ))}
    </Box>
  );
}

function Lifts({ tilt }: { tilt: Tilt }) {
  const { draft, edit, format } = useSurvey();
  const { props } = draft.level;
  if (props.length === 0)
    return (
      <Box fontSize="sm" color="ink2">
        Choose “Prop” over the plan and click where the props stand: each gets its lift.
      </Box>
    );
  const lifts = propLifts(tilt, props);
  return (
    <Box>
      <chakra.table width="100%" fontSize="sm">
        <tbody>
          {lifts.map((lift, i) => (
            <chakra.tr key={i} borderTopWidth="1px" borderColor="line" height="34px">
              <th scope="row">Prop {i + 1}</th>
              <chakra.td textAlign="right">
                <Figure fontWeight="600">
                  {lift < 1e-5 ? 'stays' : `raise ${format.show(lift, 'film').text}`}
                </Figure>
              </chakra.td>
              <chakra.td textAlign="right" width="90px">
                <Button
                  size="sm"
                  variant="quiet"
                  aria-label={`Remove prop ${i + 1}`}
                  onClick={() =>
                    edit((d) => ({
                      ...d,
                      level: { ...d.level, props: props.filter((_, k) => k !== i) },
                    }))
                  }
                >
                  Remove
                </Button>
              </chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      {!propsCarry(props) && (
        <Box fontSize="sm" color="oxide" fontWeight="600">
          {props.length < 3
            ? 'Three props carry a piece.'
            : 'The middle of the piece lies outside these props: it would tip.'}
        </Box>
      )}
    </Box>
  );
}

/** Length of a face along its steepest slope, m; its longest side while it leans nowhere. */
function spanAlong(face: Shape, tilt: Tilt): number {
  if (steepest(tilt).slope > 0) return reachOf(face, [tilt.alongX, tilt.alongY]).lengthM;
  const { widthM, heightM } = shapeBox(face);
  return Math.max(widthM, heightM);
}

/** Whether it is level enough for the planned film, and what the tilt would make of it. */
function Verdict({ lengthM, tilt, by }: { lengthM: number; tilt: Tilt; by: string }) {
  const { film, format } = useSurvey();
  const { slope } = steepest(tilt);
  const filmM = film?.thicknessM ?? LEVEL_FILM_M;
  const { tolerable, explanation } = levelExplanation(lengthM, slope, filmM);
  const uneven = film && unevenExplanation(lengthM, slope, film);
  return (
    <Box bg="paper" px="3" py="2">
      <strong>{slope <= tolerable ? '✓ Level enough' : '▲ Level it first'}</strong>{' '}
      <Explained explanation={explanation} quantity="number">
        <Figure>
          {(slope * 1000).toFixed(2)} mm/m, tolerable {(tolerable * 1000).toFixed(2)} mm/m
        </Figure>
      </Explained>
      {uneven && (
        <Box>
          {film.name} would differ by{' '}
          <Explained explanation={uneven} quantity="film">
            <Figure>{format.show(uneven.valueM, 'film').text}</Figure>
          </Explained>{' '}
          edge to edge.
        </Box>
      )}
      <Box fontSize="sm" color="ink2">
        {by === 'simulated sensor' && 'Simulated reading. '}
        Tolerable: {LEVEL_SHARE * 100} % of {film ? film.name : 'a film'},{' '}
        {format.show(filmM, 'film').text}.
        {tolerable < 0.75e-3 && ' A spirit level (0.5–1 mm/m) is not fine enough here.'}
      </Box>
    </Box>
  );
}

/** Out of level, what of it is tolerable, the lift of each prop, and where the hardware was. */
export function LevelFields() {
  const { draft, edit, errors, format, rest } = useSurvey();
  const { level } = draft;
  const field = (key: 'alongX' | 'alongY' | 'over') => ({
    value: level[key],
    error: errors[`level.${key}`],
    onChange: (e: { target: { value: string } }) =>
      edit(
        (d) => ({
          ...d,
          level: { ...d.level, [key]: e.target.value, by: 'typed', readMs: Date.now() },
        }),
        `level ${key}`,
      ),
    onBlur: rest,
  });
  const onRead = ({ alongX, alongY }: Tilt, by: string) => {
    const write = (slope: number) => `${((Math.atan(slope) * 180) / Math.PI).toFixed(3)}°`;
    edit((d) => ({
      ...d,
      level: { ...d.level, alongX: write(alongX), alongY: write(alongY), by, readMs: Date.now() },
    }));
  };
  const reading = readLevel(level, new FieldReader<string>(format));
  const face = draft.areas[0] && shapeNow(draft.areas[0], format);
  const tilt = reading?.tilt ?? null;
  const sound = tilt && Number.isFinite(tilt.alongX + tilt.alongY);
  return (
    <Flex direction="column" gap="3">
      <Box fontSize="sm" color="ink2">
        Measured on the propped piece. A rise (2 mm) over the length beside it, or an angle (0.4°);
        minus when it falls.
      </Box>
      <Grid templateColumns="1fr 1fr 1fr" gap="2">
        <TextField label="Rises right" {...field('alongX')} />
        <TextField label="Rises back" {...field('alongY')} />
        <TextField label="Over" {...field('over')} />
      </Grid>
      <Devices onRead={onRead} />
      {sound && face && <Verdict lengthM={spanAlong(face, tilt)} tilt={tilt} by={level.by} />}
      {sound && <Lifts tilt={tilt} />}
      {!sound && <Lifts tilt={{ alongX: 0, alongY: 0 }} />}
      {draft.support === 'canvas' && (
        <TextField
          label="Belly of the canvas"
          hint="How far the middle hangs under a straight edge; 0 when it is supported from the back"
          value={draft.belly}
          error={errors['belly']}
          onChange={(e) => edit((d) => ({ ...d, belly: e.target.value }), 'belly')}
          onBlur={rest}
        />
      )}
      <Box fontFamily="heading" fontWeight="600" mt="1">
        Hardware marks
      </Box>
      <Marks />
    </Flex>
  );
}
