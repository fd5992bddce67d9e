import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { overallEfficiency, overallRatio } from '../../car/document/drive';
import { airOfBuild } from '../air/airOfBuild';
import { massWithPayloadKg } from './runOfBuild';
import { frictionOf } from './tyreOfRun';
import { type Assembled, missingOf } from '../../base/assembled';
import type { BriefDemandInput } from '../../physics/motion/demand';

/** The input of `brief.demand` for a build on these surfaces, or the names of what it still needs. */
export function demandInputOf(
  document: BuildDocument,
  surfaces: readonly ChosenSurface[],
): Assembled<BriefDemandInput> {
  const { brief, drive, power, chassis } = document;
  const { tyre } = drive;
  const massKg = massWithPayloadKg(document);
  const ratio = overallRatio(drive);
  const air = airOfBuild(document);
  const missing = missingOf({
    'brief.surfaces': surfaces[0],
    'brief.targetMps': brief.targetMps,
    'drive.tyre': tyre,
    'drive.drivenAxles': drive.drivenAxles,
    'chassis.massG': massKg,
    'chassis.wheelbaseMm': chassis.wheelbaseMm,
    'chassis.cgHeightMm': chassis.cgHeightMm,
    'chassis.frontLoadShare': chassis.frontLoadShare,
    'chassis.cdaM2': air.cdaM2,
  });
  if (missing.length > 0) return { ok: false, missing };
  return {
    ok: true,
    value: {
      targetMps: brief.targetMps!,
      massKg: massKg!,
      cdaM2: air.cdaM2!,
      claFrontM2: air.claFrontM2,
      claRearM2: air.claRearM2,
      tyreRadiusMm: tyre!.radiusMm,
      drivenAxles: drive.drivenAxles!,
      frontLoadShare: chassis.frontLoadShare!,
      cgHeightMm: chassis.cgHeightMm!,
      wheelbaseMm: chassis.wheelbaseMm!,
      surfaces: surfaces.map((surface) => ({
        id: surface.id,
        mu: frictionOf(surface, tyre!),
        rollingResistance: surface.rollingResistance,
      })),
      ...(ratio === undefined ? {} : { ratio }),
      ...(brief.runTimeMinutes === undefined ? {} : { runTimeMinutes: brief.runTimeMinutes }),
      ...(brief.meanSpeedShare === undefined ? {} : { meanSpeedShare: brief.meanSpeedShare }),
      ...(drive.stages.length === 0 ? {} : { drivelineEfficiency: overallEfficiency(drive) }),
      ...(power.battery === undefined ? {} : { cells: power.battery.cells }),
    },
  };
}
