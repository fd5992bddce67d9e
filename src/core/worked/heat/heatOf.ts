import type { Finding } from '../../base/finding';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { calibrationFor, type HeatCalibration } from '../../car/document/heat';
import { applyPatch } from '../../base/patch';
import { refusal } from '../../base/errors';
import type { TraceSeries } from '../../physics/heat/trace';
import { motorCalibrate } from '../../physics/heat/calibrate';
import type { EnduranceResult } from '../../physics/heat/enduranceDefinition';
import { packOfBuild, type PackOfBuild } from './enduranceOfBuild';
import { drivePack } from './wholePack';
import { driveRun } from '../../physics/motion/run';
import type { Assembled } from '../../base/assembled';
import { lapDriven } from '../track/lapDriven';
import { heatWhatIfs, type WhatIf } from './whatIfs';

declare module '../../base/errors' {
  interface RefusalFacts {
    'heat.noReading': Record<never, never>;
  }
}

export interface HeatOfBuild {
  readonly input: PackOfBuild;
  readonly pack: EnduranceResult;
  readonly topSpeedMps?: number;
  /** Once through what is driven, with a fresh pack; none of a car that stands. */
  readonly pass?: DrivenPass;
  /** Of the build's own lap, where it is driven. */
  readonly laps?: number;
}

export interface DrivenPass {
  readonly wish: TraceSeries;
  readonly tS: readonly number[];
  readonly speedMps: readonly number[];
  /** Share of the time in which the car is slower than is asked. */
  readonly behindShare: number;
}

/** A whole pack of a build on one surface. */
export function heatOf(document: BuildDocument, surface: ChosenSurface): Assembled<HeatOfBuild> {
  const input = packOfBuild(document, surface);
  if (!input.ok) return input;
  const { topSpeedMps } = driveRun(input.value);
  const pack = drivePack(input.value);
  const pass = passOf(input.value, pack);
  const laps =
    document.drive.heat?.duty === 'lap'
      ? pack.distanceM / lapDriven(document, input.value).lengthM
      : undefined;
  return {
    ok: true,
    value: {
      input: input.value,
      pack,
      ...(topSpeedMps === undefined ? {} : { topSpeedMps }),
      ...(pass ? { pass } : {}),
      ...(laps === undefined ? {} : { laps }),
    },
  };
}

/** No picture shows more of a trace, s. */
const MOST_SHOWN_S = 180;
/** A car that is this much slower than asked is behind: a share of the speed, and at least m/s. */
const [BEHIND_SHARE, BEHIND_MPS] = [0.03, 0.1];

function passOf(
  input: PackOfBuild,
  { durationS, cycleSeries: wish }: EnduranceResult,
): DrivenPass | undefined {
  if (durationS === 0 || !wish) return undefined;
  const untilS = Math.min(MOST_SHOWN_S, wish.tS.at(-1)!, durationS);
  const { tS, speedMps } = drivePack({ ...input, maxDurationS: untilS }).series;
  const behind = tS.filter((t, at) => {
    const asked = speedAt(wish, t);
    return asked - speedMps[at]! > Math.max(BEHIND_MPS, BEHIND_SHARE * asked);
  });
  return { wish, tS, speedMps, behindShare: behind.length / tS.length };
}

function speedAt({ tS, speedMps }: TraceSeries, t: number): number {
  const after = tS.findIndex((one) => one >= t);
  const next = after < 0 ? tS.length - 1 : Math.max(1, after);
  const share = Math.min(1, (t - tS[next - 1]!) / (tS[next]! - tS[next - 1]!));
  return speedMps[next - 1]! + share * (speedMps[next]! - speedMps[next - 1]!);
}

export interface TriedWhatIf extends WhatIf {
  readonly minutes: number;
  readonly endedBy: EnduranceResult['endedBy'];
  readonly peakCaseC: number;
  readonly peakWindingC: number;
  readonly topSpeedMps?: number;
}

/** Every what-if with what it comes to. */
export function tryWhatIfs(document: BuildDocument, surface: ChosenSurface): TriedWhatIf[] {
  return heatWhatIfs(document).flatMap((whatIf) => {
    const tried = heatOf(applyPatch(document, whatIf.patch), surface);
    if (!tried.ok) return [];
    const { pack, topSpeedMps } = tried.value;
    return [
      {
        ...whatIf,
        minutes: pack.durationS / 60,
        endedBy: pack.endedBy,
        peakCaseC: pack.peakCaseC,
        peakWindingC: pack.peakWindingC,
        ...(topSpeedMps === undefined ? {} : { topSpeedMps }),
      },
    ];
  });
}

/**
 * What the readings of a build say of its cooling, against the first guess.
 *
 * @throws CalcError at `drive.heat.readings` without a reading, at a limit that the air reaches
 */
export function calibrateBuild(
  document: BuildDocument,
  surface: ChosenSurface,
): Assembled<HeatCalibration & { notes: readonly Finding[] }> {
  const { motor, heat } = document.drive;
  const readings = heat?.readings ?? [];
  if (readings.length === 0) throw refusal('drive.heat.readings', 'heat.noReading');
  const input = packOfBuild(document, surface);
  if (!input.ok) return input;
  const { leastCharge: _, hottest: __, ...pack } = input.value;
  const found = motorCalibrate({
    ...pack,
    measured: readings.map(({ minutes, caseC }) => ({ tS: 60 * minutes, caseC })),
  });
  const before = calibrationFor(heat, motor!)?.factor ?? 1;
  const factor = (before * found.caseToAmbientKPerW) / input.value.thermal.caseToAmbientKPerW;
  return {
    ok: true,
    value: {
      diameterMm: motor!.diameterMm,
      lengthMm: motor!.lengthMm,
      factor,
      residualC: found.residualC,
      notes: found.notes,
    },
  };
}
