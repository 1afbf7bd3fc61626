import Joi from 'joi';
import { checkShape, measureFace, measureShape, type FaceEdge, type Shape } from '../geometry';
import { ok } from '../result';
import { define } from './define';
import { number, shapeSchema } from './schemas';

/** Computations of shapes and faces. */
export const GEOMETRY = {
  measureShape: define<Shape, ReturnType<typeof measureShape>>(
    shapeSchema as Joi.Schema<Shape>,
    (shape) => {
      const checked = checkShape(shape);
      return checked.ok ? ok(measureShape(checked.value)) : checked;
    },
  ),
  measureFace: define(
    Joi.object<{ shape: Shape; edges: FaceEdge[] }>({
      shape: shapeSchema,
      edges: Joi.array()
        .items(
          Joi.object({
            heightM: number().min(0),
            profile: Joi.object({
              kind: Joi.valid('square', 'eased', 'round', 'bevel').required(),
              sizeM: number().min(0).optional(),
            }).required(),
          }),
        )
        .max(60)
        .required(),
    }),
    ({ shape, edges }) => {
      const checked = checkShape(shape);
      return checked.ok ? ok(measureFace(checked.value, edges)) : checked;
    },
  ),
} as const;
