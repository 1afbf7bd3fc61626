'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type MouseEvent } from 'react';
import { centrePath, shapePath, type Path, type Point } from '@/core/geometry';
import { AreaStrip } from '../AreaStrip';
import { TracePanel } from '../trace/TracePanel';
import { emptyArea, emptyEdge, planPoints, shapeNow } from '../draft';
import { useSurvey } from '../SurveyContext';
import { Dimensions } from './Dimensions';
import { DrawBar, DrawLayer, EMPTY_DRAWING } from './DrawLayer';
import { MarkPoints } from './MarkPoints';
import { PathHandles } from './PathHandles';
import { Grid, PlanArea } from './PlanAreas';
import { PlanContext, type Chosen, type Tool } from './planView';
import { SelectionBar } from './SelectionBar';
import { SizeHandles } from './SizeHandles';
import { ToolBar, ViewBar } from './Toolbar';
import { Underlay } from './Underlay';
import { usePlanView } from './usePlanView';

/** What a finished drawing becomes, by the tool that drew it. */
function useFinish(done: () => void) {
  const { area, edit, editArea, select, draft, format } = useSurvey();
  return (tool: Tool, path: Path) => {
    const local: Path = { ...centrePath(path).path };
    if (tool === 'draw')
      editArea({
        shape: 'outline',
        outline: path,
        keepBare: [],
        at: [0, 0],
        measured: { by: 'rule' },
      });
    if (tool === 'bare') {
      const back: Point = [-area.at[0], -area.at[1]];
      const bare = shift(path, back);
      editArea({ keepBare: [...area.keepBare, bare] });
    }
    if (tool === 'recess') {
      const [dx, dy] = centrePath(path).shift;
      const id = crypto.randomUUID();
      const count = draft.areas.filter((a) => a.kind === 'recess').length;
      edit((d) => ({
        ...d,
        areas: [
          ...d.areas,
          {
            ...emptyArea(format, 'recess'),
            id,
            name: `Recess ${count + 1}`,
            shape: 'outline',
            outline: local,
            at: [-dx, -dy],
            edges: [emptyEdge('dammed')],
          },
        ],
      }));
      select(draft.areas.length);
    }
    done();
  };
}

const shift = (path: Path, [dx, dy]: Point): Path => {
  const move = (p: Point): Point => [p[0] + dx, p[1] + dy];
  return {
    start: move(path.start),
    segments: path.segments.map((s) =>
      s.kind === 'line'
        ? { kind: 'line', to: move(s.to) }
        : { kind: 'cubic', c1: move(s.c1), c2: move(s.c2), to: move(s.to) },
    ),
  };
};

/** The plan of a piece: make outlines and change them, by mouse, touch or keyboard. */
export function PlanEditor() {
  const survey = useSurvey();
  const { draft, area, index, format, edit, editArea, rest } = survey;
  const [tool, setTool] = useState<Tool>('select');
  const [snapping, setSnapping] = useState(true);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [drawing, setDrawing] = useState(EMPTY_DRAWING);
  const [tracing, setTracing] = useState(false);
  const alone = area.kind === 'back' || area.kind === 'edge band';
  const visible = useMemo(
    () =>
      draft.areas.filter((a) => (alone ? a === area : a.kind === 'face' || a.kind === 'recess')),
    [draft.areas, area, alone],
  );
  const points = useMemo(() => visible.flatMap((a) => planPoints(a, format)), [visible, format]);
  const { plan, box, zoom, fit } = usePlanView(points, points, snapping);
  const shape = shapeNow(area, format);
  const part =
    chosen && (chosen.part === 'outline' || chosen.part < area.keepBare.length) ? chosen : null;
  const path =
    part && part.part !== 'outline'
      ? (area.keepBare[part.part] ?? null)
      : shape?.kind === 'outline'
        ? shapePath(shape)
        : null;
  const change = (next: Path) =>
    part && part.part !== 'outline'
      ? editArea(
          { keepBare: area.keepBare.map((b, i) => (i === part.part ? next : b)) },
          `bare ${index} ${part.part}`,
        )
      : editArea({ outline: next }, `outline ${index}`);
  const leave = () => {
    setTool('select');
    setDrawing(EMPTY_DRAWING);
  };
  const finish = useFinish(leave);
  const draws = tool === 'draw' || tool === 'bare' || tool === 'recess';
  const put = (e: MouseEvent) => {
    if (tool !== 'hardware' && tool !== 'prop') {
      const target = e.target as Element;
      if (!target.closest('.plan-point, .plan-edge')) setChosen(null);
      return;
    }
    const at = plan.caught(plan.fromClient(e.clientX, e.clientY), []);
    if (tool === 'hardware')
      edit((d) => ({ ...d, marks: [...d.marks, { name: `Fitting ${d.marks.length + 1}`, at }] }));
    else edit((d) => ({ ...d, level: { ...d.level, props: [...d.level.props, at].slice(0, 12) } }));
  };
  const layer = {
    drawing,
    onDrawing: setDrawing,
    onFinish: (p: Path) => finish(tool, p),
    onCancel: leave,
  };
  return (
    <PlanContext value={plan}>
      <Flex justify="space-between" gap="3" mb="1">
        <AreaStrip />
        <ViewBar snapping={snapping} onSnapping={setSnapping} onZoom={zoom} onFit={fit} />
      </Flex>
      <ToolBar
        tool={tool}
        onTool={(t) => {
          setTool(t);
          setDrawing({ ...EMPTY_DRAWING, cursor: plan.view.middle });
          setChosen(null);
        }}
        onTrace={() => setTracing(true)}
      />
      <Box
        ref={box}
        position="relative"
        bg="card"
        borderWidth="1px"
        borderColor="line"
        overflow="hidden"
      >
        <Box position="absolute" zIndex="1" top="1" left="1" maxW="calc(100% - 8px)" bg="rgba(255,253,248,.9)">
          {draws ? (
            <DrawBar {...layer} />
          ) : (
            <SelectionBar path={path} chosen={part} onChoose={setChosen} onChange={change} />
          )}
        </Box>
        <svg
          ref={plan.svg}
          width={plan.size.width}
          height={plan.size.height}
          role="group"
          aria-label={`Plan of ${draft.name || 'the piece'}`}
          onClick={put}
          style={{
            display: 'block',
            touchAction: 'none',
            cursor: tool === 'select' ? 'default' : 'crosshair',
          }}
        >
          <Grid />
          {visible.map((a) => (
            <Underlay key={a.id ?? a.name} area={a} />
          ))}
          {visible.map((a, i) => (
            <PlanArea
              key={a.id ?? i}
              area={a}
              selected={a === area}
              chosen={a === area ? part : null}
              underlay={a.measured.by === 'photo'}
              onChooseBare={(b) => setChosen({ part: b, corner: null })}
            />
          ))}
          {shape && tool === 'select' && <SizeHandles shape={shape} at={area.at} />}
          {path && tool === 'select' && (
            <PathHandles
              path={path}
              part={part?.part ?? 'outline'}
              at={area.at}
              chosen={part}
              onChoose={setChosen}
              onChange={change}
              onEnd={rest}
            />
          )}
          <MarkPoints active={tool === 'select' || tool === 'hardware' || tool === 'prop'} />
          {draws && <DrawLayer {...layer} />}
        </svg>
        {shape && tool === 'select' && (
          <Dimensions shape={shape} at={area.at} onChange={(p) => editArea({ outline: p })} />
        )}
        {!shape && visible.length <= 1 && !draws && (
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
        )}
      </Box>
      {tracing && <TracePanel onClose={() => setTracing(false)} />}
    </PlanContext>
  );
}
