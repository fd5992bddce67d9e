import { type Measure, measure } from '../../../base/measure';
import { type End, ENDS } from '../../../car/document/suspension';
import { articulationsOf, type EndOfBuild, endOf } from '../../../worked/suspension/endOfBuild';
import { reachOf } from '../../../worked/suspension/steeringOfBuild';
import { defineCheck, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { both, worseEnd } from '../ends';
import { lockFace } from './lock.face';

export type JointName = 'lower' | 'upper' | 'upperInner' | 'tieInner' | 'tieOuter';

declare module '../../../base/finding' {
  interface FindingFacts {
    'suspension.lock.joint': { end: End; joint: JointName; turns: Measure };
    'suspension.lock.free': { end: End };
    'suspension.lock.locks': { end: End; at: Measure; rack?: Measure };
  }
  interface WorkingFacts {
    'suspension.lock': {
      bumpMm: number;
      droopMm: number;
      sought: number;
      reached: number;
      joint?: { name: JointName; deg: number; share: number };
    };
  }
}

/** Beyond this share of the travel asked for nobody looks. */
const REACH_SHARE = 1.15;
/** Share from which nothing is proposed, and the room that a stop leaves. */
const [ENOUGH, ROOM] = [1.1, 1.12];

/** How much of its travel a corner reaches before the linkage locks or a joint is at its limit. */
export const lock = defineCheck({
  ...lockFace,
  find: ({ document }) =>
    worseEnd(
      both(
        (end) => endOf(document, end),
        (end, found) => {
          const reach = reachOf(found, REACH_SHARE);
          const joint = tightestJoint(found);
          const byJoint = joint && joint.share < reach.share;
          return {
            end,
            value: byJoint ? joint.share : reach.share,
            limit: 1,
            rank: Math.min(reach.share, joint?.share ?? Infinity),
            finding: byJoint
              ? finding('suspension.lock.joint', {
                  end,
                  joint: joint.name,
                  turns: measure(joint.deg, 'angleDeg'),
                })
              : reach.share >= REACH_SHARE
                ? finding('suspension.lock.free', { end })
                : finding('suspension.lock.locks', {
                    end,
                    at: measure(reach.travelMm, 'lengthMm'),
                    ...(reach.rackMm === 0 ? {} : { rack: measure(reach.rackMm, 'lengthMm') }),
                  }),
            working: working('suspension.lock', {
              bumpMm: found.bumpMm,
              droopMm: found.droopMm,
              sought: REACH_SHARE,
              reached: reach.share,
              ...(joint ? { joint } : {}),
            }),
          };
        },
      ),
      ({ value }) => value < 1,
    ),
  remedies: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = endOf(document, end);
      if (!found.ok) return [];
      const reach = reachOf(found.value, REACH_SHARE);
      const shorter = Math.abs(Math.floor((reach.travelMm / ROOM) * 2) / 2);
      if (reach.share >= ENOUGH || shorter < 1) return [];
      const key = reach.travelMm > 0 ? 'bumpMm' : 'droopMm';
      return [{ patch: [{ path: ['suspension', end, key], value: shorter }], cost: 1 }];
    }),
});

/** The joint that is nearest to its limit over travel and rack. */
function tightestJoint(found: EndOfBuild): { name: JointName; deg: number; share: number } | undefined {
  const { jointLimitDeg } = found.corner;
  if (jointLimitDeg === undefined) return undefined;
  const [worst] = Object.entries(articulationsOf(found)).sort((a, b) => b[1] - a[1]);
  return (
    worst && {
      name: worst[0] as JointName,
      deg: worst[1],
      share: Math.min(REACH_SHARE, jointLimitDeg / Math.max(worst[1], 1e-6)),
    }
  );
}
