import Joi from 'joi';
import { count, finite, identifier, notNegative, text } from '../../base/schema/fields';
import { positive, share } from '../fields/physical';
import {
  type Brief,
  type Calibration,
  type CorrectedFigure,
  type ChosenSurface,
  type MeasuredGrip,
  type Place,
  type SizeClass,
  type Track,
  type TrackLine,
  type TrackSegment,
  TURNS,
} from './brief';

const chosenSurfaceSchema = Joi.object<ChosenSurface>({
  id: identifier().required(),
  libraryId: identifier(),
  name: text(80).required(),
  ground: Joi.valid('hard', 'loose').required(),
  mu: notNegative().max(5).required(),
  muError: notNegative().max(5).required(),
  rollingResistance: notNegative().max(5).required(),
  rollingResistanceError: notNegative().max(5).required(),
  lateralGripFactor: positive().max(5),
  muMeasured: Joi.object<MeasuredGrip>({
    mu: notNegative().max(5).required(),
    at: Joi.string().isoDate().required(),
    tyre: text(200).required(),
    readings: finite().integer().min(1).required(),
  }),
});

const sizeClassSchema = Joi.object<SizeClass>({
  libraryId: identifier(),
  name: text(80).required(),
  massBudgetG: positive().max(1e6).required(),
});

const [MOST_SEGMENTS, MOST_POINTS] = [60, 700];

const trackSchema = Joi.object<Track>({
  segments: Joi.array()
    .items(
      Joi.object<TrackSegment>({
        id: identifier().required(),
        lengthM: positive().max(10_000).required(),
        radiusM: positive().max(10_000),
        turn: Joi.valid(...TURNS),
        gradePct: finite().min(-100).max(100),
      }),
    )
    .max(MOST_SEGMENTS)
    .unique('id'),
  line: Joi.object<TrackLine>({
    name: text(120).required(),
    closed: Joi.boolean().required(),
    pointsM: Joi.array()
      .items(Joi.array().items(finite().min(-10_000).max(10_000)).length(2))
      .min(3)
      .max(MOST_POINTS)
      .required(),
    rounds: count().required(),
  }),
  style: finite().min(0.3).max(1),
});

export const briefSchema = Joi.object<Brief>({
  surfaces: Joi.array().items(chosenSurfaceSchema).max(20).unique('id').required(),
  targetMps: positive().max(150),
  distanceM: positive().max(10_000),
  timeToDistanceS: positive().max(3600),
  runTimeMinutes: positive().max(1440),
  payloadG: notNegative().max(100_000),
  gradePct: finite().min(-100).max(100),
  meanSpeedShare: share(),
  sizeClass: sizeClassSchema,
  dropHeightM: positive().max(20),
  kerbMps: positive().max(150),
  place: Joi.object<Place>({
    lengthM: positive().max(10_000),
    widthM: positive().max(1000),
    marginStartM: notNegative().max(1000),
    marginEndM: notNegative().max(1000),
    marginSideM: notNegative().max(100),
    driverAlongM: finite().min(-1000).max(10_000),
    driverBesideM: finite().min(-1000).max(1000),
    radioRangeM: positive().max(100_000),
    windMps: notNegative().max(50),
  }),
  track: trackSchema,
  budget: positive().max(1e6),
  currency: Joi.string().pattern(/^[A-Z]{3}$/),
  calibration: Joi.object<Calibration>({
    letter: Joi.string()
      .pattern(/^[A-Z]{1,3}$/)
      .required(),
    runs: count().required(),
    at: Joi.string().isoDate().required(),
    dragSpread: share(),
    efficiencySpread: share(),
    motorSpread: share(),
    corrected: Joi.array()
      .items(
        Joi.object<CorrectedFigure>({
          path: Joi.array().items(Joi.string().max(80)).min(2).max(8).required(),
          from: finite(),
          to: finite().required(),
        }),
      )
      .max(100),
  }),
});
