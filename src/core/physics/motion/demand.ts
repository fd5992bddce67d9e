import { AIR_DENSITY, MEAN_CELL_V } from '../../base/constants';
import { createRoad, dragAndRoll, type DrivenAxles, type Road, traction } from './road';
import { bisect } from '../../base/numeric/root';
import { rpmOf } from '../../base/units/convert';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.demand.gripEnough': { surface: string; speed: Measure };
  }
}

/** A wish, before any motor is chosen. */
export interface BriefDemandInput {
  targetMps: number;
  /** With payload. */
  massKg: number;
  cdaM2: number;
  claFrontM2?: number;
  claRearM2?: number;
  tyreRadiusMm: number;
  drivenAxles: DrivenAxles;
  frontLoadShare: number;
  cgHeightMm: number;
  wheelbaseMm: number;
  surfaces: readonly { id: string; mu: number; rollingResistance: number }[];
  /** Turns of the motor for one turn of the wheel. */
  ratio?: number;
  runTimeMinutes?: number;
  /** Mean speed over the target. */
  meanSpeedShare?: number;
  /** Share of the power that comes out, 0 to 1. */
  drivelineEfficiency?: number;
  /** Share of the power that comes out, 0 to 1. */
  motorEfficiency?: number;
  /** In series. */
  cells?: number;
}

export interface SurfaceDemand {
  id: string;
  resistanceN: number;
  powerAtWheelW: number;
  gripN: number;
  gripHolds: boolean;
  /** Left out where grip holds at any speed. */
  gripSpeedMps?: number;
  launchMps2: number;
  meanPowerW: number;
  energyWh?: number;
  chargeMah?: number;
}

export interface BriefDemandResult {
  surfaces: SurfaceDemand[];
  wheelRpm: number;
  motorRpm?: number;
  notes: Finding[];
}

const FASTEST_MPS = 150;

/**
 * What a wish asks for on each surface, on the level.
 *
 * @returns forces in N, powers in W, speeds in m/s, charge in mAh at 3.8 V a cell
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 2
 */
export function briefDemand(input: BriefDemandInput): BriefDemandResult {
  const notes: Finding[] = [];
  const surfaces = input.surfaces.map((surface) => surfaceDemand(input, surface, notes));
  const wheelRpm = rpmOf(input.targetMps, input.tyreRadiusMm / 1000);
  return {
    surfaces,
    wheelRpm,
    ...(input.ratio === undefined ? {} : { motorRpm: wheelRpm * input.ratio }),
    notes,
  };
}

function surfaceDemand(
  input: BriefDemandInput,
  surface: BriefDemandInput['surfaces'][number],
  notes: Finding[],
): SurfaceDemand {
  const road = createRoad({
    massKg: input.massKg,
    cdaM2: input.cdaM2,
    claFrontM2: input.claFrontM2 ?? 0,
    claRearM2: input.claRearM2 ?? 0,
    rollingResistance: surface.rollingResistance,
    frontLoadShare: input.frontLoadShare,
    cgHeightM: input.cgHeightMm / 1000,
    wheelbaseM: input.wheelbaseMm / 1000,
    drivenAxles: input.drivenAxles,
    mu: surface.mu,
    airDensityKgM3: AIR_DENSITY,
    gradePct: 0,
  });
  const target = input.targetMps;
  const resistanceN = dragAndRoll(road, target ** 2);
  const gripN = traction(road, target ** 2, resistanceN);
  const gripSpeedMps = gripSpeed(road);
  if (gripSpeedMps === undefined)
    notes.push(
      finding('note.demand.gripEnough', { surface: surface.id, speed: measure(FASTEST_MPS, 'speedMps') }),
    );
  const mean = (input.meanSpeedShare ?? 0.6) * target;
  const meanPowerW =
    (dragAndRoll(road, mean ** 2) * mean) /
    ((input.drivelineEfficiency ?? 0.8) * (input.motorEfficiency ?? 0.75));
  const energyWh = input.runTimeMinutes === undefined ? undefined : (meanPowerW * input.runTimeMinutes) / 60;
  return {
    id: surface.id,
    resistanceN,
    powerAtWheelW: resistanceN * target,
    gripN,
    gripHolds: gripN >= resistanceN,
    ...(gripSpeedMps === undefined ? {} : { gripSpeedMps }),
    launchMps2: Math.max(0, (traction(road, 0, dragAndRoll(road, 0)) - dragAndRoll(road, 0)) / input.massKg),
    meanPowerW,
    ...(energyWh === undefined ? {} : { energyWh }),
    ...(energyWh === undefined || input.cells === undefined
      ? {}
      : { chargeMah: (energyWh / (input.cells * MEAN_CELL_V)) * 1000 }),
  };
}

/**
 * Smallest speed at which the tyres pass on less than the resistance. In v² the surplus is concave wherever it is
 * positive (the lower of straight lines less a convex resistance), so one bracket from rest holds the first crossing.
 */
function gripSpeed(road: Road): number | undefined {
  const surplus = (q: number) => traction(road, q, dragAndRoll(road, q)) - dragAndRoll(road, q);
  const fastest = FASTEST_MPS ** 2;
  if (surplus(0) < 0) return 0;
  if (surplus(fastest) >= 0) return undefined;
  return Math.sqrt(bisect((q) => (surplus(q) < 0 ? -1 : 1), 0, fastest));
}
