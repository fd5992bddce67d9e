import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { LogRole } from '../../physics/logs/roles';
import { rpmOf } from '../../base/units/convert';
import { driveRun } from '../../physics/motion/run';
import { factorAt } from '../../physics/motion/plant';
import { packOfBuild } from '../heat/enduranceOfBuild';
import { drivePack } from '../heat/wholePack';
import { runInputOf } from '../motion/runOfBuild';

/** What the build is predicted to do, by the roles of a log; times from the start of the run or of the pack. */
export interface BesideLog {
  of: 'run' | 'pack';
  lines: { role: LogRole; tS: readonly number[]; values: readonly number[] }[];
}

const FAR_M = 400;
const LONG_S = 60;

/** The simulated run from rest, and of a long log the motor's case over a pack; nothing while the build lacks something. */
export function besideLog(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  durationS: number,
): BesideLog[] {
  if (!surface) return [];
  const found: BesideLog[] = [];
  const input = runInputOf(document, surface, { distanceM: FAR_M });
  if (input.ok) {
    const { series } = driveRun(input.value);
    const { tyre, drive } = input.value;
    const turns = (mps: number) =>
      rpmOf(mps, ((tyre.grown ? factorAt(tyre.grown, mps) : 1) * tyre.radiusMm) / 1000) * drive.ratio;
    const { tS } = series;
    found.push({
      of: 'run',
      lines: [
        { role: 'speed', tS, values: series.speedMps },
        { role: 'motorCurrent', tS, values: series.motorCurrentA },
        { role: 'batteryCurrent', tS, values: series.batteryCurrentA },
        { role: 'voltage', tS, values: series.batteryVoltageV },
        { role: 'rpm', tS, values: series.speedMps.map(turns) },
      ],
    });
  }
  const pack = durationS >= LONG_S ? packOfBuild(document, surface) : undefined;
  if (pack?.ok) {
    const { series } = drivePack(pack.value);
    found.push({ of: 'pack', lines: [{ role: 'motorTemperature', tS: series.tS, values: series.caseC }] });
  }
  return found;
}
