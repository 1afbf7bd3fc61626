'use client';
import { newId } from '@/records';
import { Flex } from '@chakra-ui/react';
import { measureShape, pathBox, shapePath, type Point, type Shape } from '@/core/geometry';
import type { AreaKind } from '@/core/piece';
import { Button } from '@/ui/Button';
import { FINGER } from '@/ui/touch';
import { editText } from '@/core/units';
import type { Format } from '@/features/common/useFormat';
import { emptyArea, emptyEdge, type AreaDraft } from './draft';
import { shapeNow } from './readShape';
import { useSurvey } from './SurveyContext';

/** Faces of a set lie side by side on the plan, so far apart, m. */
const APART_M = 0.02;

/** Where another face goes: to the right of those that are there. */
function besideAll(faces: readonly AreaDraft[], fresh: Shape, format: Format): Point {
  const rights = faces.flatMap((a) => {
    const shape = shapeNow(a, format);
    return shape ? [a.at[0] + pathBox(shapePath(shape)).middle[0] + halfWidth(shape)] : [];
  });
  return [Math.max(0, ...rights) + APART_M + halfWidth(fresh), 0];
}
const halfWidth = (shape: Shape): number => pathBox(shapePath(shape)).widthM / 2;

/** The areas of the piece: choose one, add a back or an edge band, remove one. */
export function AreaStrip() {
  const { draft, index, area, select, edit, format } = useSurvey();
  const add = (kind: AreaKind, from: Partial<AreaDraft>) => {
    const count = draft.areas.filter((a) => a.kind === kind).length;
    const blank = emptyArea(format, kind, draft.support);
    const fresh: AreaDraft = {
      ...blank,
      name: count > 0 ? `${blank.name} ${count + 1}` : blank.name,
      ...from,
      id: newId<'area'>(),
    };
    edit((d) => ({ ...d, areas: [...d.areas, fresh] }));
    select(draft.areas.length);
  };
  const [face] = draft.areas;
  const shape = face && shapeNow(face, format);
  const band = () => {
    if (!face || !shape) return;
    // The band unrolled: as long as the outline, as high as its girth.
    const { perimeterM } = measureShape(shape);
    add('edge band', {
      width: editText(Math.round(perimeterM * 1e4) / 1e4, format.typed('length')),
      height: face.edgeHeight,
      edges: [0, 1, 2, 3].map(() => emptyEdge('open')),
    });
  };
  const faces = draft.areas.filter((a) => a.kind === 'face' && a.partOf === null);
  const another = () => {
    if (!face || !shape) return;
    add('face', {
      ...face,
      ...{ name: `${face.name} ${faces.length + 1}`, at: besideAll(faces, shape, format) },
      ...{ partOf: null, cuts: [], keepBare: [], relief: [], measured: { by: 'rule' } },
    });
  };
  return (
    <Flex gap="2" wrap="wrap" align="center" role="group" aria-label="Areas of the piece">
      {draft.areas.map((a, i) => (
        <Button
          key={a.id ?? i}
          size="sm"
          minH="34px"
          css={FINGER}
          variant={i === index ? 'ink' : 'outline'}
          aria-pressed={i === index}
          onClick={() => select(i)}
        >
          {a.partOf !== null && <span aria-hidden>▸ </span>}
          {a.name || a.kind}
        </Button>
      ))}
      {shape && (
        <Button size="sm" variant="quiet" onClick={another}>
          + Another face
        </Button>
      )}
      {!draft.areas.some((a) => a.kind === 'back') && face && (
        <Button
          size="sm"
          variant="quiet"
          onClick={() =>
            add('back', {
              ...face,
              name: 'Back',
              kind: 'back',
              relief: [],
              cuts: [],
              measured: { by: 'rule' },
            })
          }
        >
          + Back
        </Button>
      )}
      {!draft.areas.some((a) => a.kind === 'edge band') && shape && (
        <Button size="sm" variant="quiet" onClick={band}>
          + Edge band
        </Button>
      )}
      {(area.kind !== 'face' || faces.length > 1) && area.partOf === null && (
        <Button
          size="sm"
          variant="danger"
          onClick={() => {
            edit((d) => ({
              ...d,
              areas: d.areas.filter(
                (a, i) => i !== index && (area.id === null || a.partOf !== area.id),
              ),
            }));
            select(0);
          }}
        >
          Remove {area.name}
        </Button>
      )}
    </Flex>
  );
}
