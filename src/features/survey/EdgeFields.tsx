'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { PROFILE_KINDS, type EdgeProfile } from '@/core/geometry';
import { isWall, OUTER_EDGES, type EdgeKind } from '@/core/piece';
import { Button } from '@/ui/Button';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { fitEdges, sideCount } from './draft';
import { Swatch } from './PlaceFields';
import { useSurvey } from './SurveyContext';
import { EDGE_WORDS, edgeName, PROFILE_WORDS } from './words';

function OneEdge({ edge }: { edge: number }) {
  const { area, index, editEdge, errors, rest } = useSurvey();
  const count = sideCount(area);
  const it = fitEdges(area.edges, count)[edge];
  if (!it) return null;
  const name = edgeName(area, edge, count);
  const key = `areas.${index}.edges.${edge}.`;
  const text = (field: 'height' | 'size' | 'wall') => ({
    value: it[field],
    error: errors[key + field],
    onChange: (e: { target: { value: string } }) =>
      editEdge(edge, { [field]: e.target.value }, key + field),
    onBlur: rest,
  });
  return (
    <Box
      borderTopWidth="2px"
      borderColor="ink"
      pt="3"
      mt="4"
      role="group"
      aria-label={`${name}, details`}
    >
      <Box fontFamily="heading" fontWeight="600" mb="2">
        {name}
      </Box>
      <Grid templateColumns="1fr 1fr" gap="3">
        <TextField
          label="Its thickness"
          placeholder={area.edgeHeight}
          hint="Empty: as the area"
          {...text('height')}
        />
        <SelectField
          label="Profile"
          value={it.profile}
          options={PROFILE_KINDS.map((k) => [k, PROFILE_WORDS[k]])}
          onChange={(e) => editEdge(edge, { profile: e.target.value as EdgeProfile['kind'] })}
        />
        {(it.profile === 'round' || it.profile === 'bevel') && (
          <TextField
            label={it.profile === 'round' ? 'Radius' : 'Size of the bevel'}
            {...text('size')}
          />
        )}
        {isWall(it.kind) && (
          <TextField
            label={`Height of the ${it.kind}`}
            placeholder="as needed"
            hint="Over the ground"
            {...text('wall')}
          />
        )}
      </Grid>
    </Box>
  );
}

/** A place has the edges of its face, and boundaries that are told with its name. */
function EdgesOfPlace() {
  const { draft, area, select } = useSurvey();
  const at = draft.areas.findIndex((a) => a.id === area.partOf);
  return (
    <Box fontSize="sm">
      <Box color="ink2" mb="2">
        {area.name} has the edges of {draft.areas[at]?.name}; what stands on its boundaries is told
        with its name.
      </Box>
      <Button size="sm" onClick={() => select(at)}>
        Edges of {draft.areas[at]?.name}
      </Button>
    </Box>
  );
}

/** The kind of each edge, one select a side; the chosen one with thickness and profile. */
export function EdgeFields() {
  const { area } = useSurvey();
  return area.partOf === null ? <EdgesOfFace /> : <EdgesOfPlace />;
}

function EdgesOfFace() {
  const { area, edge, selectEdge, editArea, editEdge } = useSurvey();
  const count = sideCount(area);
  const edges = fitEdges(area.edges, count);
  const first = edges[edge ?? 0];
  return (
    <Box>
      <Box fontSize="sm" color="ink2">
        Click an edge in the plan, or choose below. These set all edges at once:
      </Box>
      <Flex direction="column" align="start" my="1">
        {OUTER_EDGES.map((kind) => (
          <Button
            key={kind}
            size="sm"
            variant="quiet"
            fontWeight="500"
            px="1"
            onClick={() => editArea({ edges: edges.map((e) => ({ ...e, kind })) })}
            aria-label={`All edges ${kind}`}
          >
            <Swatch kind={kind} /> {EDGE_WORDS[kind]}
          </Button>
        ))}
      </Flex>
      <Grid templateColumns="repeat(auto-fill, minmax(104px, 1fr))" gap="2">
        {edges.map(({ kind }, i) => (
          <Box
            key={i}
            onFocus={() => selectEdge(i)}
            p="1.5"
            bg={i === (edge ?? 0) ? 'amberWash' : undefined}
            outline={i === (edge ?? 0) ? '1.5px solid' : undefined}
            outlineColor="amber"
          >
            <SelectField
              label={edgeName(area, i, count)}
              value={kind}
              options={OUTER_EDGES.map((k) => [k, k])}
              onChange={(e) => editEdge(i, { kind: e.target.value as EdgeKind })}
            />
          </Box>
        ))}
      </Grid>
      <OneEdge edge={edge ?? 0} />
      {count > 1 && first && (
        <Button
          size="sm"
          mt="3"
          onClick={() =>
            editArea({
              edges: edges.map((e) => ({
                ...e,
                wall: first.wall,
                height: first.height,
                profile: first.profile,
                size: first.size,
              })),
            })
          }
        >
          Thickness and profile to all edges
        </Button>
      )}
    </Box>
  );
}
