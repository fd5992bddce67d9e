import { type Assembled, missingOf } from '../../base/assembled';
import { AIR_DENSITY, airDensityAt, RAD_PER_S_PER_RPM } from '../../base/constants';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type ChosenMotor, overallEfficiency, overallRatio } from '../../car/document/drive';
import { motorsInAll, motorsPerController } from '../../car/document/motors';
import type { DriveRunInput } from '../../physics/motion/definition';
import type { Limit } from '../../physics/motion/plant';
import type { DriveRunResult } from '../../physics/motion/run';
import { airOfBuild } from '../air/airOfBuild';
import { drivenPack } from './drivenPack';
import { alikeMotor, controllersLimitA } from './motorsOfBuild';
import { tyreOfRun, wheelInertiaOf } from './tyreOfRun';

/** What a run differs in from the build as it stands. */
export interface RunConditions {
  /** On top of the car and its payload, g. */
  extraMassG?: number;
  /** Air temperature, °C. */
  ambientC?: number;
  /** Share. */
  stateOfCharge?: number;
  gradePct?: number;
  distanceM?: number;
}

/** Ready to run with the brief's payload, kg; undefined while the car's own mass is missing. */
export function massWithPayloadKg(document: BuildDocument): number | undefined {
  const { massG } = document.chassis;
  return massG === undefined ? undefined : (massG + (document.brief.payloadG ?? 0)) / 1000;
}

/** A run with how much better its tyres hold across, which only a lap asks for. */
export type RunAndLap = DriveRunInput & { lateralGripFactor?: number };

/** The input of `drive.run` for a build on one surface, or the paths of what it still needs. */
export function runInputOf(
  document: BuildDocument,
  surface: ChosenSurface,
  conditions: RunConditions = {},
): Assembled<RunAndLap> {
  const { brief, drive, power, chassis } = document;
  const { tyre } = drive;
  const motor = alikeMotor(document);
  const { controller } = power;
  const battery = drivenPack(power);
  const shared = motorsPerController(document);
  const ratio = overallRatio(drive);
  const massKg = massWithPayloadKg(document);
  const air = airOfBuild(document);
  const missing = missingOf({
    'drive.motor': motor,
    'power.battery': battery,
    'power.controller': controller,
    'drive.stages': ratio,
    'drive.drivenAxles': drive.drivenAxles,
    'drive.tyre': tyre,
    'chassis.massG': massKg,
    'chassis.wheelbaseMm': chassis.wheelbaseMm,
    'chassis.cgHeightMm': chassis.cgHeightMm,
    'chassis.frontLoadShare': chassis.frontLoadShare,
    'chassis.cdaM2': air.cdaM2,
  });
  if (missing.length > 0) return { ok: false, missing };
  const pulls = tyreOfRun(drive, surface, chassis.frontLoadShare!);
  return {
    ok: true,
    value: {
      car: {
        massKg: massKg! + (conditions.extraMassG ?? 0) / 1000,
        cdaM2: air.cdaM2!,
        claFrontM2: air.claFrontM2,
        claRearM2: air.claRearM2,
        rollingResistance: surface.rollingResistance,
        frontLoadShare: chassis.frontLoadShare!,
        cgHeightMm: chassis.cgHeightMm!,
        wheelbaseMm: chassis.wheelbaseMm!,
        drivenAxles: drive.drivenAxles!,
        wheelInertiaKgM2: wheelInertiaOf(drive, pulls.radiusMm),
      },
      tyre: pulls,
      drive: { ratio: ratio!, efficiency: overallEfficiency(drive) },
      motor: {
        kvRpmPerV: motor!.kvRpmPerV,
        resistanceMilliOhm: motor!.resistanceMilliOhm,
        noLoadCurrentA: motor!.noLoadCurrentA,
        rotorInertiaKgM2: motor!.rotorInertiaKgM2,
        count: motorsInAll(drive),
      },
      esc: {
        currentLimitA: motorLimitsA(document, motor!)[heldBy(document, motor!)],
        // what drives several motors carries the current of all of them
        resistanceMilliOhm: controller!.resistanceMilliOhm * shared,
      },
      battery: {
        cells: battery!.cells,
        cellResistanceMilliOhm: battery!.cellResistanceMilliOhm,
        parallel: battery!.parallel,
        capacityMah: battery!.capacityMah,
        maxDischargeC: battery!.maxDischargeC,
        stateOfCharge: conditions.stateOfCharge ?? 1,
      },
      airDensityKgM3: conditions.ambientC === undefined ? AIR_DENSITY : airDensityAt(conditions.ambientC),
      gradePct: conditions.gradePct ?? 0,
      throttle: drive.throttleLimit ?? 1,
      distanceM: conditions.distanceM ?? brief.distanceM ?? 50,
      ...(surface.lateralGripFactor === undefined ? {} : { lateralGripFactor: surface.lateralGripFactor }),
    },
  };
}

/** What holds a motor's current: the controller, the limit set by hand, or a clutch that slips at the torque of it. */
export const CURRENT_HOLDERS = ['controller', 'ownLimit', 'clutch'] as const;
export type CurrentHolder = (typeof CURRENT_HOLDERS)[number];

type Wound = Pick<ChosenMotor, 'kvRpmPerV' | 'noLoadCurrentA'>;

/** Current of one motor at each of its limits, A; of a clutch the one whose torque it just passes on. */
export function motorLimitsA(document: BuildDocument, motor: Wound): Record<CurrentHolder, number> {
  const { clutchNm = Infinity, currentLimitA = Infinity } = document.drive;
  return {
    controller: controllersLimitA(document),
    ownLimit: currentLimitA,
    clutch: clutchNm * motor.kvRpmPerV * RAD_PER_S_PER_RPM + motor.noLoadCurrentA,
  };
}

/** The least of them. */
export function heldBy(document: BuildDocument, motor: Wound): CurrentHolder {
  const limits = motorLimitsA(document, motor);
  return CURRENT_HOLDERS.reduce((a, b) => (limits[b] < limits[a] ? b : a));
}

/** What holds a launch, with the holder where it is a current. */
export type LaunchHeldBy = Exclude<Limit, 'current'> | CurrentHolder;

export const launchHeldBy = (document: BuildDocument, { launchLimitedBy }: DriveRunResult): LaunchHeldBy =>
  launchLimitedBy === 'current' ? heldBy(document, document.drive.motor!) : launchLimitedBy;
