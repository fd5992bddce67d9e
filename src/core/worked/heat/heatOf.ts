import type { Finding } from '../../base/finding';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { calibrationFor, type HeatCalibration } from '../../car/document/heat';
import { applyPatch } from '../../base/patch';
import { refusal } from '../../base/errors';
import { motorCalibrate } from '../../physics/heat/calibrate';
import type { EnduranceResult } from '../../physics/heat/enduranceDefinition';
import { packOfBuild, type PackOfBuild } from './enduranceOfBuild';
import { drivePack } from './wholePack';
import { driveRun } from '../../physics/motion/run';
import type { Assembled } from '../../base/assembled';
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
}

/** A whole pack of a build on one surface. */
export function heatOf(document: BuildDocument, surface: ChosenSurface): Assembled<HeatOfBuild> {
  const input = packOfBuild(document, surface);
  if (!input.ok) return input;
  const { topSpeedMps } = driveRun(input.value);
  return {
    ok: true,
    value: {
      input: input.value,
      pack: drivePack(input.value),
      ...(topSpeedMps === undefined ? {} : { topSpeedMps }),
    },
  };
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
  const { leastCharge: _, ...pack } = input.value;
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
