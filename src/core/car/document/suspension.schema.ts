import Joi from 'joi';
import { identifier, notNegative } from '../../base/schema/fields';
import { positive } from '../fields/physical';
import { cornerFields } from '../../physics/corner/sweep.schema';
import { aidsSchema } from './aids.schema';
import {
  BENCH_ITEMS,
  type BenchTick,
  type DrawnCorner,
  type FreePlay,
  LINK_KINDS,
  type LinkHeld,
  type SteeringDrive,
  type Suspension,
  type SuspensionEnd,
} from './suspension';

const { end: _end, tyreRadiusMm: _radius, ...drawn } = cornerFields;
const play = () => notNegative().max(20);

const endSchema = Joi.object<SuspensionEnd>({
  corner: Joi.object<DrawnCorner>(drawn),
  bumpMm: positive().max(500),
  droopMm: positive().max(500),
  springBy: Joi.valid('rate', 'wire'),
  rateNPerMm: positive().max(1000),
  wireMm: positive().max(20),
  meanDiameterMm: positive().max(200),
  activeCoils: positive().max(200),
  preloadMm: notNegative().max(200),
  damperNsPerM: notNegative().max(100_000),
  targetSagPct: positive().max(100),
  unsprungG: positive().max(50_000),
  links: Joi.valid(...LINK_KINDS),
  linkMmPerTurn: positive().max(10),
  play: Joi.object<FreePlay>({
    bearingSpacingMm: positive().max(500),
    inboardMm: play(),
    outboardMm: play(),
    tieMm: play(),
    upperMm: play(),
  }),
  armMm: positive().max(200),
  linkMm: positive().max(200),
  damperMm: positive().max(200),
  shaftMm: positive().max(100),
  shaftInnerMm: notNegative().max(1000),
  shaftInnerZMm: notNegative().max(1000),
  held: Joi.array()
    .items(
      Joi.object<LinkHeld>({
        id: identifier().required(),
        pullN: positive().max(1_000_000),
        pushN: positive().max(1_000_000),
        partId: identifier(),
      }),
    )
    .max(60)
    .unique('id'),
});

export const suspensionSchema = Joi.object<Suspension>({
  stopMm: positive().max(1000),
  kerbStopMm: positive().max(1000),
  front: endSchema,
  rear: endSchema,
  steering: Joi.object<SteeringDrive>({
    lockMm: positive().max(200),
    hornMm: positive().max(500),
    saverNm: positive().max(100),
  }),
  aids: aidsSchema,
  bench: Joi.array()
    .items(
      Joi.object<BenchTick>({
        id: identifier().required(),
        at: Joi.string().isoDate().max(40).required(),
        of: Joi.string().hex().max(16).required(),
      }),
    )
    .max(2 * BENCH_ITEMS.length)
    .unique('id'),
});
