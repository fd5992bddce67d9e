import Joi from 'joi';
import { finite, positive } from '../../base/schema/fields';
import type { SteeringInput } from './steering';
import type { SweepInput } from './sweep';

const point = () => Joi.array().items(finite()).length(3);
const of = (kind: 'wishbones' | 'hingePins', presence: 'required' | 'optional' = 'required') =>
  point().when('kind', {
    is: kind,
    then: presence === 'required' ? Joi.required() : Joi.optional(),
    otherwise: Joi.forbidden(),
  });
const body = () =>
  Joi.when(Joi.ref('...kind'), {
    is: 'hingePins',
    then: Joi.valid('lower', 'carrier', 'upright'),
    otherwise: Joi.valid('lower', 'upper', 'upright'),
  });

/** The points of a corner and what hangs on them. */
export const cornerFields = {
  kind: Joi.valid('wishbones', 'hingePins').required(),
  end: Joi.valid('front', 'rear').default('front'),
  lowerFront: point().required(),
  lowerRear: point().required(),
  lowerOuter: of('wishbones'),
  upperFront: of('wishbones'),
  upperRear: of('wishbones'),
  upperOuter: point().required(),
  outerFront: of('hingePins'),
  outerRear: of('hingePins'),
  upperInner: of('hingePins'),
  kingpinLower: of('hingePins', 'optional'),
  kingpinUpper: of('hingePins', 'optional'),
  tieInner: point().when('kind', { is: 'wishbones', then: Joi.required() }),
  tieOuter: point().when('kind', { is: 'wishbones', then: Joi.required() }),
  wheelCentre: point().required(),
  tyreRadiusMm: positive().required(),
  staticCamberDeg: finite().min(-45).max(45).required(),
  staticToeDeg: finite().min(-45).max(45).required(),
  damper: Joi.object({
    inner: point().required(),
    outer: point().required(),
    on: body().required(),
    closedLengthMm: positive(),
  }).when('rocker', { is: Joi.exist(), then: Joi.forbidden() }),
  rocker: Joi.object({
    pivot: point().required(),
    axis: point().required(),
    pushrodArm: point().required(),
    pushrodArmOn: body().required(),
    pushrodRocker: point().required(),
    damperRocker: point().required(),
    damperChassis: point().required(),
    closedLengthMm: positive(),
  }),
  jointLimitDeg: positive().max(180),
};

const MOST_STATIONS = 2000;
const range = Joi.object({
  from: finite().required(),
  to: finite().min(Joi.ref('from')).required(),
  step: positive().required(),
});

export const suspensionSweepSchema = Joi.object<SweepInput>({
  ...cornerFields,
  travelMm: Joi.alternatives(range, Joi.array().items(finite()).min(1).max(MOST_STATIONS)).required(),
  rackMm: Joi.array().items(finite()).min(1).max(MOST_STATIONS).default([0]),
}).required();

export const steeringGeometrySchema = Joi.object<SteeringInput>({
  corner: Joi.object(cornerFields).required(),
  wheelbaseMm: positive().required(),
  rackMm: Joi.array().items(finite()).min(1).max(MOST_STATIONS).required(),
  wantedDeg: finite(),
}).required();
