'use client';
import { Box } from '@chakra-ui/react';
import { checkShape, type Path, type Point, type Shape } from '@/core/geometry';
import type { AreaDraft } from '../draft';
import { useSurvey } from '../SurveyContext';
import { MarkPoints } from './MarkPoints';
import { PathHandles } from './PathHandles';
import { Grid, PlanArea } from './PlanAreas';
import { PlaceNames } from './PlaceNames';
import { usePlan, type Chosen, type Tool } from './planView';
import { SizeHandles } from './SizeHandles';
import { Underlay } from './Underlay';

interface ContentsProps {
  readonly visible: readonly AreaDraft[];
  readonly tool: Tool;
  readonly shape: Shape | null;
  readonly part: Chosen | null;
  readonly path: Path | null;
  readonly onChoose: (chosen: Chosen) => void;
  readonly onChange: (path: Path) => void;
  readonly onDrag: (path: Path) => void;
}

/** A ring where the outline crosses itself. */
function Crossing({ shape, at }: { shape: Shape; at: Point }) {
  const { onScreen } = usePlan();
  const checked = shape.kind === 'outline' ? checkShape(shape) : null;
  const issue = checked && !checked.ok ? checked.issues[0] : undefined;
  if (issue?.code !== 'not-allowed') return null;
  const [x, y] = issue.value as Point;
  const [cx, cy] = onScreen([x + at[0], y + at[1]]);
  return (
    <g aria-hidden>
      <circle cx={cx} cy={cy} r="16" fill="none" stroke="var(--bm-colors-oxide)" strokeWidth="3" />
      <circle cx={cx} cy={cy} r="3" fill="var(--bm-colors-oxide)" />
    </g>
  );
}

/** Everything drawn on the plan: grid, photo, areas, and the points that can be dragged. */
export function PlanContents({
  visible,
  tool,
  shape,
  part,
  path,
  onChoose,
  onChange,
  onDrag,
}: ContentsProps) {
  const { area, rest } = useSurvey();
  return (
    <>
      <Grid />
      {visible.map((a, i) => (
        <Underlay key={a.id ?? i} area={a} />
      ))}
      {visible.map((a, i) => (
        <PlanArea
          key={a.id ?? i}
          area={a}
          selected={a === area}
          chosen={a === area ? part : null}
          underlay={a.measured.by === 'photo'}
          onChooseBare={(b) => onChoose({ part: b, corner: null })}
        />
      ))}
      {tool === 'select' && <PlaceNames visible={visible} />}
      {shape && tool === 'select' && area.partOf === null && (
        <SizeHandles shape={shape} at={area.at} />
      )}
      {path && tool === 'select' && area.partOf === null && (
        <PathHandles
          path={path}
          part={part?.part ?? 'outline'}
          at={area.at}
          chosen={part}
          onChoose={onChoose}
          onChange={onChange}
          onDrag={onDrag}
          onEnd={rest}
        />
      )}
      {shape && <Crossing shape={shape} at={area.at} />}
      <MarkPoints active={tool === 'select' || tool === 'hardware' || tool === 'prop'} />
    </>
  );
}

/** Stands where nothing is known yet. */
export function EmptyPlan() {
  return (
    <Box
      position="absolute"
      inset="0"
      display="grid"
      placeItems="center"
      color="ink2"
      pointerEvents="none"
      px="6"
      textAlign="center"
    >
      The outline appears here when its size is typed, drawn or traced.
    </Box>
  );
}
