import Joi from 'joi';
import { finite, notNegative, positive, text } from '../../base/schema/fields';
import { suspensionSweepSchema } from '../corner/sweep.schema';
import { CAR, type ClearanceInput, SHAPE_CLASSES } from './definition';

const MOST = { shapes: 500, points: 500_000, triangles: 1_000_000, poses: 2000, allowed: 5000 };
const point = () => Joi.array().items(finite()).length(3);
const when = (kinds: readonly string[], schema: Joi.Schema, presence: 'required' | 'optional' = 'required') =>
  schema.when('kind', {
    is: Joi.valid(...kinds),
    then: presence === 'required' ? Joi.required() : Joi.optional(),
    otherwise: Joi.forbidden(),
  });
const sizes = Joi.array().items(positive()).length(3);

export const clearanceCheckSchema = Joi.object<ClearanceInput>({
  shapes: Joi.array()
    .items(
      Joi.object({
        id: text(80).required(),
        body: text(40).default(CAR),
        class: Joi.valid(...SHAPE_CLASSES).default('plain'),
        kind: Joi.valid('sphere', 'capsule', 'cylinder', 'box', 'hull', 'mesh').required(),
        centreMm: when(['sphere', 'box'], point()),
        radiusMm: when(['sphere', 'capsule', 'cylinder'], positive()),
        fromMm: when(['capsule', 'cylinder'], point()),
        toMm: when(['capsule', 'cylinder'], point()),
        sizeMm: when(['box'], sizes),
        turnDeg: when(['box'], point(), 'optional'),
        pointsMm: Joi.array()
          .items(point())
          .max(MOST.points)
          .when('kind', {
            switch: [
              { is: 'hull', then: Joi.array().min(4).required() },
              { is: 'mesh', then: Joi.array().min(3).required() },
            ],
            otherwise: Joi.forbidden(),
          }),
        triangles: when(
          ['mesh'],
          Joi.array()
            .items(Joi.array().items(finite().integer().min(0)).length(3))
            .min(1)
            .max(MOST.triangles),
        ),
      }),
    )
    .min(1)
    .max(MOST.shapes)
    .required(),
  poses: Joi.array()
    .items(
      Joi.object({
        name: text(80).required(),
        bodies: Joi.object()
          .pattern(
            text(40),
            Joi.object({
              moveMm: point(),
              turn: Joi.object({
                axis: point().required(),
                aboutMm: point().required(),
                deg: finite().required(),
              }),
            }),
          )
          .required(),
      }),
    )
    .min(1)
    .max(MOST.poses),
  corner: suspensionSweepSchema.optional(),
  required: Joi.object({
    fixedMm: notNegative().default(0),
    movingMm: notNegative().default(1.5),
    hotMm: notNegative().default(5),
    wireMm: notNegative().default(3),
  }),
  allowed: Joi.array()
    .items(Joi.array().items(text(80)).length(2))
    .max(MOST.allowed),
  ground: Joi.object({
    wheelbaseMm: positive().required(),
    frontRadiusMm: positive().required(),
    rearRadiusMm: positive().required(),
  }),
}).required();
