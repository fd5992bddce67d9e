import { enduranceOf } from '../../../worked/heat/enduranceOf';
import { type Measure, measure } from '../../../base/measure';
import type { PinionJoint } from '../../../car/document/heat';
import { type HeldBy, pinionDemand, pinionHeld, pinionMissing } from '../../../worked/drive/jointOfBuild';
import { motorStage } from '../../../car/document/drive';
import { type PeakCause, peakTorques } from '../../../worked/drive/peakTorque';
import type { Worked } from '../../../worked/worked';
import { defineCheck, type Found } from '../../engine/check';
import { pinionJointFace } from './pinionJoint.face';
import { finding, working } from '../../../base/finding';
import type { TorqueBy } from '../gears/onTeeth';

declare module '../../../base/finding' {
  interface FindingFacts {
    'joint.pinion.splits': { hoop: Measure };
    'joint.pinion.soft': { joint: PinionJoint; at: Measure; softens: Measure };
    'joint.pinion.carries': TorqueBy & { joint: PinionJoint; carries: Measure; at: Measure };
  }
  interface WorkingFacts {
    'joint.pinion': {
      by: PeakCause;
      demandNm: number;
      temperatureC: number;
      joint: PinionJoint;
      boreMm: number;
      carriesNm: number;
    };
  }
}

/** Every joint of the pinion at the temperature of the motor's case, or what is missing. */
export function pinionJointsOf(subject: Worked) {
  const { document, surface } = subject;
  const stage = motorStage(document);
  const pack = enduranceOf(subject);
  const input = subject.runInput();
  const missing = [...pinionMissing(stage), ...(pack.ok ? [] : pack.missing)];
  if (missing.length > 0 || !pack.ok || !input.ok || !surface || !stage) return { missing };
  const asked = pinionDemand(peakTorques(document, surface, input.value, subject.run()!));
  const temperatureC = pack.value.unlimited.peakCaseC;
  return { stage, asked, temperatureC, held: pinionHeld(stage, temperatureC, asked.torqueNm) };
}

/** What holds the pinion on the motor's shaft, hot, against the largest torque. */
export const pinionJoint = defineCheck({
  ...pinionJointFace,
  find: (subject): Found => {
    const joint = subject.document.drive.heat?.pinionJoint;
    const found = pinionJointsOf(subject);
    if (!('held' in found) || !found.held || !joint)
      return { missing: [...(found.missing ?? []), ...(joint ? [] : ['drive.heat.pinionJoint'])] };
    const { asked, temperatureC, held, stage } = found;
    const own = held.find(({ kind }) => kind === joint)!;
    if ('needs' in own) return { missing: [own.needs] };
    const { torqueNm, softensAtC, splits, hoopMpa } = own.result;
    const at = measure(temperatureC, 'temperatureC');
    return {
      value: torqueNm,
      limit: asked.torqueNm,
      ...(splits ? { margin: 0 } : {}),
      finding: splits
        ? finding('joint.pinion.splits', { hoop: measure(hoopMpa!, 'stressMpa') })
        : softensAtC !== undefined && softensAtC <= temperatureC
          ? finding('joint.pinion.soft', { joint, at, softens: measure(softensAtC, 'temperatureC') })
          : finding('joint.pinion.carries', {
              joint,
              at,
              carries: measure(torqueNm, 'torqueNm'),
              torque: measure(asked.torqueNm, 'torqueNm'),
              by: asked.by,
            }),
      working: working('joint.pinion', {
        by: asked.by,
        demandNm: asked.torqueNm,
        temperatureC,
        joint,
        boreMm: stage.pinion!.boreMm!,
        carriesNm: torqueNm,
      }),
    };
  },
  remedies: (subject) => {
    const found = pinionJointsOf(subject);
    if (!('held' in found) || !found.held) return [];
    return found.held
      .filter(
        (one): one is HeldBy & { result: { margin?: number } } =>
          'result' in one && !one.result.splits && (one.result.margin ?? 0) > 1,
      )
      .map(({ kind }) => ({ patch: [{ path: ['drive', 'heat', 'pinionJoint'], value: kind }], cost: 1 }));
  },
});
