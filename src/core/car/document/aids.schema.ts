import Joi from 'joi';
import { count, finite, notNegative } from '../../base/schema/fields';
import { positive } from '../fields/physical';
import { type Aids, GYRO_MODES, type SlipAid, type TyreSlip, type YawAid } from './aids';

export const aidsSchema = Joi.object<Aids>({
  yaw: Joi.object<YawAid>({
    gain: notNegative().max(200),
    deadbandDegPerS: notNegative().max(1000),
    maxCorrectionDeg: notNegative().max(90),
    sampleMs: finite().min(1).max(200),
    lowpassMs: notNegative().max(1000),
    servoLagMs: notNegative().max(1000),
    servoRateDegPerS: positive().max(10_000),
    maxSteerDeg: positive().max(80),
    signProvenAt: Joi.string().isoDate(),
    mode: Joi.valid(...GYRO_MODES),
    fullSteerDegPerS: positive().max(10_000),
    catchUpMs: positive().max(10_000),
  }),
  traction: Joi.object<SlipAid>({
    targetSlipPct: notNegative().max(100),
    gainUsPerPct: notNegative().max(500),
    frameMs: finite().min(1).max(200),
    releaseUsPerMs: positive().max(500),
    magnets: count().max(400),
    falsePulseRate: notNegative().max(1),
    mostAccelMps2: positive().max(100),
  }),
  tyre: Joi.object<TyreSlip>({
    corneringFrontPerRad: positive().max(60),
    corneringRearPerRad: positive().max(60),
    slipAtPeakPct: positive().max(100),
    shape: finite().greater(1).less(2),
  }),
});
