import Joi from 'joi';
import { finite, identifier, notNegative, text } from '../../base/schema/fields';
import { BODY_SHAPES, WING_PROFILES } from '../../physics/air/definition';
import { positive } from '../fields/physical';
import type { AirShapes, Fin, Wing } from './air';

const place = () => finite().min(-5000).max(5000);
const height = () => finite().min(0).max(2000);
const size = () => positive().max(5000);
const area = () => positive().max(5);
const flow = () => finite().min(0).max(1);
const MOST = 12;

const wing = Joi.object<Wing>({
  id: identifier().required(),
  name: text(80),
  profile: Joi.valid(...WING_PROFILES).required(),
  spanMm: size().required(),
  chordMm: size().required(),
  angleDeg: finite().min(-45).max(45).required(),
  camberPct: finite().min(0).max(15),
  endPlateHeightMm: notNegative().max(2000),
  spanEfficiency: positive().max(1),
  flowShare: flow(),
  xMm: place().required(),
  zMm: height().required(),
});

const fin = Joi.object<Fin>({
  id: identifier().required(),
  name: text(80),
  heightMm: size().required(),
  chordMm: size().required(),
  count: finite().integer().min(1).max(20),
  flowShare: flow(),
  xMm: place().required(),
  zMm: height().required(),
});

export const airShapesSchema = Joi.object<AirShapes>({
  shape: Joi.valid(...BODY_SHAPES),
  frontalAreaM2: area(),
  lengthMm: size(),
  xMm: place(),
  zMm: height(),
  sideAreaM2: area(),
  dragCoefficient: positive().max(5),
  wings: Joi.array().items(wing).max(MOST).unique('id'),
  splitter: Joi.object({
    widthMm: size().required(),
    lengthMm: size().required(),
    xMm: place().required(),
  }),
  undertray: Joi.object({
    widthMm: size().required(),
    lengthMm: size().required(),
    xMm: place().required(),
    diffuserDeg: finite().min(0).max(30),
  }),
  noseScoop: Joi.object({
    areaM2: area().required(),
    xMm: place().required(),
    zMm: height().required(),
    turnDeg: finite().min(-90).max(90),
  }),
  fins: Joi.array().items(fin).max(MOST).unique('id'),
});
