import { enduranceOf } from '../../../worked/heat/enduranceOf';
import { CalcError, type Refused } from '../../../base/errors';
import { finding } from '../../../base/finding';
import type { Stage } from '../../../car/stages/stage';
import { beltMissing, type LoadedBelt, loadedBelt } from '../../../worked/transmissions/beltOfBuild';
import { beltStages } from '../../../worked/drive/stageKinds';
import type { Worked } from '../../../worked/worked';
import type { Found } from '../../engine/check';
import { drivenSetting } from '../gears/onTeeth';

declare module '../../../base/finding' {
  interface FindingFacts {
    'belt.refused': BeltNamed & { refused: Refused };
  }
}

export interface BeltNamed {
  small: number;
  large: number;
}

export const beltNamed = ({ pinionTeeth = 0, wheelTeeth = 0 }: Stage): BeltNamed => ({
  small: Math.min(pinionTeeth, wheelTeeth),
  large: Math.max(pinionTeeth, wheelTeeth),
});

type Belts = { missing: readonly string[] } | { refused: CalcError } | { belts: LoadedBelt[] };

/** Every belt of a build under its worst load, or what that still needs. */
export function beltsOf(subject: Worked): Belts {
  const stages = beltStages(subject.document.drive.stages);
  const setting = drivenSetting(subject);
  const pack = enduranceOf(subject);
  const missing = [
    ...stages.flatMap(beltMissing),
    ...('missing' in setting ? setting.missing : []),
    ...(pack.ok ? [] : pack.missing),
  ];
  if (missing.length > 0 || 'missing' in setting || !pack.ok) return { missing };
  try {
    return { belts: stages.map((stage) => loadedBelt({ ...setting, pack: pack.value }, stage)) };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { refused: error };
  }
}

export function onBelts(subject: Worked, find: (belts: LoadedBelt[]) => Found): Found {
  const found = beltsOf(subject);
  if ('missing' in found) return found;
  if ('belts' in found) return find(found.belts);
  return {
    state: 'over',
    margin: 0,
    finding: finding('belt.refused', {
      ...beltNamed(beltStages(subject.document.drive.stages)[0]!),
      refused: found.refused.refused,
    }),
  };
}
