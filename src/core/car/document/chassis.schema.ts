import Joi from 'joi';
import { finite, identifier, innerShare, notNegative, text } from '../../base/schema/fields';
import { positive } from '../fields/physical';
import { airShapesSchema } from '../air/air.schema';
import type { Body, Chassis, MeasuredDrag, Shell, Touching, WireWay } from './chassis';

const place = () => finite().min(-5000).max(5000);
const size = () => notNegative().max(5000);

const bodySchema = Joi.object<Body>({
  id: identifier().required(),
  name: text(80),
  massG: positive().max(200_000),
  xMm: place(),
  yMm: place(),
  zMm: finite().min(0).max(2000),
  lengthMm: size(),
  widthMm: size(),
  heightMm: size(),
  unsprung: Joi.boolean(),
});

export const chassisSchema = Joi.object<Chassis>({
  wheelbaseMm: positive().max(5000),
  trackFrontMm: positive().max(5000),
  trackRearMm: positive().max(5000),
  cgHeightMm: positive().max(2000),
  frontLoadShare: innerShare(),
  massG: positive().max(200_000),
  cdaM2: notNegative().max(5),
  cdaMeasured: Joi.object<MeasuredDrag>({
    cdaM2: notNegative().max(5).required(),
    errorM2: positive().max(5).required(),
  }),
  claFrontM2: finite().min(-5).max(5),
  claRearM2: finite().min(-5).max(5),
  bodies: Joi.array().items(bodySchema).max(100).unique('id'),
  rakeDeg: finite().min(-20).max(20),
  cornerRadiusM: positive().max(1000),
  touching: Joi.array()
    .items(
      Joi.object<Touching>({ id: identifier().required(), a: text(80).required(), b: text(80).required() }),
    )
    .max(500)
    .unique('id'),
  ways: Joi.array()
    .items(
      Joi.object<WireWay>({
        id: identifier().required(),
        xMm: place(),
        yMm: place(),
        zMm: finite().min(0).max(2000),
      }),
    )
    .max(60)
    .unique('id'),
  shell: Joi.object<Shell>({
    lengthMm: positive().max(5000),
    widthMm: positive().max(5000),
    heightMm: positive().max(2000),
    xMm: place(),
    zMm: finite().min(0).max(2000),
    archMm: notNegative().max(2000),
  }),
  air: airShapesSchema,
  groundMm: positive().max(500),
  stepMm: positive().max(500),
});
