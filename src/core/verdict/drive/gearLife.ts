import type { Assembled } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { peakOn } from '../../worked/transmissions/stagePeak';
import { hexMissing, wheelHeld } from '../../worked/drive/jointOfBuild';
import { type ShaftFound, shaftsOf } from '../../worked/drive/shaftOfBuild';
import type { LoadedBelt } from '../../worked/transmissions/beltOfBuild';
import { beltsOf } from './belts/onBelts';
import { sideBySide, type WayFound } from '../../worked/transmissions/sideBySide';
import { judgedStages, teethOf, type Tooth } from '../../worked/drive/toothOfBuild';
import { worked } from '../../worked/worked';
import { drivenSetting, toothSettingOf } from './gears/onTeeth';
import { pinionJointsOf } from './joints/pinionJoint.check';

/** Every tooth of a build on a surface, the weakest first. */
export function teethOn(document: BuildDocument, surface: ChosenSurface): Assembled<Tooth[]> {
  const setting = toothSettingOf(worked(document, surface));
  return 'missing' in setting
    ? { ok: false, missing: setting.missing }
    : { ok: true, value: teethOf(setting) };
}

export interface JointsOnSurface {
  pinion: ReturnType<typeof pinionJointsOf>;
  wheel: { missing: readonly string[] } | ReturnType<typeof wheelHeld>;
  shafts: ShaftFound[];
}

/** What holds pinion and wheel, and how the shafts fare. */
export function jointsOn(document: BuildDocument, surface: ChosenSurface): JointsOnSurface {
  const subject = worked(document, surface);
  const input = subject.runInput();
  const setting = input.ok ? { document, surface, input: input.value, run: subject.run()! } : undefined;
  const missing = [...hexMissing(document), ...(input.ok ? [] : input.missing)];
  return {
    pinion: pinionJointsOf(subject),
    wheel: setting && missing.length === 0 ? wheelHeld(setting) : { missing },
    shafts: setting ? shaftsOf(setting) : [],
  };
}

/** Belts of a build under their worst loads. */
export function beltsOn(document: BuildDocument, surface: ChosenSurface): Assembled<LoadedBelt[]> {
  const found = beltsOf(worked(document, surface));
  if ('refused' in found) throw found.refused;
  return 'missing' in found ? { ok: false, missing: [...found.missing] } : { ok: true, value: found.belts };
}

/** A spur stage beside other ways to make its reduction; nothing where its teeth are not known yet. */
export function waysOn(
  document: BuildDocument,
  surface: ChosenSurface,
  stageId: string,
): Assembled<WayFound[]> {
  const setting = toothSettingOf(worked(document, surface));
  if ('missing' in setting) return { ok: false, missing: [...setting.missing] };
  const stage = judgedStages(document.drive).judged.find(({ id, kind }) => id === stageId && kind === 'spur');
  return { ok: true, value: stage ? sideBySide(setting, stage) : [] };
}

/** The largest torque on the driving gear of a stage, Nm; missing where the build tells none. */
export function stagePeakNm(
  document: BuildDocument,
  surface: ChosenSurface,
  stageId: string,
): Assembled<number> {
  const setting = drivenSetting(worked(document, surface));
  if ('missing' in setting) return { ok: false, missing: [...setting.missing] };
  const stage = document.drive.stages.find(({ id }) => id === stageId);
  return stage
    ? { ok: true, value: peakOn(setting, stage).pinionNm }
    : { ok: false, missing: ['drive.stages'] };
}
