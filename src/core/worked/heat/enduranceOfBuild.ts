import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type OwnTrace, USUAL_DUTY } from '../../car/document/heat';
import { USUAL_CUTOFF_V, USUAL_USABLE_SHARE } from '../../car/document/power';
import type { CycleDefinition } from '../../physics/motion/cruise';
import type { EnduranceInput } from '../../physics/heat/enduranceDefinition';
import type { TraceSeries } from '../../physics/heat/trace';
import type { DriveRunInput } from '../../physics/motion/definition';
import { hasRound, lapDriven, lapTrace } from '../track/lapDriven';
import { auxiliaryOf } from '../power/auxiliaryOfBuild';
import { type RunConditions, runInputOf } from '../motion/runOfBuild';
import type { MotorPlace } from '../../car/document/drive';
import { areUnlike, eachMotor } from '../motion/motorsOfBuild';
import { simulateEndurance } from '../../physics/heat/endurance';
import { controllerOf, fansA, thermalOf, tooManyFins } from './thermalOfBuild';
import type { Assembled } from '../../base/assembled';

/** Mean speed over the wish where the brief says none. */
export const USUAL_MEAN_SHARE = 0.6;
const LONGEST_S = 4 * 3600;

/** Of the duty `cruise`, s. */
export const [USUAL_CRUISE_S, USUAL_REST_S] = [60, 0];
/** The wish jumps to its speed, and back, in this time, s; the car follows as it can. */
const JUMP_S = 0.1;

/** A pack of a build: the input of `drive.endurance`, with the charge that the driver leaves in it, share. */
export interface PackOfBuild extends EnduranceInput {
  leastCharge: number;
  /** Of motors with figures of their own the one that runs hottest; the temperatures are its own. */
  hottest?: { place: MotorPlace; heatShare: number };
}

/** Speed of the duty `cruise`, m/s: as typed, or the wish's mean; undefined while there is neither. */
export function cruiseMpsOf({ brief, drive }: Pick<BuildDocument, 'brief' | 'drive'>): number | undefined {
  const { targetMps, meanSpeedShare = USUAL_MEAN_SHARE } = brief;
  return drive.heat?.cruiseMps ?? (targetMps === undefined ? undefined : targetMps * meanSpeedShare);
}

type Cycle = Exclude<EnduranceInput['cycle'], CycleDefinition>;

/** How the pack is driven, or what is still needed to say so. */
export function dutyOf(document: BuildDocument, run: DriveRunInput): Assembled<Cycle> {
  const {
    duty = USUAL_DUTY,
    cruiseS = USUAL_CRUISE_S,
    restS = USUAL_REST_S,
    trace,
  } = document.drive.heat ?? {};
  const needs = (path: string) => ({ ok: false, missing: [path] }) as const;
  const is = (value: Cycle) => ({ ok: true, value }) as const;
  if (duty === 'lap') {
    if (!hasRound(document.brief.track)) return needs('brief.track.segments');
    const { series } = lapDriven(document, run);
    if (!series) return needs('brief.track.segments:drivable');
    return is({ series: lapTrace(series) });
  }
  if (duty === 'track') return trace ? is({ series: seriesOf(trace) }) : needs('drive.heat.trace');
  if (duty !== 'cruise') return is({ style: duty });
  const speed = cruiseMpsOf(document);
  return speed === undefined
    ? needs('drive.heat.cruiseMps')
    : is({ series: startsTo(speed, cruiseS, restS) });
}

const seriesOf = ({ stepS, speedMps, lateralMps2 }: OwnTrace): TraceSeries => ({
  tS: speedMps.map((_, at) => at * stepS),
  speedMps,
  lateralMps2,
});

/** One start to a speed held for a while, then a rest; without a rest the speed alone. */
function startsTo(speedMps: number, cruiseS: number, restS: number): TraceSeries {
  const held = Math.max(JUMP_S, cruiseS);
  if (restS === 0) return { tS: [0, held], speedMps: [speedMps, speedMps] };
  const stops = JUMP_S + held;
  return {
    tS: [0, JUMP_S, stops, stops + JUMP_S, stops + JUMP_S + restS],
    speedMps: [0, speedMps, speedMps, 0, 0],
  };
}

/** A pack of a build on one surface, or the paths of what it still needs. */
export function packOfBuild(
  document: BuildDocument,
  surface: ChosenSurface,
  conditions: RunConditions = {},
): Assembled<PackOfBuild> {
  const run = runInputOf(document, surface, conditions);
  if (!run.ok) return run;
  if (tooManyFins(document.drive)) return { ok: false, missing: ['drive.heat.sinkFins:fit'] };
  const cycle = dutyOf(document, run.value);
  if (!cycle.ok) return cycle;
  const { cutoffVPerCell = USUAL_CUTOFF_V, usableShare = USUAL_USABLE_SHARE } = document.power;
  const pack: PackOfBuild = {
    ...run.value,
    thermal: {
      ...thermalOf(document.drive, document.drive.motor!),
      ...(conditions.ambientC === undefined ? {} : { ambientC: conditions.ambientC }),
    },
    controller: controllerOf(document),
    cycle: cycle.value,
    losses: { auxiliaryA: auxiliaryOf(document) + fansA(document.drive) },
    cutoffVPerCell,
    maxDurationS: LONGEST_S,
    leastCharge: 1 - usableShare,
  };
  return { ok: true, value: areUnlike(document.drive) ? asHottest(document, pack) : pack };
}

/**
 * The pack with the way to the air of the motor that takes most heat at the drive's mean speed and current: as many times the
 * heat into one motor is as many times its resistances, and its capacities over them.
 */
function asHottest(document: BuildDocument, pack: PackOfBuild): PackOfBuild {
  const { leastCharge, ...input } = pack;
  const driven = simulateEndurance(input, 1, { leastCharge, jumps: true });
  const { rmsMotorCurrentA: amps = 0, meanSpeedMps: speedMps = 0 } = driven;
  const motors = eachMotor(document, pack, { amps, speedMps });
  const { place, heatShare } = motors.reduce((a, b) => (b.heatShare > a.heatShare ? b : a));
  const { thermal } = pack;
  return {
    ...pack,
    hottest: { place, heatShare },
    thermal: {
      ...thermal,
      windingToCaseKPerW: thermal.windingToCaseKPerW * heatShare,
      caseToAmbientKPerW: thermal.caseToAmbientKPerW * heatShare,
      windingHeatCapacityJPerK: thermal.windingHeatCapacityJPerK / heatShare,
      caseHeatCapacityJPerK: thermal.caseHeatCapacityJPerK / heatShare,
    },
  };
}
