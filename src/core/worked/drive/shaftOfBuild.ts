import type { BuildDocument } from '../../car/document/document';
import type { Shaft } from '../../car/document/drive';
import { USUAL_KERB_STOP_MM } from '../../car/document/suspension';
import { shaftCheck, type ShaftResult } from '../../physics/shafts/shaft';
import { kerbStrikeN } from '../../physics/strength/landing';
import { oneWheelLandingN } from '../suspension/landingOfBuild';
import { rpmOf } from '../../base/units/convert';
import { behindStage, type PeakCause, peakTorques, turnsTo, wheelPeakNm } from './peakTorque';
import { massWithPayloadKg } from '../motion/runOfBuild';
import type { ToothSetting } from './toothOfBuild';

export type BentBy = 'landing' | 'kerb';

export interface ShaftFound {
  shaft: Shaft;
  forceN: number;
  bentBy?: BentBy;
  torque: { by: PeakCause; torqueNm: number };
  maxRpm?: number;
  /** Between two bearings, halved where one stands in the middle. */
  spanMm?: number;
  result: ShaftResult;
  /** The same shaft the other way: whole or in two halves. */
  other?: { halves: boolean; whirlMargin: number };
}

/** What a shaft still lacks. */
export function shaftMissing({ id, kind, diameterMm, material, overhangMm, spanMm }: Shaft): string[] {
  return [
    ...(diameterMm === undefined ? [`drive.shafts.${id}.diameterMm`] : []),
    ...(material ? [] : [`drive.shafts.${id}.material`]),
    ...(kind === 'axle' && overhangMm === undefined ? [`drive.shafts.${id}.overhangMm`] : []),
    ...(kind === 'long' && spanMm === undefined ? [`drive.shafts.${id}.spanMm`] : []),
  ];
}

/** Largest force on one wheel: a landing or a kerb, whichever is given and larger. */
function knock(document: BuildDocument): { forceN: number; bentBy?: BentBy } {
  const { dropHeightM, kerbMps } = document.brief;
  const { kerbStopMm = USUAL_KERB_STOP_MM } = document.suspension;
  const massKg = massWithPayloadKg(document)!;
  const landing = dropHeightM === undefined ? 0 : oneWheelLandingN(document);
  const kerb = kerbMps === undefined ? 0 : kerbStrikeN(massKg, kerbMps, kerbStopMm / 1000);
  if (landing === 0 && kerb === 0) return { forceN: 0 };
  return landing >= kerb ? { forceN: landing, bentBy: 'landing' } : { forceN: kerb, bentBy: 'kerb' };
}

/** Every shaft that is complete, at its largest loads and its highest speed. */
export function shaftsOf(
  setting: Pick<ToothSetting, 'document' | 'surface' | 'input' | 'run'>,
): ShaftFound[] {
  const { document, surface, input, run } = setting;
  const peaks = peakTorques(document, surface, input, run);
  const bend = knock(document);
  const motorRpm = rpmOf(run.noLoadSpeedMps, input.tyre.radiusMm / 1000) * input.drive.ratio;
  return (document.drive.shafts ?? [])
    .filter((shaft) => shaftMissing(shaft).length === 0)
    .filter(({ kind }) => kind !== 'long' || document.drive.stages.length > 0)
    .map((shaft) => {
      const { diameterMm, boreMm = 0, material, overhangMm, spanMm, halves = false } = shaft;
      const stage = document.drive.stages.find(({ id }) => id === shaft.behind) ?? document.drive.stages[0]!;
      const long = shaft.kind === 'long';
      const torque = long ? behindStage(document.drive, stage, peaks) : wheelPeakNm(document, input, peaks);
      const maxRpm = long ? motorRpm / turnsTo(document.drive, stage) : undefined;
      const at = (inHalves: boolean) =>
        shaftCheck({
          diameterMm: diameterMm!,
          boreMm,
          torqueNm: torque.torqueNm,
          yieldMpa: material!.inPlaneStrengthMpa,
          modulusMpa: material!.modulusMpa,
          densityKgM3: material!.densityGPerCm3 * 1000,
          ...(long
            ? { spanMm: inHalves ? spanMm! / 2 : spanMm!, maxRpm: maxRpm! }
            : { forceN: bend.forceN, overhangMm: overhangMm! }),
        });
      const result = at(halves);
      return {
        shaft,
        torque,
        result,
        ...(long ? { forceN: 0, maxRpm: maxRpm!, spanMm: halves ? spanMm! / 2 : spanMm! } : bend),
        ...(long ? { other: { halves: !halves, whirlMargin: at(!halves).whirlMargin! } } : {}),
      };
    });
}
