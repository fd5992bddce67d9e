import Joi from 'joi';
import { UNCERTAIN_FIGURES } from './uncertain';
import { MOTOR_AT } from '../document/drive';
import { documentSchema } from '../document/document.schema';
import {
  count,
  finite,
  identifier,
  notNegative,
  positive,
  temperatureC,
  text,
} from '../../base/schema/fields';
import { ENDS } from '../../physics/heat/enduranceDefinition';
import { OUTCOMES } from '../../physics/diagnosis/diagnose';
import { FAILURE_MODES } from './failureModes';
import type { FailureLedger, Verdict } from './failureLedger';
import { type Attempt, type FailureSheet, type RunSheet } from './records';
import {
  DROP_OUTCOMES,
  ENDS_OF_RUN,
  type FreeMotor,
  type FrictionPull,
  HOT_PLACES,
  type KeptTrack,
  type MeasuredFriction,
  NOISES,
  PASS_TICKS,
  SWEPT_SETTINGS,
  type Photo,
  type RunReport,
  WHEEL_TURNS,
} from './report';
import { conditionsSchema, gatedConditions, timedConditions } from './conditions.schema';
import { WHEELS } from './wheels';
import { benchReportFields } from './benchReport.schema';
import { gripReportFields } from './gripReport.schema';
import { PACK_SPREADS, type PackPredicted } from './packPredicted';
import { RUN_KIND_RECORDS, RUN_KINDS, TIMED_KINDS } from './runKinds';

const moment = () => Joi.string().isoDate();

const attemptSchema = Joi.object<Attempt>({
  id: identifier().required(),
  timeS: positive(),
  frames: count(),
  captureFps: positive(),
  clipTimeS: positive(),
  slowdown: positive(),
  setting: finite(),
})
  .xor('timeS', 'frames', 'clipTimeS')
  .with('frames', 'captureFps')
  .with('clipTimeS', 'slowdown');

const minutes = () => notNegative().max(10_000);

const reportSchema = Joi.object<RunReport>({
  wheels: Joi.object(Object.fromEntries(WHEELS.map((wheel) => [wheel, Joi.valid(...WHEEL_TURNS)]))),
  noise: Joi.valid(...NOISES),
  temperatures: Joi.array()
    .items(
      Joi.object({
        id: identifier().required(),
        place: Joi.valid(...HOT_PLACES).required(),
        minutes: minutes(),
        valueC: temperatureC().required(),
      }),
    )
    .max(200)
    .unique('id'),
  motors: Joi.array()
    .items(
      Joi.object<FreeMotor>({
        id: Joi.valid(...MOTOR_AT).required(),
        rpm: positive().max(500_000).required(),
        currentA: notNegative().max(1000).required(),
      }),
    )
    .max(MOTOR_AT.length)
    .unique('id'),
  endedBy: Joi.valid(...ENDS_OF_RUN),
  endedAtMinutes: minutes(),
  packPredicted: Joi.object<PackPredicted>({
    minutes: notNegative().required(),
    minutesError: notNegative().required(),
    endedBy: Joi.valid(...ENDS).required(),
    peakCaseC: finite().required(),
    caseErrorC: notNegative().required(),
    mostFrom: Joi.valid(...PACK_SPREADS),
  }),
  passages: Joi.array()
    .items(
      Joi.object({
        id: identifier().required(),
        what: text(120).required(),
        passed: Joi.boolean().required(),
      }),
    )
    .max(100)
    .unique('id'),
  drops: Joi.array()
    .items(
      Joi.object({
        id: identifier().required(),
        heightM: positive().max(50).required(),
        outcome: Joi.valid(...DROP_OUTCOMES).required(),
        what: text(200),
      }),
    )
    .max(200)
    .unique('id'),
  beaten: Joi.array()
    .items(
      Joi.object({
        id: identifier().required(),
        name: text(80).required(),
        copyId: identifier(),
        light: finite().integer().min(0).max(100_000).required(),
        hard: finite().integer().min(0).max(100_000).required(),
        failed: Joi.boolean().required(),
      }),
    )
    .max(20)
    .unique('id'),
  ...benchReportFields,
  ...gripReportFields,
  shielded: Joi.boolean(),
  laps: Joi.array().items(positive().max(3600)).max(500),
  lapPredictedS: positive(),
  stops: Joi.array()
    .items(
      Joi.object({
        id: identifier().required(),
        fromMps: positive().max(150).required(),
        distanceM: positive().max(10_000).required(),
        predictedM: positive(),
      }),
    )
    .max(100)
    .unique('id'),
  friction: Joi.object<MeasuredFriction>({
    pulls: Joi.array()
      .items(
        Joi.object<FrictionPull>({
          id: identifier().required(),
          part: text(60).required(),
          startG: notNegative().max(100_000).required(),
          keepG: notNegative().max(100_000).required(),
        }),
      )
      .max(30)
      .unique('id'),
    radiusMm: positive().max(1000),
    errorG: notNegative().max(10_000),
    freeA: notNegative().max(5000),
    freeRpm: notNegative().max(500_000),
    aloneA: notNegative().max(5000),
    aloneRpm: notNegative().max(500_000),
  }),
  ticked: Joi.array()
    .items(Joi.valid(...PASS_TICKS))
    .unique(),
  hit: text(200),
  speedMps: notNegative().max(150),
  settingName: text(60),
  settingUnit: text(20),
  settingAid: Joi.object({ of: Joi.valid(...SWEPT_SETTINGS).required(), perUnit: positive().max(1e6) }),
  blind: Joi.boolean(),
  order: Joi.array().items(finite()).max(500),
});

export const fileHash = () => Joi.string().hex().length(64);
const photoSchema = Joi.object<Photo>({ hash: fileHash().required(), caption: text(300) });
const trackSchema = Joi.object<KeptTrack>({
  hash: fileHash().required(),
  name: text(120).required(),
  windowS: notNegative().required(),
  topSpeedMps: notNegative(),
  distanceM: notNegative().required(),
  durationS: notNegative().required(),
  droppedPoints: finite().integer().min(0).required(),
});

/** A timed kind needs attempts, a surface and a distance; of the others each brings what it has. */
const byKind = (timed: Joi.Schema, other: Joi.Schema) =>
  Joi.when('kind', { is: Joi.valid(...TIMED_KINDS), then: timed, otherwise: other }).required();
const attempts = () => Joi.array().items(attemptSchema).max(500).unique('id').required();

export const runSheetFields = {
  id: identifier().required(),
  kind: Joi.valid(...RUN_KINDS).required(),
  attempts: byKind(attempts().min(1), attempts()),
  conditions: Joi.when('kind', {
    is: Joi.valid(...TIMED_KINDS.filter((kind) => RUN_KIND_RECORDS[kind].weaves)),
    then: gatedConditions.required(),
    otherwise: byKind(timedConditions.required(), conditionsSchema.required()),
  }).required(),
  drivenMinutes: notNegative().max(10_000),
  note: text(2000),
  report: reportSchema,
  copies: Joi.array().items(identifier()).max(500).unique(),
  photos: Joi.array().items(photoSchema).max(40),
  track: trackSchema,
  ranAt: moment().required(),
  document: documentSchema,
};

export const runSheetSchema = Joi.object<RunSheet>(runSheetFields).required();

const word = () => Joi.string().max(60);
const outcomes = () =>
  Joi.array()
    .items(
      Joi.object({
        check: word().required(),
        result: Joi.valid(...OUTCOMES).required(),
        at: moment().required(),
      }),
    )
    .max(100)
    .unique('check');
const verdict = () =>
  Joi.object<Verdict>({ cause: word(), words: text(1000), at: moment().required() }).or('cause', 'words');

/** Modes, clues and causes are words: a record from elsewhere keeps those that the tables here do not know. */
const ledgerSchema = Joi.object<FailureLedger>({
  modeWords: text(80),
  copyId: identifier(),
  clues: Joi.array().items(word()).max(60).unique(),
  stateOfCharge: finite().min(0).max(1),
  motorCaseC: temperatureC(),
  wet: Joi.boolean(),
  impactMps: notNegative().max(150),
  repaired: Joi.boolean(),
  crackedBefore: Joi.boolean(),
  changesSinceGood: Joi.array().items(word()).max(30).unique(),
  photos: Joi.array().items(photoSchema).max(40),
  lostMinutes: notNegative().max(100_000),
  outcomes: outcomes(),
  verdict: verdict(),
  rounds: Joi.array()
    .items(Joi.object({ outcomes: outcomes().required(), verdict: verdict() }))
    .max(50),
});

export const failureSheetFields = {
  id: identifier().required(),
  mode: text(60).required(),
  partId: identifier(),
  partName: text(80).required(),
  runId: identifier(),
  hours: notNegative().max(100_000),
  story: text(4000),
  occurredAt: moment().required(),
  fix: text(2000),
  fixRevisionId: identifier(),
  ledger: ledgerSchema,
};

export const failureSheetSchema = Joi.object<FailureSheet>(failureSheetFields).required();
/** A failure that is noted here is of a kind that is known here; one that came from elsewhere keeps its own word. */
export const newFailureSchema = Joi.object<FailureSheet>({
  ...failureSheetFields,
  mode: Joi.valid(...FAILURE_MODES).required(),
}).required();

export const predictionSchema = Joi.object({
  timeS: positive().required(),
  timeErrorS: notNegative().required(),
  speedMps: positive().required(),
  speedErrorMps: notNegative().required(),
  topSpeedMps: notNegative(),
  massKg: positive().required(),
  mostFrom: Joi.valid(...UNCERTAIN_FIGURES),
});
