import Joi from 'joi';
import { count, finite, identifier, notNegative, temperatureC, text } from '../../base/schema/fields';
import { positive, share } from '../fields/physical';
import { COLUMN_ENDS } from '../../physics/strength/column';
import { LOAD_CASES } from '../../physics/strength/loadCases';
import { materialSchema } from '../material/material.schema';
import { PART_KINDS } from './partKinds';
import { MADE_COUNTS, MADE_DIMS, MADE_KINDS, MADE_MAY_BE_NONE, type PartMade } from './partMade';
import { type Part, type PartMesh, type Parts, type SolidCase } from './parts';
import {
  BENDS,
  type PartLoad,
  type PartShape,
  PROFILES,
  SCREW_KINDS,
  SHAPE_KINDS,
  SUPPORTS,
} from './partShape';
import { AXLES } from '../stages/stage';

const length = () => positive().max(2000);
const force = () => notNegative().max(1e6);
const point = () => Joi.array().items(finite()).length(3);
const from = () => Joi.valid(...LOAD_CASES, 'own', 'link').required();

const shapeSchema = Joi.object<PartShape>({
  as: Joi.valid(...SHAPE_KINDS).required(),
  profile: Joi.valid(...PROFILES),
  support: Joi.valid(...SUPPORTS),
  ends: Joi.valid(...COLUMN_ENDS),
  lengthMm: length(),
  widthMm: length(),
  heightMm: length(),
  wallMm: length(),
  flangeMm: length(),
  rootMm: length(),
  filletMm: positive().max(200),
  holeMm: positive().max(200),
  screwMm: positive().max(20),
  engagementMm: positive().max(200),
  screws: count().max(100),
  screwKind: Joi.valid(...SCREW_KINDS),
});

const loadSchema = Joi.object<PartLoad>({
  id: identifier().required(),
  from: Joi.valid(...LOAD_CASES, 'own', 'link').required(),
  end: Joi.valid(...AXLES),
  link: identifier(),
  share: positive().max(10),
  forceN: force(),
  times: count().max(100_000_000),
  bends: Joi.valid(...BENDS),
});

const madeSchema = Joi.object<PartMade>({
  as: Joi.valid(...MADE_KINDS).required(),
  end: Joi.valid(...AXLES),
  arm: Joi.valid('lower', 'upper'),
  open: Joi.boolean(),
  pattern: identifier(),
  ...Object.fromEntries(
    MADE_DIMS.map((dim) => [dim, MADE_MAY_BE_NONE.has(dim) ? notNegative().max(2000) : length()]),
  ),
  ...Object.fromEntries(
    MADE_COUNTS.map((of) => [of, of === 'spokes' ? Joi.number().integer().min(0).max(20) : count().max(20)]),
  ),
});

const box = { id: identifier().required(), min: point().required(), max: point().required() };
const solved = {
  voxelMm: positive().required(),
  margin: notNegative().required(),
  moveMm: notNegative().required(),
};

const failure = {
  beam: positive(),
  margin: solved.margin,
  moveMm: solved.moveMm,
  failsBy: Joi.valid('in the layer', 'layers pulled apart', 'layers sheared').required(),
  atMm: point().required(),
};

const meshSchema = Joi.object<PartMesh>({
  hash: Joi.string().hex().length(64).required(),
  name: text(120).required(),
  unitMm: positive().max(10_000).required(),
  up: point().required(),
  madeOf: text(16),
  held: Joi.array().items(Joi.object(box)).max(50).unique('id'),
  pulls: Joi.array()
    .items(
      Joi.object({
        ...box,
        from: from(),
        end: Joi.valid(...AXLES),
        link: identifier(),
        load: identifier(),
        // a screw may carry many times what the link that is named carries
        share: positive().max(1000),
        forceN: force(),
        direction: point().required(),
      }),
    )
    .max(200)
    .unique('id'),
  voxelMm: positive().max(50),
  lies: Joi.object({
    of: text(160).required(),
    volumeMm3: notNegative().required(),
    areaMm2: notNegative().required(),
    horizontalAreaMm2: notNegative().required(),
    sizeMm: Joi.array().items(notNegative()).length(3).required(),
  }),
  solid: Joi.object({
    of: text(16).required(),
    shape: text(16).required(),
    ...failure,
    voxelMm: solved.voxelMm,
    voxels: count().required(),
    cases: Joi.array()
      .items(
        Joi.object<SolidCase>({ from: from(), end: Joi.valid(...AXLES), load: identifier(), ...failure }),
      )
      .max(20)
      .unique((a: SolidCase, b: SolidCase) => a.from === b.from && a.end === b.end && a.load === b.load),
    finer: Joi.object(solved),
  }),
});

export const partsSchema = Joi.object<Parts>({
  crushMm: positive().max(1000),
  items: Joi.array()
    .items(
      Joi.object<Part>({
        id: identifier().required(),
        name: text(80).required(),
        kind: Joi.valid(...PART_KINDS).required(),
        massG: positive().max(100_000),
        material: materialSchema(),
        layers: Joi.valid('along', 'across'),
        perimeters: count().max(100),
        lineMm: positive().max(5),
        infill: share(),
        temperatureC: temperatureC(),
        shape: shapeSchema,
        loads: Joi.array().items(loadSchema).max(20).unique('id'),
        made: madeSchema,
        mesh: meshSchema,
      }),
    )
    .max(500)
    .unique('id')
    .required(),
});
