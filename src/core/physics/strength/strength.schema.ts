import Joi, { type ObjectSchema } from 'joi';
import { finite, notNegative, positive, share, temperatureC, text } from '../../base/schema/fields';
import { LAYERS, type StrengthMaterial } from './allowable';
import type { BeamInput } from './beam';
import type { BossInput } from './boss';
import { COLUMN_ENDS, type ColumnInput } from './column';
import type { LoadCasesInput } from './loadCases';
import type { Section } from './section';

export const strengthMaterialSchema = Joi.object<StrengthMaterial & { name?: string }>({
  name: text(80),
  densityGPerCm3: positive(),
  modulusMpa: positive().required(),
  modulusRatio: positive().default(1),
  poisson: notNegative().less(0.5).default(0.35),
  inPlaneStrengthMpa: positive().required(),
  interlayerStrengthMpa: positive().required(),
  interlayerShearMpa: positive().required(),
  softeningC: finite().greater(23),
  strainAtBreakPct: positive(),
  notchedImpactKJPerM2: positive(),
  pricePerKg: notNegative(),
});

const point = () => Joi.array().items(finite()).length(2);
const loop = () => Joi.array().items(point()).min(3).max(2000);
const when = (shapes: readonly string[], schema: Joi.Schema) =>
  schema.when('shape', { is: Joi.valid(...shapes), then: Joi.required(), otherwise: Joi.forbidden() });
const PROFILES = ['channel', 'iBeam', 'tee'] as const;

export const sectionSchema: ObjectSchema<Section> = Joi.object<Section>({
  shape: Joi.valid('rectangle', 'round', 'tube', 'box', ...PROFILES, 'polygon').required(),
  widthMm: when(['rectangle', 'box', ...PROFILES], positive()),
  heightMm: when(['rectangle', 'box', ...PROFILES], positive()),
  diameterMm: when(['round', 'tube'], positive()),
  boreMm: when(['tube'], positive()),
  wallMm: when(['box'], positive()),
  webMm: when(PROFILES, positive()),
  flangeMm: when(PROFILES, positive()),
  outerMm: when(['polygon'], loop()),
  holesMm: Joi.array()
    .items(loop())
    .max(200)
    .when('shape', { is: 'polygon', then: Joi.optional(), otherwise: Joi.forbidden() }),
});

export const sectionPropertiesSchema = Joi.object<{ section: Section }>({
  section: sectionSchema.required(),
}).required();

const printed = {
  material: strengthMaterialSchema.required(),
  layers: Joi.valid(...LAYERS).required(),
  fill: share().default(1),
  temperatureC: temperatureC().default(23),
};

export const beamCheckSchema = Joi.object<BeamInput>({
  support: Joi.valid('cantilever', 'simple', 'fixed').required(),
  lengthMm: positive().required(),
  load: Joi.object({ forceN: notNegative(), atMm: positive(), perMmN: notNegative() })
    .xor('forceN', 'perMmN')
    .without('perMmN', 'atMm')
    .required(),
  section: sectionSchema.required(),
  bendingAbout: Joi.valid('x', 'y').required(),
  ...printed,
}).required();

export const columnCheckSchema = Joi.object<ColumnInput>({
  lengthMm: positive().required(),
  section: sectionSchema.required(),
  ends: Joi.valid(...COLUMN_ENDS).required(),
  forceN: notNegative().required(),
  ...printed,
}).required();

export const bossCheckSchema = Joi.object<BossInput>({
  screwMm: positive().required(),
  engagementMm: positive().required(),
  wallMm: positive().required(),
  material: strengthMaterialSchema.required(),
  layers: Joi.valid('acrossAxis', 'alongAxis').required(),
  forceN: notNegative().required(),
  nutAcrossFlatsMm: positive().greater(Joi.ref('screwMm')),
  insertDiameterMm: positive(),
  washerDiameterMm: positive().greater(Joi.ref('screwMm')),
}).required();

export const loadCasesSchema = Joi.object<LoadCasesInput>({
  massKg: positive().required(),
  wheelLoadsN: Joi.object({
    fl: notNegative().required(),
    fr: notNegative().required(),
    rl: notNegative().required(),
    rr: notNegative().required(),
  }).required(),
  cgHeightMm: positive().required(),
  wheelbaseMm: positive().required(),
  trackMm: positive().required(),
  mu: notNegative().required(),
  dropHeightM: positive(),
  suspensionStopMm: positive(),
  crashSpeedMps: positive(),
  crushMm: positive(),
  bumperNPerMm: positive(),
  curbSpeedMps: positive(),
  curbStopMm: positive(),
  servoStallNm: notNegative(),
  servoArmMm: positive(),
  motorStallNm: notNegative(),
  ratio: positive(),
  efficiency: share().default(1),
  tyreRadiusMm: positive(),
  drivenAxles: Joi.valid('front', 'rear', 'all'),
})
  .oxor('crushMm', 'bumperNPerMm')
  .required();
