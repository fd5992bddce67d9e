import Joi from 'joi';
import { finite, notNegative, positive, text } from '../../base/schema/fields';
import { cornerFields } from '../corner/sweep.schema';
import type { LinksForcesInput } from './definition';

const MOST_STATIONS = 2000;
const MOST_LOADS = 200;
const point = () => Joi.array().items(finite()).length(3);
const ended = () => Joi.object({ inner: point().required(), outer: point().required() });
const wheel = {
  damper: ended().required(),
  wheelCentre: point().required(),
  tyreRadiusMm: positive().required(),
  staticCamberDeg: finite().min(-45).max(45).default(0),
  staticToeDeg: finite().min(-45).max(45).default(0),
};
const corner = () =>
  Joi.alternatives()
    .conditional(Joi.object({ kind: Joi.valid('links').required() }).unknown(), {
      then: Joi.object({
        kind: Joi.valid('links').required(),
        links: Joi.array()
          .items(ended().keys({ id: text(60).required(), steer: Joi.boolean().default(false) }))
          .max(20)
          .required(),
        ...wheel,
      }),
    })
    .conditional(Joi.object({ kind: Joi.valid('trailingArm').required() }).unknown(), {
      then: Joi.object({
        kind: Joi.valid('trailingArm').required(),
        hingeInner: point().required(),
        hingeOuter: point().required(),
        ...wheel,
      }),
      otherwise: Joi.object(cornerFields),
    });
const held = () => Joi.valid('inboard', 'outboard');

export const linksForcesSchema = Joi.object<LinksForcesInput>({
  corner: corner().required(),
  travelMm: Joi.alternatives(
    Joi.object({
      from: finite().required(),
      to: finite().min(Joi.ref('from')).required(),
      step: positive().required(),
    }),
    Joi.array().items(finite()).min(1).max(MOST_STATIONS),
  ).default([0]),
  rackMm: Joi.array().items(finite()).min(1).max(MOST_STATIONS).default([0]),
  loads: Joi.array()
    .items(
      Joi.object({
        name: text(60).required(),
        forceN: point().required(),
        at: Joi.valid('contact', 'hub').default('contact'),
        torque: held().default('inboard'),
        momentNmm: point(),
      }),
    )
    .max(MOST_LOADS),
  standard: Joi.object({
    staticN: finite().required(),
    mu: notNegative().default(1),
    landingN: notNegative(),
    kerbAheadN: notNegative(),
    kerbSideN: notNegative(),
    corneringN: notNegative(),
    brakingN: notNegative(),
    driveN: notNegative(),
    brakes: held().default('inboard'),
    drive: held().default('inboard'),
    servoNm: notNegative(),
    servoSaverNm: notNegative(),
    servoArmMm: positive(),
  }),
}).required();
