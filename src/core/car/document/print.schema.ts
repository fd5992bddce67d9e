import {
  GROUP_WAYS,
  type HolePattern,
  type Joint,
  JOINT_HOLDS,
  JOINT_KINDS,
  type ListEntry,
  type Print,
  type PrintProfile,
  type ScrewGroup,
  SOURCES,
} from './print';
import { PRINTER_FIGURES } from './print.figures';
import { figureSchemas } from '../fields/figureSchemas';
import Joi from 'joi';
import { FITS } from '../../physics/printing/coupon';
import { holeSchema, readingFigures } from '../../physics/printing/holes/solve.schema';
import { count, finite, identifier, notNegative, text } from '../../base/schema/fields';
import { positive, share } from '../fields/physical';
import { LOAD_CASES } from '../../physics/strength/loadCases';
import { AXLES } from '../stages/stage';

const place = () => finite().min(-5000).max(5000);

const pattern = Joi.object<HolePattern>({
  id: identifier().required(),
  name: text(80).required(),
  holes: Joi.array().items(holeSchema(identifier)).max(60).unique('id').required(),
  readings: Joi.array()
    .items(Joi.object({ id: identifier().required(), ...readingFigures(identifier) }))
    .max(600)
    .unique('id')
    .required(),
  under: Joi.object({
    xMm: place().required(),
    yMm: place().required(),
    turnDeg: finite().min(-360).max(360).required(),
  }),
});

export const printerFigures = { name: text(80).required(), ...figureSchemas(PRINTER_FIGURES) };

const profile = () =>
  Joi.object<PrintProfile>({
    layerMm: positive().max(2),
    topBottomLayers: count().max(100),
    perimeters: count().max(100),
    infill: share(),
  });

const size = () => positive().max(500);
const group = Joi.object<ScrewGroup>({
  screws: count().max(100),
  alongMm: size(),
  acrossMm: size(),
  from: Joi.valid(...LOAD_CASES, 'own', 'link').required(),
  end: Joi.valid(...AXLES),
  link: identifier(),
  share: positive().max(10),
  forceN: notNegative().max(1e6),
  way: Joi.valid(...GROUP_WAYS).required(),
  overMm: finite().min(-500).max(500),
  aheadMm: finite().min(-500).max(500),
});

const joint = Joi.object<Joint>({
  id: identifier().required(),
  name: text(80).required(),
  kind: Joi.valid(...JOINT_KINDS).required(),
  part: identifier(),
  to: identifier(),
  count: count().max(500),
  diameterMm: size(),
  lengthMm: size(),
  outerMm: size(),
  widthMm: size(),
  insertMm: size(),
  hold: Joi.valid(...JOINT_HOLDS),
  fit: Joi.valid(...FITS),
  group,
});

export const listFigures = {
  source: Joi.valid(...SOURCES),
  quantity: finite().integer().min(0).max(1000),
  massG: positive().max(100_000),
  price: notNegative().max(1e6),
  leadDays: notNegative().max(1000),
  onHand: finite().integer().min(0).max(1000),
};

const entry = Joi.object<ListEntry>({
  id: Joi.string()
    .pattern(/^[A-Za-z0-9][A-Za-z0-9._:-]{0,99}$/)
    .required(),
  name: text(80),
  ...listFigures,
});

export const printSchema = Joi.object<Print>({
  patterns: Joi.array().items(pattern).max(50).unique('id'),
  printers: Joi.array()
    .items(Joi.object({ id: identifier().required(), libraryId: identifier(), ...printerFigures }))
    .max(12)
    .unique('id'),
  final: profile(),
  draft: profile(),
  spacingMm: notNegative().max(100),
  joints: Joi.array().items(joint).max(300).unique('id'),
  list: Joi.array().items(entry).max(600).unique('id'),
});
