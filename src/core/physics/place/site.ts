import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { bisect } from '../../base/numeric/root';
import { refuseBrake } from '../braking/brake';
import { createBrakes } from '../braking/brakes';
import type { BrakeDefinition } from '../braking/definition';
import { type Stop, stopsOf } from '../braking/stops';
import { accelMps2, createPlant, type Plant } from '../motion/plant';
import { topSpeed } from '../motion/topSpeed';
import type { DriveSiteInput, SiteRow } from './definition';
import { type RunUp, runUpsOf } from './runUp';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.site.stalled': Record<never, never>;
    'note.site.noTop': Record<never, never>;
    'note.site.overTop': { top: Measure };
    'note.site.tooShort': Record<never, never>;
    'note.site.noEntry': Record<never, never>;
    'note.site.radio': Record<never, never>;
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'site.margins': { marginsM: number };
  }
}

export interface DriveSiteResult {
  /** Length less both end margins, m. */
  usableM: number;
  topSpeedMps?: number;
  /** The wish, or the top speed. */
  targetMps?: number;
  /** At 95 and 99 % of the target. */
  rows: SiteRow[];
  /** Whether 99 % fits. */
  fits: boolean;
  /** Fastest pass that this place allows, whatever is wished. */
  placeSpeedMps?: number;
  /** Slowest rolling start with which 99 % of the target fits; 0 from rest. */
  entrySpeedNeededMps?: number;
  /** From the driver to the farthest point of the place. */
  radioFarthestM: number;
  /** Range over that. */
  radioMargin?: number;
  radioReaches?: boolean;
  stalled: boolean;
  notes: Finding[];
}

const SHARES = [0.95, 0.99] as const;
const MOST_SHARE = 0.99;
/** Of the fastest: slower is no pass. */
const SLOWEST = 1e-6;
const USUAL_BRAKE: BrakeDefinition = { motorShare: 1 };
const RAD_PER_DEG = Math.PI / 180;
export const USUAL_STRETCH_M = 10;
export const USUAL_REACTION_S = 0.5;
const [USUAL_DISTANCE_ERROR_M, USUAL_TIME_ERROR_S] = [0.02, 0.1];
const USUAL_STEER_DEG = 1;
const [USUAL_END_M, USUAL_SIDE_M, USUAL_BESIDE_M] = [2, 0.5, 2];

/**
 * Whether a run at speed fits into a place: run-up, measured stretch and stop in its length, the drift of a steering error
 * in its width, the radio from where the driver stands.
 *
 * @returns distances in m, times in s, speeds in m/s
 * @throws CalcError where the margins leave nothing of the length
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 2, 3 and 6 (steering by geometry at low slip)
 */
export function driveSite(input: DriveSiteInput): DriveSiteResult {
  const { site } = input;
  const marginsM = (site.marginStartM ?? 0) + (site.marginEndM ?? USUAL_END_M);
  if (site.lengthM <= marginsM) throw refusal('site.lengthM', 'site.margins', { marginsM });
  refuseBrake(input.brake ?? USUAL_BRAKE, input.car.drivenAxles);
  const plant = createPlant(input);
  const usableM = site.lengthM - marginsM;
  const radio = radioOf(input);
  const radioNote = finding('note.site.radio', {});
  if (accelMps2(plant, 0) <= 0)
    return {
      usableM,
      topSpeedMps: 0,
      rows: [],
      fits: false,
      ...radio,
      stalled: true,
      notes: [finding('note.site.stalled', {}), radioNote],
    };
  const top = topSpeed(plant);
  const target = targetOf(input.wishMps, top);
  if (target === undefined)
    return {
      usableM,
      rows: [],
      fits: false,
      ...radio,
      stalled: false,
      notes: [finding('note.site.noTop', {}), radioNote],
    };
  const place = new Place(input, plant, usableM, MOST_SHARE * Math.max(target, top ?? target));
  const rows = SHARES.map((share) => place.row(share, share * target));
  const placeSpeedMps = place.fastest(MOST_SHARE * (top ?? target));
  const entrySpeedNeededMps = place.entry(MOST_SHARE * target);
  return {
    usableM,
    ...(top === undefined ? {} : { topSpeedMps: top }),
    targetMps: target,
    rows,
    fits: rows.at(-1)!.fits,
    ...(placeSpeedMps === undefined ? {} : { placeSpeedMps }),
    ...(entrySpeedNeededMps === undefined ? {} : { entrySpeedNeededMps }),
    ...radio,
    stalled: false,
    notes: [
      ...(top !== undefined && (input.wishMps ?? 0) > top
        ? [finding('note.site.overTop', { top: measure(top, 'speedMps') })]
        : []),
      ...(placeSpeedMps === undefined ? [finding('note.site.tooShort', {})] : []),
      ...(entrySpeedNeededMps === undefined ? [finding('note.site.noEntry', {})] : []),
      radioNote,
    ],
  };
}

const targetOf = (wish: number | undefined, top: number | undefined): number | undefined =>
  wish === undefined ? top : top === undefined ? wish : Math.min(wish, top);

function radioOf({ site, driver = {}, radioRangeM }: DriveSiteInput) {
  const along = driver.alongM ?? site.lengthM / 2;
  const beside = Math.abs(driver.besideM ?? USUAL_BESIDE_M) + (site.widthM ?? 0) / 2;
  const radioFarthestM = Math.hypot(Math.max(Math.abs(along), Math.abs(site.lengthM - along)), beside);
  return {
    radioFarthestM,
    ...(radioRangeM === undefined
      ? {}
      : { radioMargin: radioRangeM / radioFarthestM, radioReaches: radioRangeM >= radioFarthestM }),
  };
}

class Place {
  private readonly runUp: (speedMps: number) => RunUp;
  private readonly stop: (speedMps: number) => Stop | undefined;
  private readonly stretchM: number;
  private readonly entryMps: number;

  constructor(
    private readonly input: DriveSiteInput,
    private readonly plant: Plant,
    private readonly usableM: number,
    fastestMps: number,
  ) {
    const brake = input.brake ?? USUAL_BRAKE;
    this.runUp = runUpsOf(plant, fastestMps);
    this.stop = stopsOf(
      createBrakes({ ...input, fromMps: fastestMps, brake }),
      fastestMps,
      brake.coastS ?? 0,
    );
    this.stretchM = input.stretchM ?? USUAL_STRETCH_M;
    this.entryMps = input.rollingStartMps ?? 0;
  }

  row(share: number, speedMps: number): SiteRow {
    const { distanceErrorM = USUAL_DISTANCE_ERROR_M, timeErrorS = USUAL_TIME_ERROR_S } = this.input;
    const ran = this.between(this.entryMps, speedMps);
    const stretchS = this.stretchM / speedMps;
    const stop = this.stop(speedMps);
    const neededM = stop && ran.distanceM + this.stretchM + stop.distanceM;
    return {
      share,
      speedMps,
      runUpM: ran.distanceM,
      runUpS: ran.timeS,
      stretchS,
      speedErrorPct: 100 * Math.hypot(distanceErrorM / this.stretchM, timeErrorS / stretchS),
      ...(stop ? { stopM: stop.distanceM, stopS: stop.timeS } : {}),
      ...(neededM === undefined ? {} : { neededM, spareM: this.usableM - neededM }),
      fits: neededM !== undefined && neededM <= this.usableM,
      ...this.drift(speedMps),
    };
  }

  /** Fastest pass that fits, at most so fast; none where even the slowest does not. */
  fastest(mostMps: number): number | undefined {
    const spare = (speedMps: number) => this.spareM(this.entryMps, speedMps);
    const slowest = SLOWEST * mostMps;
    if (spare(slowest) < 0) return undefined;
    return spare(mostMps) >= 0 ? mostMps : bisect((v) => (spare(v) >= 0 ? 1 : -1), slowest, mostMps);
  }

  /** Slowest start with which a speed fits; none where even a start at that speed does not. */
  entry(speedMps: number): number | undefined {
    const spare = (entryMps: number) => this.spareM(entryMps, speedMps);
    if (spare(0) >= 0) return 0;
    if (spare(speedMps) < 0) return undefined;
    return bisect((v) => (spare(v) >= 0 ? 1 : -1), speedMps, 0);
  }

  private spareM(entryMps: number, speedMps: number): number {
    const stop = this.stop(speedMps);
    if (!stop) return -Infinity;
    return this.usableM - this.between(entryMps, speedMps).distanceM - this.stretchM - stop.distanceM;
  }

  private between(entryMps: number, speedMps: number): RunUp {
    if (entryMps >= speedMps) return { distanceM: 0, timeS: 0 };
    const [from, to] = [this.runUp(entryMps), this.runUp(speedMps)];
    return { distanceM: to.distanceM - from.distanceM, timeS: to.timeS - from.timeS };
  }

  /** The arc of a steering error until the driver answers, at most as tight as the tyres hold. */
  private drift(speedMps: number): Pick<SiteRow, 'driftM' | 'sideSpareM' | 'sideFits'> {
    const { input, plant } = this;
    const { steerErrorDeg = USUAL_STEER_DEG, reactionS = USUAL_REACTION_S, site, carWidthMm = 0 } = input;
    const q = speedMps ** 2;
    const holds =
      (input.tyre.mu * Math.max(0, plant.road.weightN + plant.road.downPerQ * q)) / (plant.massKg * q);
    const curvature = Math.min(Math.tan(steerErrorDeg * RAD_PER_DEG) / (input.car.wheelbaseMm / 1000), holds);
    const angle = Math.min(Math.PI, curvature * speedMps * reactionS);
    // 1 − cos by half the angle: the error of a straight drive is small against 1
    const driftM = curvature > 0 ? (2 * Math.sin(angle / 2) ** 2) / curvature : 0;
    if (site.widthM === undefined) return { driftM };
    const sideSpareM = site.widthM / 2 - (site.marginSideM ?? USUAL_SIDE_M) - carWidthMm / 2000 - driftM;
    return { driftM, sideSpareM, sideFits: sideSpareM >= 0 };
  }
}
