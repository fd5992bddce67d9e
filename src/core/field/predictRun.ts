import type { ChosenSurface } from '../build/brief';
import type { BuildDocument } from '../build/document';
import { cellCharge } from '../drive/cell';
import type { DriveRunInput } from '../drive/definition';
import { driveRun } from '../drive/run';
import { type Assembled, frictionOf, runInputOf } from '../drive/runOfBuild';
import type { Conditions, RunKind, RunPrediction } from './records';

/** Why there is no prediction. */
export type Predicted = Assembled<RunPrediction>;

/**
 * Predicts a passage or a standing start for the run's own mass, air, charge and run-up. Its error carries the
 * uncertainty of friction and rolling resistance of the surface, each moved by its standard deviation.
 *
 * @see JCGM 100, Guide to the expression of uncertainty in measurement, 5.1 (numerical sensitivities)
 */
export function predictRun(document: BuildDocument, kind: RunKind, conditions: Conditions): Predicted {
  const surface = document.brief.surfaces.find(({ id }) => id === conditions.surfaceId);
  if (!surface) return { ok: false, missing: ['surface of the run in the brief'] };
  const timeOn = (varied: ChosenSurface) => {
    const input = inputFor(document, varied, conditions);
    return input.ok ? timeOver(input.value, kind, conditions) : undefined;
  };
  const input = inputFor(document, surface, conditions);
  if (!input.ok) return input;
  const nominal = timeOver(input.value, kind, conditions);
  if (nominal === undefined) return { ok: false, missing: ['a car that reaches the end of the distance'] };
  const { timeS, topSpeedMps } = nominal;
  const { distanceM } = conditions;
  const timeErrorS = Math.hypot(...variations(surface).map(([up, down]) => {
    const [a, b] = [timeOn(up)?.timeS ?? timeS, timeOn(down)?.timeS ?? timeS];
    return (a - b) / 2;
  }));
  return {
    ok: true,
    value: {
      timeS,
      timeErrorS,
      speedMps: distanceM / timeS,
      speedErrorMps: (distanceM / timeS) * (timeErrorS / timeS),
      ...(topSpeedMps === undefined ? {} : { topSpeedMps }),
      massKg: input.value.car.massKg,
    },
  };
}

function inputFor(document: BuildDocument, surface: ChosenSurface, conditions: Conditions): Assembled<DriveRunInput> {
  const { battery } = document.power;
  const perCell = conditions.packVBefore === undefined || !battery ? undefined : conditions.packVBefore / battery.cells;
  return runInputOf(document, surface, {
    ...(conditions.extraMassG === undefined ? {} : { extraMassG: conditions.extraMassG }),
    ...(conditions.ambientC === undefined ? {} : { ambientC: conditions.ambientC }),
    ...(perCell === undefined ? {} : { stateOfCharge: Math.max(0.01, cellCharge(perCell)) }),
  });
}

function timeOver(input: DriveRunInput, kind: RunKind, { distanceM, runUpM = 0 }: Conditions): { timeS: number; topSpeedMps?: number } | undefined {
  const runUp = kind === 'launch' ? 0 : runUpM;
  const whole = driveRun({ ...input, distanceM: runUp + distanceM });
  const before = runUp > 0 ? driveRun({ ...input, distanceM: runUp }).timeToDistanceS : 0;
  if (whole.timeToDistanceS === undefined || before === undefined) return undefined;
  return { timeS: whole.timeToDistanceS - before, ...(whole.topSpeedMps === undefined ? {} : { topSpeedMps: whole.topSpeedMps }) };
}

function variations(surface: ChosenSurface): [ChosenSurface, ChosenSurface][] {
  const { mu, muError, rollingResistance, rollingResistanceError } = surface;
  return [
    [{ ...surface, mu: mu + muError }, { ...surface, mu: Math.max(0, mu - muError) }],
    [{ ...surface, rollingResistance: rollingResistance + rollingResistanceError }, { ...surface, rollingResistance: Math.max(0, rollingResistance - rollingResistanceError) }],
  ];
}

/** Friction of the build's tyre on the surface of a run. */
export function runFriction(document: BuildDocument, conditions: Conditions): number | undefined {
  const surface = document.brief.surfaces.find(({ id }) => id === conditions.surfaceId);
  return surface && document.drive.tyre ? frictionOf(surface, document.drive.tyre) : undefined;
}
