import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { cellCharge } from '../../physics/motion/cell';
import type { DriveRunInput } from '../../physics/motion/definition';
import { passage } from '../../physics/motion/passage';
import { runInputOf } from '../motion/runOfBuild';
import { frictionOf } from '../motion/tyreOfRun';
import { slalomOfBuild } from '../grip/slalomOfBuild';
import type { Slalom } from '../../physics/handling/slalom';
import type { Assembled } from '../../base/assembled';
import { KNOBS } from './knobs';
import { largestOf, sharesOf } from './shares';
import type { TimedConditions as Conditions, RunPrediction } from '../../car/records/records';
import { RUN_KIND_RECORDS, type RunKind } from '../../car/records/runKinds';

/** Why there is no prediction. */
export type Predicted = Assembled<RunPrediction>;

/**
 * Predicts a passage or a standing start for the run's own mass, air, charge and run-up. Its error carries what is not known
 * exactly of the surface, the drag, the drive and the motor, each moved by its standard deviation.
 *
 * @see JCGM 100, Guide to the expression of uncertainty in measurement, 5.1 (numerical sensitivities)
 */
export function predictRun(document: BuildDocument, kind: RunKind, conditions: Conditions): Predicted {
  const surface = document.brief.surfaces.find(({ id }) => id === conditions.surfaceId);
  if (!surface) return { ok: false, missing: ['brief.surfaces:ofRun'] };
  if (RUN_KIND_RECORDS[kind].weaves && !conditions.gates) return { ok: false, missing: ['runs:gates'] };
  const input = inputFor(document, surface, conditions);
  if (!input.ok) return input;
  const nominal = nominalRun(document, kind, conditions);
  if (nominal === undefined) return { ok: false, missing: ['drive.stages:getsThere'] };
  const { timeS, topSpeedMps } = nominal;
  const { distanceM } = conditions;
  const shares = sharesOf(document, surface.id, (car) => nominalRun(car, kind, conditions)?.timeS, timeS);
  const timeErrorS = Math.hypot(...KNOBS.map((knob) => shares[knob]));
  const mostFrom = largestOf(shares);
  return {
    ok: true,
    value: {
      timeS,
      timeErrorS,
      speedMps: distanceM / timeS,
      speedErrorMps: (distanceM / timeS) * (timeErrorS / timeS),
      ...(topSpeedMps === undefined ? {} : { topSpeedMps }),
      massKg: input.value.car.massKg,
      ...(mostFrom === undefined ? {} : { mostFrom }),
    },
  };
}

/** The time of a run by the build's figures alone; none where the car does not arrive or is not ready. */
export function nominalRun(
  document: BuildDocument,
  kind: RunKind,
  conditions: Conditions,
): { timeS: number; topSpeedMps?: number } | undefined {
  const straight = straightRun(document, kind, conditions);
  if (!straight || !conditions.gates) return straight;
  const found = throughGates(document, kind, conditions);
  return found && found.speedMps > 0
    ? { ...straight, timeS: conditions.distanceM / found.lineMps }
    : undefined;
}

/** Through gates a car goes as fast as grip, steering and servo let it, and at most as fast as straight ahead. */
export function throughGates(
  document: BuildDocument,
  kind: RunKind,
  conditions: Conditions,
): Slalom | undefined {
  const surface = document.brief.surfaces.find(({ id }) => id === conditions.surfaceId);
  const straight = straightRun(document, kind, conditions);
  if (!surface || !straight || !conditions.gates) return undefined;
  return slalomOfBuild(document, surface, conditions.gates, conditions.distanceM / straight.timeS);
}

function straightRun(document: BuildDocument, kind: RunKind, conditions: Conditions) {
  const surface = document.brief.surfaces.find(({ id }) => id === conditions.surfaceId);
  const input = surface ? inputFor(document, surface, conditions) : undefined;
  return input?.ok ? timeOver(input.value, kind, conditions) : undefined;
}

function inputFor(
  document: BuildDocument,
  surface: ChosenSurface,
  conditions: Conditions,
): Assembled<DriveRunInput> {
  const { battery } = document.power;
  const perCell =
    conditions.packVBefore === undefined || !battery ? undefined : conditions.packVBefore / battery.cells;
  return runInputOf(document, surface, {
    ...(conditions.extraMassG === undefined ? {} : { extraMassG: conditions.extraMassG }),
    ...(conditions.ambientC === undefined ? {} : { ambientC: conditions.ambientC }),
    ...(perCell === undefined ? {} : { stateOfCharge: Math.max(0.01, cellCharge(perCell)) }),
  });
}

function timeOver(
  input: DriveRunInput,
  kind: RunKind,
  { distanceM, runUpM = 0 }: Conditions,
): { timeS: number; topSpeedMps?: number } | undefined {
  const runUp = RUN_KIND_RECORDS[kind].fromRest ? 0 : runUpM;
  const found = passage({ ...input, distanceM: runUp + distanceM }, runUp);
  return (
    found && {
      timeS: found.endS - found.markS,
      ...(found.topSpeedMps === undefined ? {} : { topSpeedMps: found.topSpeedMps }),
    }
  );
}

/** Friction of the build's tyre on the surface of a run. */
export function runFriction(document: BuildDocument, conditions: Conditions): number | undefined {
  const surface = document.brief.surfaces.find(({ id }) => id === conditions.surfaceId);
  return surface && document.drive.tyre ? frictionOf(surface, document.drive.tyre) : undefined;
}
