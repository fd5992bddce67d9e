import { type Measure, measure } from '../../../base/measure';
import { stagesTo } from '../../../car/document/drive';
import { FIGHTS_PCT, type RotationResult, SCRUBS_PCT } from '../../../physics/gears/rotation';
import { leadsSwapped, rotationOf, sameTeeth, turnedAbout } from '../../../worked/drive/rotationOfBuild';
import { defineCheck, type Proposal, type State } from '../../engine/check';
import { finding, working } from '../../../base/finding';

type Axle = 'front' | 'rear';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.rotation.forward': { axle: Axle | 'both' };
    'drive.rotation.backward': { axle: Axle | 'both' };
    'drive.rotation.apart': Record<never, never>;
    'drive.rotation.mismatch': { by: Measure };
  }
  interface WorkingFacts {
    'drive.rotation': {
      axle: Axle;
      rolls: 'forward' | 'backward';
      stages: readonly { kind: string; pinionTeeth?: number; wheelTeeth?: number; ratio?: number }[];
      ratio: number;
    }[];
  }
}

/** Whether both axles roll forward, at one ratio. */
export const axlesAgree = defineCheck({
  id: 'drive.rotation',
  at: { segment: 'drive', side: 'layout' },
  anySurface: true,
  quantity: 'percent',
  kind: 'band',
  find: ({ document: { drive } }) => {
    const found = rotationOf(drive);
    if (!found.ok) return found;
    const { ratioMismatchPct, paths, agree } = found.value;
    return {
      ...(agree && paths.length > 1 ? { value: ratioMismatchPct, limit: FIGHTS_PCT } : {}),
      state: stateOf(found.value),
      finding: tell(found.value),
      working: working(
        'drive.rotation',
        paths.map(({ axle, ratio, rolls }) => ({
          axle,
          rolls,
          ratio,
          stages: stagesTo(drive, axle).map(({ kind, pinionTeeth, wheelTeeth, ratio: plain }) => ({
            kind,
            ...(pinionTeeth === undefined ? {} : { pinionTeeth }),
            ...(wheelTeeth === undefined ? {} : { wheelTeeth }),
            ...(plain === undefined ? {} : { ratio: plain }),
          })),
        })),
      ),
    };
  },
  remedies: ({ document: { drive } }) => {
    const found = rotationOf(drive);
    if (!found.ok) return [];
    const { agree, paths } = found.value;
    const backward = paths.filter(({ rolls }) => rolls === 'backward');
    if (!agree) return backward.flatMap(({ axle }) => offered(turnedAbout(drive, axle)));
    return [
      ...(backward.length > 0 ? offered(leadsSwapped(drive)) : []),
      ...sameTeeth(drive).map(({ patch }) => ({ patch, cost: 2 as const })),
    ];
  },
  provenBy: { run: 'spin', how: 'wheelsInTheAir' },
  supports: ['bevelSameSide'],
});

function stateOf({ findings, ratioMismatchPct }: RotationResult): State {
  if (findings.some(({ severity }) => severity === 'over') || ratioMismatchPct >= FIGHTS_PCT) return 'over';
  return findings.some(({ severity }) => severity === 'tight') || ratioMismatchPct >= SCRUBS_PCT
    ? 'tight'
    : 'clear';
}

function tell({ agree, paths, ratioMismatchPct }: RotationResult) {
  const axle = paths.length === 1 ? paths[0]!.axle : 'both';
  if (!agree) return finding('drive.rotation.apart', {});
  if (paths.some(({ rolls }) => rolls === 'backward')) return finding('drive.rotation.backward', { axle });
  return ratioMismatchPct >= SCRUBS_PCT
    ? finding('drive.rotation.mismatch', { by: measure(ratioMismatchPct, 'percent') })
    : finding('drive.rotation.forward', { axle });
}

const offered = (found: ReturnType<typeof turnedAbout>): Proposal[] =>
  found ? [{ patch: found.patch, cost: 1 }] : [];
