'use client';
import { Box, Grid } from '@chakra-ui/react';
import { parseQuantity } from '@/core/units';
import { capillaryLength, SURFACE_TENSION } from '@/core/capillary';
import { beadOf, type LineUse } from '@/core/coat';
import { FieldReader } from '@/features/common/fieldReader';
import type { PieceView } from '@/shop/coatView';
import { useFormat, type Format } from '@/features/common/useFormat';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { LampFields } from './LampFields';
import { LinePad } from './LinePad';
import { LINE_HINT, LINE_OPTIONS, readLine, usualLine, type LineDraft } from './lines';

/** Capillary length of a usual mix, m: 1100 kg/m³. */
const RIM_LENGTH_M = capillaryLength(SURFACE_TENSION, 1100);

/** Height of the bead as it is typed now, m; 0 while a field is wrong. */
function heightNow(draft: LineDraft, format: Format): number {
  const reader = new FieldReader<'width' | 'angle' | 'line'>(format);
  const line = readLine(
    {
      ...draft,
      points: [
        [0, 0],
        [1, 0],
      ],
    },
    reader,
  );
  return line ? beadOf(line, RIM_LENGTH_M).heightM : 0;
}

interface Props {
  readonly view: PieceView;
  readonly draft: LineDraft;
  readonly errors: Readonly<Partial<Record<'width' | 'angle' | 'line', string>>>;
  readonly onChange: (draft: LineDraft) => void;
}

/** What a drawn line is: what it is for, its path on the plan, its width and how steep its sides stand. */
export function LineFields({ view, draft, errors, onChange }: Props) {
  const format = useFormat();
  const width = parseQuantity(draft.width, 'film', format.typed('film'));
  return (
    <Box mt="3">
      <Grid templateColumns="repeat(auto-fit, minmax(180px, 1fr))" gap="4">
        <SelectField
          label="The line is a"
          value={draft.as}
          options={LINE_OPTIONS}
          onChange={(e) => {
            const as = e.target.value as LineUse;
            onChange({ ...usualLine(as, format), points: draft.points, closed: draft.closed });
          }}
        />
        <TextField
          label="Its width"
          value={draft.width}
          error={errors.width}
          onChange={(e) => onChange({ ...draft, width: e.target.value })}
        />
        <TextField
          label="Sides stand at, degrees"
          hint="Fresh 20–40, rested or UV 60–90"
          value={draft.angle}
          error={errors.angle}
          onChange={(e) => onChange({ ...draft, angle: e.target.value })}
        />
      </Grid>
      <Box fontSize="sm" color="ink2" my="2">
        {LINE_HINT[draft.as]}
      </Box>
      {draft.as === 'raised line' && <LampFields heightM={heightNow(draft, format)} />}
      <LinePad
        view={view}
        points={draft.points}
        closed={draft.closed}
        widthM={width.ok ? width.value : 0}
        onChange={(points) => onChange({ ...draft, points })}
      />
      {errors.line && (
        <Box role="alert" fontSize="sm" color="oxide" fontWeight="600">
          {errors.line}
        </Box>
      )}
    </Box>
  );
}
