import Joi from 'joi';
import { count, finite, identifier, notNegative, temperatureC, text } from '../../base/schema/fields';
import { positive, share } from '../fields/physical';
import { COLUMN_ENDS } from '../../physics/strength/column';
import { LOAD_CASES } from '../../physics/strength/loadCases';
import { materialSchema } from '../material/material.schema';
import { PART_KINDS } from './partKinds';
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
const from = () => Joi.valid(...LOAD_CASES, 'own').required();

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
  bends: Joi.valid(...BENDS),
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
  held: Joi.array().items(Joi.object(box)).max(50).unique('id'),
  pulls: Joi.array()
    .items(
      Joi.object({
        ...box,
        from: from(),
        share: positive().max(10),
        forceN: force(),
        direction: point().required(),
      }),
    )
    .max(50)
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
      .items(Joi.object<SolidCase>({ from: from(), ...failure }))
      .max(20)
      .unique('from'),
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
        mesh: meshSchema,
      }),
    )
    .max(500)
    .unique('id')
    .required(),
});
