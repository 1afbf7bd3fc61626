'use client';
import { newId } from '@/records';
import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { isConvex, sortCorners } from '@/core/trace';
import { Button } from '@/ui/Button';
import { DialogFrame } from '@/ui/DialogFrame';
import { FieldRow } from '@/ui/FieldRow';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { Tick } from '@/ui/Tick';
import { useSurvey } from '../SurveyContext';
import { Found } from './Found';
import { PhotoStage, scaleOf } from './PhotoStage';
import { REFERENCE_WORDS, type ReferenceChoice } from './traceModel';
import { tracedDraft } from './traced';
import { useTrace } from './useTrace';

/** Marks that are added: on what is not the piece, and on parts of it. */
function MarkButtons({ state }: { state: ReturnType<typeof useTrace> }) {
  const { photo, draft, change } = state;
  return (
    <Box fontSize="sm">
      <strong>3 · Marks.</strong> Drag 1 to 4 to the sheet’s corners, going round from its top left;
      “in” onto the piece.
      <Flex gap="2" mt="1" wrap="wrap">
        <Button
          size="sm"
          disabled={!photo || draft.outside.length >= 6}
          onClick={() =>
            photo &&
            change({ outside: [...draft.outside, [photo.widthPx / 2, photo.heightPx * 0.08]] })
          }
        >
          Add an “outside” mark
        </Button>
        <Button
          size="sm"
          disabled={!photo || draft.places.length >= 6}
          onClick={() =>
            photo &&
            change({
              places: [...draft.places, [draft.inside[0], draft.inside[1] + 60 / scaleOf(photo)]],
            })
          }
        >
          Add a “part” mark
        </Button>
      </Flex>
      <Box color="ink2" mt="1">
        A “part” mark goes onto a part of the face with its own colour, paste or a shore: its
        boundary is found too, and it becomes a place.
      </Box>
    </Box>
  );
}

function Steps({ state }: { state: ReturnType<typeof useTrace> }) {
  const { photo, draft, errors, trouble, share, answer, pick, change, trace, cancel } = state;
  const typed = draft.reference === 'own' || draft.reference === 'piece';
  const field = (key: 'width' | 'height' | 'over') => ({
    value: draft[key],
    error: errors[key],
    onChange: (e: { target: { value: string } }) => change({ [key]: e.target.value }),
  });
  return (
    <Flex direction="column" gap="2.5" minW="0">
      <FieldRow
        label="1 · Photo"
        hint="From above, the whole piece in it. Where it was taken is not kept."
        error={photo ? undefined : trouble || undefined}
      >
        {(control) => (
          <input
            {...control}
            type="file"
            accept="image/*"
            onChange={(e) => void pick(e.target.files?.[0])}
          />
        )}
      </FieldRow>
      <SelectField
        label="2 · Beside it lies"
        value={draft.reference}
        options={REFERENCE_WORDS}
        onChange={(e) => change({ reference: e.target.value as ReferenceChoice })}
      />
      {typed && (
        <Grid templateColumns="1fr 1fr" gap="2">
          <TextField label="Its width (1 to 2)" {...field('width')} />
          <TextField label="Its height (2 to 3)" {...field('height')} />
        </Grid>
      )}
      <TextField
        label="Face is above it by"
        hint="Thickness of the piece, when the sheet lies on the table"
        {...field('over')}
      />
      <MarkButtons state={state} />
      <Tick
        minH="24px"
        fontSize="sm"
        checked={draft.keepSize}
        onTick={(keepSize) => change({ keepSize })}
      >
        Keep the photo at its full size
      </Tick>
      {share === null ? (
        <Button variant="ink" disabled={!photo} onClick={() => void trace()}>
          4 · Find the edge
        </Button>
      ) : (
        <Flex gap="3" align="center">
          <chakra.progress value={share} max={1} flex="1" aria-label="Tracing" />
          <Button size="sm" onClick={cancel}>
            Cancel
          </Button>
        </Flex>
      )}
      {photo && trouble && (
        <Box role="alert" fontSize="sm" color="oxide" fontWeight="600">
          {trouble}{' '}
          {!isConvex(draft.corners) && (
            <Button size="sm" onClick={() => change({ corners: sortCorners(draft.corners) })}>
              Put the marks in order
            </Button>
          )}
        </Box>
      )}
      {answer && <Found answer={answer} />}
    </Flex>
  );
}

/** Traces the chosen area from a photo: pick, mark, find, use. */
export function TracePanel({ onClose }: { onClose: () => void }) {
  const state = useTrace();
  const { draft: survey, index, format, edit, addPhotos } = useSurvey();
  const { photo, draft, answer, change } = state;
  const use = () => {
    if (!answer || !photo) return;
    const { traced } = answer;
    const [photoId, planPhotoId] = [newId<'photo'>(), newId<'photo'>()];
    const name = photo.file.name.slice(0, 180);
    addPhotos([
      { id: photoId, name, ...answer.photo },
      { id: planPhotoId, name: `${name}, straightened`, ...answer.plan },
    ]);
    const known = {
      by: 'photo' as const,
      ...{ photoId, planPhotoId, box: traced.box },
      sigmaShare: traced.measure.areaSigmaM2 / traced.measure.areaM2,
    };
    const next = tracedDraft(survey, index, traced, known, format, newId<'area'>);
    edit(() => next);
    onClose();
  };
  return (
    <DialogFrame
      stays
      title="Trace a photo"
      width="1140px"
      onClose={onClose}
      footer={
        <>
          <Button onClick={onClose}>Leave it</Button>
          <Button variant="ink" disabled={!answer} onClick={use}>
            Use this outline
          </Button>
        </>
      }
    >
      <Grid templateColumns={{ base: '1fr', md: 'minmax(0, 1fr) 320px' }} gap="5">
        <Box
          bg="paper"
          minH="300px"
          display="grid"
          placeItems="center"
          borderWidth="1px"
          borderColor="line"
        >
          {photo ? (
            <PhotoStage
              photo={photo}
              draft={draft}
              traced={answer?.traced ?? null}
              onDraft={change}
            />
          ) : (
            <Box color="ink2" px="8" textAlign="center">
              Lay a sheet of paper flat beside the piece, level with its face if you can, and take a
              picture from above. Its four corners give the scale and take the slant out.
            </Box>
          )}
        </Box>
        <Steps state={state} />
      </Grid>
    </DialogFrame>
  );
}
