'use client';
import { Flex } from '@chakra-ui/react';
import {
  bendSegment,
  checkShape,
  deleteCorner,
  insertCorner,
  untangle,
  type Path,
} from '@/core/geometry';
import { Button } from '@/ui/Button';
import { freeOutline, shapeNow } from '../readShape';
import { drawingTrouble } from '../readSurvey';
import { useSurvey } from '../SurveyContext';
import type { Chosen } from './planView';

interface Props {
  readonly path: Path | null;
  readonly chosen: Chosen | null;
  readonly onChoose: (chosen: Chosen | null) => void;
  readonly onChange: (path: Path) => void;
}

function CornerActions({
  path,
  corner,
  onChoose,
  onChange,
  part,
}: { path: Path; corner: number; part: Chosen['part'] } & Pick<Props, 'onChoose' | 'onChange'>) {
  const straight = path.segments[corner]?.kind === 'line';
  return (
    <>
      <strong>Corner {corner + 1}</strong>
      <Button size="sm" onClick={() => onChange(insertCorner(path, corner))}>
        Point after it
      </Button>
      <Button size="sm" onClick={() => onChange(bendSegment(path, corner, straight))}>
        {straight ? 'Curve' : 'Straighten'} the stretch after it
      </Button>
      <Button
        size="sm"
        disabled={path.segments.length <= 3}
        onClick={() => {
          onChange(deleteCorner(path, corner));
          onChoose({ part, corner: null });
        }}
      >
        Delete it
      </Button>
    </>
  );
}

/** What can be done with what is chosen on the plan; mends an outline that crosses itself. */
export function SelectionBar({ path, chosen, onChoose, onChange }: Props) {
  const { area, format, editArea } = useSurvey();
  const shape = shapeNow(area, format);
  const checked = shape?.kind === 'outline' ? checkShape(shape) : null;
  const crossed = checked && !checked.ok ? checked.issues[0] : undefined;
  const mend = () => {
    const mended = area.outline && untangle(area.outline);
    if (mended) editArea({ outline: mended });
  };
  const part = chosen?.part;
  return (
    <Flex
      display="inline-flex"
      bg="rgba(255,253,248,.92)"
      pointerEvents="auto"
      gap="2"
      align="center"
      wrap="wrap"
      fontSize="sm"
      px="1"
    >
      {crossed && (
        <>
          <span role="alert" style={{ color: 'var(--bm-colors-oxide)', fontWeight: 600 }}>
            ▲ {drawingTrouble(crossed)}
          </span>
          {crossed.code === 'not-allowed' && (
            <Button size="sm" variant="danger" onClick={mend}>
              Untangle it
            </Button>
          )}
        </>
      )}
      {path && chosen && chosen.corner !== null && chosen.corner < path.segments.length && (
        <CornerActions
          path={path}
          corner={chosen.corner}
          part={chosen.part}
          onChoose={onChoose}
          onChange={onChange}
        />
      )}
      {typeof part === 'number' && (
        <Button
          size="sm"
          onClick={() => {
            editArea({ keepBare: area.keepBare.filter((_, i) => i !== part) });
            onChoose(null);
          }}
        >
          Remove bare part {part + 1}
        </Button>
      )}
      {!chosen && shape && shape.kind !== 'outline' && (
        <Button size="sm" variant="quiet" onClick={() => editArea(freeOutline(area, format))}>
          Free its corners and curves
        </Button>
      )}
    </Flex>
  );
}
