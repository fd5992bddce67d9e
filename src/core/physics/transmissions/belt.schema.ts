import Joi from 'joi';
import { count, finite, notNegative, positive, temperatureC } from '../../base/schema/fields';
import { BELT_PROFILES, type BeltInput, type BeltLoad, type PulleyTooth } from './beltDefinition';
import { underLoad } from './underLoad.schema';

const teeth = () => finite().integer().min(6).required();

export const beltDriveSchema = Joi.object<BeltInput>({
  pitchMm: positive().required(),
  profile: Joi.valid(...BELT_PROFILES).default('curvilinear'),
  smallTeeth: teeth(),
  largeTeeth: teeth(),
  beltTeeth: count(),
  centreDistanceMm: positive(),
  availableBeltTeeth: Joi.array().items(count()).min(1).unique(),
  slotMinMm: positive(),
  slotMaxMm: positive(),
  widthMm: positive().required(),
  pitchLineOffsetMm: notNegative(),
  tensionLimitN: positive(),
  massGPerM: positive(),
  stiffnessN: positive(),
  pretensionN: positive(),
  pretensionShare: positive(),
  measuredHz: positive(),
  load: Joi.object<BeltLoad>({
    torqueNm: notNegative().required(),
    driver: Joi.valid('small', 'large').default('small'),
    speedRpm: notNegative().default(0),
    overloadFactor: positive().default(1.5),
  }),
  pulley: Joi.object<PulleyTooth>({
    ...underLoad(),
    toothHeightMm: positive(),
    toothRootMm: positive(),
    unevenFactor: finite().min(1).default(1.5),
    temperatureC: temperatureC().default(23),
  }),
})
  .and('slotMinMm', 'slotMaxMm')
  .required();
