import type { Stage } from '../../car/stages/stage';
import { atStage, peakTorques, type StageLoad } from '../drive/peakTorque';
import type { ToothSetting } from '../drive/toothOfBuild';

/** Every load that a stage sees: from standing, over a run, on a landing. */
export function loadsOn(
  { document, surface, input, run }: Omit<ToothSetting, 'pack'>,
  stage: Stage,
): StageLoad[] {
  const peaks = peakTorques(document, surface, input, run);
  return [peaks.blocked, ...peaks.run, ...(peaks.landing ? [peaks.landing] : [])].map((peak) =>
    atStage(document.drive, stage, peak),
  );
}

/** The largest torque of all. */
export const peakOn = (setting: Omit<ToothSetting, 'pack'>, stage: Stage): StageLoad =>
  loadsOn(setting, stage).reduce((a, b) => (b.pinionNm > a.pinionNm ? b : a));
