import Joi from 'joi';
import { count, finite, identifier, notNegative } from '../../base/schema/fields';
import { positive, share } from '../fields/physical';
import { BELT_PROFILES } from '../../physics/transmissions/beltDefinition';
import { FITS } from '../../physics/printing/coupon';
import { BEAM_SUPPORTS } from '../../physics/transmissions/opening';
import { materialSchema } from '../material/material.schema';
import {
  AXLES,
  type BevelSides,
  type Carrier,
  type GearBody,
  type GearMount,
  type GearPlace,
  type Stage,
  STAGE_KINDS,
} from './stage';

const teeth = () => count().max(1000);

const sides = () =>
  Joi.object<BevelSides>({
    pinion: Joi.valid('ahead', 'behind').required(),
    ring: Joi.valid('left', 'right').required(),
  });

const seat = () => ({
  boreMm: positive().max(500),
  flatDepthMm: positive().max(500),
  hexAcrossFlatsMm: positive().max(500),
  boreFit: Joi.valid(...FITS),
  hubLengthMm: positive().max(500),
  hubDiameterMm: positive().max(500),
  setScrewMm: positive().max(50),
  bolts: count().max(100),
  boltCircleMm: positive().max(500),
  boltHoleMm: positive().max(50),
});

const gearBody = () =>
  Joi.object<GearBody>({
    ...seat(),
    shift: finite().min(-1).max(2),
    material: materialSchema(),
    fillFactor: share(),
    outsideMm: positive().max(1000),
    interferenceMm: positive().max(5),
    screwForceN: positive().max(20_000),
    pinMm: positive().max(50),
  });

export const stageSchema = Joi.object<Stage>({
  id: identifier().required(),
  kind: Joi.valid(...STAGE_KINDS).required(),
  pinionTeeth: teeth(),
  wheelTeeth: teeth(),
  ratio: positive().max(1000),
  efficiency: share().required(),
  moduleMm: positive().max(20),
  wheelModuleMm: positive().max(20),
  faceWidthMm: positive().max(500),
  helixDeg: finite().min(-45).max(45),
  doubleHelix: Joi.boolean(),
  backlashMm: notNegative().max(5),
  slotMinMm: positive().max(1000),
  slotMaxMm: positive().max(1000),
  pinion: gearBody(),
  wheel: gearBody(),
  planet: Joi.object<GearBody>({
    material: materialSchema(),
    fillFactor: share(),
    boreMm: positive().max(500),
    boreFit: Joi.valid(...FITS),
  }),
  carrier: Joi.object<Carrier>({ ...seat(), thicknessMm: positive().max(500) }),
  planets: count().max(12),
  ringAddendum: positive().max(1.25),
  pitchMm: positive().max(50),
  beltProfile: Joi.valid(...BELT_PROFILES),
  beltTeeth: count().max(5000),
  pretensionN: positive().max(20_000),
  links: count().max(5000),
  mount: Joi.object<GearMount>({
    stiffnessNPerMm: positive().max(1e7),
    support: Joi.valid(...BEAM_SUPPORTS),
    lengthMm: positive().max(1000),
    widthMm: positive().max(1000),
    thicknessMm: positive().max(500),
    material: materialSchema(),
  }),
  bearingPlayMm: notNegative().max(5),
  on: Joi.valid(...AXLES),
  front: sides(),
  rear: sides(),
  at: Joi.object<GearPlace>({
    xMm: finite().min(-3000).max(3000),
    yMm: finite().min(-1000).max(1000),
    zMm: finite().min(-1000).max(1000),
  }),
});
