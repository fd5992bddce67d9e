import Joi from 'joi';
import { finite, identifier, notNegative, positive, text } from '../../base/schema/fields';
import { SLIPPING } from '../../physics/grip/definition';
import { DIRECTIONS } from '../../physics/handling/straight';
import {
  type CircleSheet,
  type CoastSheet,
  type Drift,
  type DrivenCircle,
  GRIP_METHODS,
  type GripSheet,
  type Reading,
  type RolledOut,
  type StraightSheet,
} from './gripReport';

const [MOST, MOST_ROLLS, MOST_READINGS] = [100, 20, 1000];
const speed = () => positive().max(150);

/** What is measured of grip and handling. */
export const gripReportFields = {
  grip: Joi.object<GripSheet>({
    wet: Joi.boolean(),
    method: Joi.valid(...GRIP_METHODS),
    tyre: text(200),
    readings: Joi.array()
      .items(Joi.object<Reading>({ id: identifier().required(), value: positive().max(10_000).required() }))
      .max(MOST)
      .unique('id'),
    readingError: notNegative().max(1000),
    direction: Joi.valid('longitudinal', 'lateral'),
    toward: Joi.valid('forward', 'backward'),
    nose: Joi.valid('down', 'up', 'across'),
    locked: Joi.valid(...SLIPPING),
    pullHeightMm: notNegative().max(2000),
    resistanceN: notNegative().max(10_000),
    radiusM: positive().max(1000),
    radiusErrorM: notNegative().max(100),
    speedMps: speed(),
    speedErrorMps: notNegative().max(50),
    fromMps: notNegative().max(150),
  }),
  straight: Joi.object<StraightSheet>({
    distanceM: positive().max(10_000),
    speedMps: notNegative().max(150),
    drifts: Joi.array()
      .items(
        Joi.object<Drift>({
          id: identifier().required(),
          driftM: finite().min(-1000).max(1000).required(),
          direction: Joi.valid(...DIRECTIONS),
        }),
      )
      .max(MOST)
      .unique('id'),
  }),
  circle: Joi.object<CircleSheet>({
    circles: Joi.array()
      .items(
        Joi.object<DrivenCircle>({
          id: identifier().required(),
          radiusM: positive().max(1000).required(),
          lapTimeS: positive().max(3600).required(),
          steerDeg: finite().min(-90).max(90).required(),
        }),
      )
      .max(MOST)
      .unique('id'),
    predictedDegPerMps2: finite(),
  }),
  coast: Joi.object<CoastSheet>({
    rolls: Joi.array()
      .items(
        Joi.object<RolledOut>({
          id: identifier().required(),
          direction: Joi.valid(...DIRECTIONS),
          readings: Joi.array()
            .items(Joi.object({ tS: finite().required(), speedMps: positive().max(150).required() }))
            .min(2)
            .max(MOST_READINGS)
            .required(),
        }),
      )
      .max(MOST_ROLLS)
      .unique('id'),
    speedErrorMps: notNegative().max(50),
  }),
};
