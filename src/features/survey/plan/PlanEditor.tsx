'use client';
import { newId } from '@/records';
import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type MouseEvent, type ReactNode } from 'react';
import { centrePath, shapePath, shiftPath, type Path, type Point } from '@/core/geometry';
import { AreaStrip } from '../AreaStrip';
import { TracePanel } from '../trace/TracePanel';
import { emptyArea, emptyEdge, type AreaDraft } from '../draft';
import { planPoints, shapeNow } from '../readShape';
import { useSurvey } from '../SurveyContext';
import { Dimensions } from './Dimensions';
import { DrawBar, DrawLayer } from './DrawLayer';
import type { CutLine } from '@/core/places';
import { cutHere } from '../places';
import { cutRing, EMPTY_DRAWING } from './drawing';
import { EmptyPlan, PlanContents } from './PlanContents';
import { PlanContext, type Chosen, type Tool } from './planView';
import { SelectionBar } from './SelectionBar';
import { ToolBar, ViewBar } from './Toolbar';
import { usePlanView } from './usePlanView';

/** What a finished drawing becomes, by the tool that drew it. */
function useFinish(done: () => void, onTrouble: (why: string | null) => void) {
  const { area, edit, editArea, index, select, draft, format } = useSurvey();
  const cut = (line: CutLine) => {
    const made = cutHere(draft, index, line, format, newId<'area'>);
    onTrouble(made.ok ? null : made.why);
    if (!made.ok) return;
    edit(() => made.draft);
    select(made.draft.areas.length - 1);
    done();
  };
  const finish = (tool: Tool, path: Path) => {
    if (tool === 'place') return cut({ points: cutRing(path), closed: true });
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
      const bare = shiftPath(path, back);
      editArea({ keepBare: [...area.keepBare, bare] });
    }
    if (tool === 'recess') {
      const [dx, dy] = centrePath(path).shift;
      const id = newId<'area'>();
      const count = draft.areas.filter((a) => a.kind === 'recess').length;
      edit((d) => ({
        ...d,
        areas: [
          ...d.areas,
          {
            ...emptyArea(format, 'recess'),
            ...{ porosity: area.porosity, surface: area.surface },
            id,
            name: `Recess ${count + 1}`,
            shape: 'outline',
            outline: local,
            at: [-dx, -dy],
            edges: [emptyEdge('own rim')],
          },
        ],
      }));
      select(draft.areas.length);
    }
    done();
  };
  return { finish, cut };
}

/** Which areas are shown with the chosen one. */
function visibleAreas(areas: readonly AreaDraft[], area: AreaDraft): readonly AreaDraft[] {
  if (area.kind === 'edge band') return [area];
  if (area.kind === 'back') return areas.filter((a) => a.kind === 'back');
  return areas.filter((a) => a.kind === 'face' || a.kind === 'recess');
}

/** The path that is edited: a chosen bare part, or a free outline. */
function usePath(chosen: Chosen | null) {
  const { area, index, format, editArea } = useSurvey();
  const shape = shapeNow(area, format);
  const part =
    chosen && (chosen.part === 'outline' || chosen.part < area.keepBare.length) ? chosen : null;
  const bare = part && part.part !== 'outline' ? part.part : null;
  const path =
    bare !== null
      ? (area.keepBare[bare] ?? null)
      : shape?.kind === 'outline'
        ? shapePath(shape)
        : null;
  const put = (next: Path, tag?: string) =>
    bare !== null
      ? editArea({ keepBare: area.keepBare.map((b, i) => (i === bare ? next : b)) }, tag)
      : editArea({ outline: next }, tag);
  // A drag is one step to take back; every other change is a step of its own.
  const drag = (next: Path) => put(next, `path ${index} ${bare ?? 'outline'}`);
  const change = (next: Path) => put(next);
  return { shape, part, path, change, drag };
}

/** What is said over the plan: why a line does not cut, and what can be done. */
function TopBar({ trouble, children }: { trouble: string | null; children: ReactNode }) {
  return (
    <Box position="absolute" zIndex="1" top="1" left="1" right="1" pointerEvents="none">
      {trouble && (
        <Box role="alert" color="oxide" fontWeight="600" bg="rgba(255,253,248,.92)" px="1">
          ▲ {trouble}
        </Box>
      )}
      {children}
    </Box>
  );
}

const DRAWS: readonly Tool[] = ['draw', 'cut', 'place', 'bare', 'recess'];

/** The plan of a piece: make outlines and change them, by mouse, touch or keyboard. */
export function PlanEditor() {
  const { draft, area, format, edit } = useSurvey();
  const [tool, setTool] = useState<Tool>('select');
  const [snapping, setSnapping] = useState(true);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [drawing, setDrawing] = useState(EMPTY_DRAWING);
  const [tracing, setTracing] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const visible = useMemo(() => visibleAreas(draft.areas, area), [draft.areas, area]);
  const points = useMemo(() => visible.flatMap((a) => planPoints(a, format)), [visible, format]);
  const { plan, box, setSvg, zoom, fit } = usePlanView(points, points, snapping);
  const { shape, part, path, change, drag } = usePath(chosen);
  const leave = () => {
    setTool('select');
    setDrawing(EMPTY_DRAWING);
    setTrouble(null);
  };
  const { finish, cut } = useFinish(leave, setTrouble);
  const draws = DRAWS.includes(tool);
  const pickTool = (next: Tool) => {
    setTool(next);
    setDrawing({ ...EMPTY_DRAWING, cursor: plan.view.middle });
    setChosen(null);
  };
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
    ...(tool === 'cut' && {
      onLine: (points: readonly Point[]) => cut({ points, closed: false }),
    }),
    onCancel: leave,
  };
  return (
    <PlanContext value={plan}>
      <Flex justify="space-between" gap="3" mb="1">
        <AreaStrip />
        <ViewBar snapping={snapping} onSnapping={setSnapping} onZoom={zoom} onFit={fit} />
      </Flex>
      <ToolBar tool={tool} onTool={pickTool} onTrace={() => setTracing(true)} />
      <Box
        ref={box}
        position="relative"
        bg="card"
        borderWidth="1px"
        borderColor="line"
        overflow="hidden"
      >
        <TopBar trouble={trouble}>
          {draws ? (
            <DrawBar {...layer} />
          ) : (
            <SelectionBar path={path} chosen={part} onChoose={setChosen} onChange={change} />
          )}
        </TopBar>
        <svg
          ref={setSvg}
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
          <PlanContents
            visible={visible}
            tool={tool}
            shape={shape}
            part={part}
            path={path}
            onChoose={setChosen}
            onChange={change}
            onDrag={drag}
          />
          {draws && <DrawLayer {...layer} />}
        </svg>
        {shape && tool === 'select' && area.partOf === null && (
          <Dimensions shape={shape} at={area.at} onChange={change} />
        )}
        {!shape && visible.length <= 1 && !draws && <EmptyPlan />}
      </Box>
      {tracing && <TracePanel onClose={() => setTracing(false)} />}
    </PlanContext>
  );
}
