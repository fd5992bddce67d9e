import { ENDS } from '../../../car/document/suspension';
import type { CheckDefinition, Proposal } from '../../engine/check';
import type { WorkingStep } from '../../../base/workingStep';
import { plain } from '../../../base/units/plain';
import { type EndOfBuild, endOf } from '../../../worked/suspension/endOfBuild';
import { reachOf } from '../../../worked/suspension/steeringOfBuild';
import { both, worseEnd } from './ends';

/** Beyond the travel asked for no one looks. */
const REACH_SHARE = 1.15;

/** How much of its travel a corner reaches before the linkage locks or a joint is at its limit. */
export const lock: CheckDefinition = {
  id: 'suspension.lock',
  segment: 'suspension',
  title: 'Travel without locking',
  short: 'travel reached',
  anySurface: true,
  quantity: 'share',
  kind: 'floor',
  tightUnder: 1.1,
  evaluate: ({ document }) =>
    worseEnd(
      both(
        (end) => endOf(document, end),
        (end, found) => {
          const reach = reachOf(found, REACH_SHARE);
          const joint = tightestJoint(found);
          const byJoint = joint && joint.share < reach.share;
          const working: WorkingStep[] = [
            {
              label: 'Travel reached',
              formula: `of ${plain(found.bumpMm)} mm up and ${plain(found.droopMm)} mm down, looked for up to ${plain(100 * REACH_SHARE)} %`,
              value: reach.share,
              quantity: 'share',
              source: 'Milliken, Race Car Vehicle Dynamics, ch. 17',
            },
            ...(joint
              ? [
                  {
                    label: `Joint ${joint.name}`,
                    formula: `limit over ${plain(joint.deg)}° at the worst place`,
                    value: joint.share,
                    quantity: 'share' as const,
                  },
                ]
              : []),
          ];
          const at = reach.rackMm === 0 ? '' : ` at ${plain(reach.rackMm)} mm of rack`;
          const why = byJoint
            ? `the joint ${joint.name} turns ${plain(joint.deg)}°.`
            : reach.share >= REACH_SHARE
              ? 'it moves freely through all of it and beyond.'
              : `the linkage locks at ${plain(reach.travelMm)} mm of travel${at}.`;
          return {
            end,
            value: byJoint ? joint.share : reach.share,
            limit: 1,
            rank: Math.min(reach.share, joint?.share ?? Infinity),
            why,
            working,
          };
        },
      ),
      ({ value }) => value < 1,
    ),
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = endOf(document, end);
      if (!found.ok) return [];
      const reach = reachOf(found.value, REACH_SHARE);
      if (reach.share >= 1.1) return [];
      const shorter = Math.floor((reach.travelMm / 1.12) * 2) / 2;
      const [key, was] =
        reach.travelMm > 0
          ? (['bumpMm', found.value.bumpMm] as const)
          : (['droopMm', found.value.droopMm] as const);
      if (Math.abs(shorter) < 1) return [];
      return [
        {
          text: `Stop the ${end} at ${plain(Math.abs(shorter))} mm in place of ${plain(was)} mm`,
          patch: [{ path: ['suspension', end, key], value: Math.abs(shorter) }],
          cost: 1,
        },
      ];
    }),
};

/** The joint that is nearest to its limit over the travel. */
function tightestJoint({
  corner,
  sweep,
}: EndOfBuild): { name: string; deg: number; share: number } | undefined {
  const { jointLimitDeg } = corner;
  if (jointLimitDeg === undefined) return undefined;
  const most = new Map<string, number>();
  for (const { articulationDeg } of sweep.stations)
    for (const [name, deg] of Object.entries(articulationDeg))
      most.set(name, Math.max(most.get(name) ?? 0, deg));
  const [worst] = [...most].sort((a, b) => b[1] - a[1]);
  return (
    worst && {
      name: JOINT_WORDS[worst[0]] ?? worst[0],
      deg: worst[1],
      share: Math.min(REACH_SHARE, jointLimitDeg / Math.max(worst[1], 1e-6)),
    }
  );
}

const JOINT_WORDS: Readonly<Record<string, string>> = {
  lower: 'at the lower ball',
  upper: 'at the upper outer end',
  upperInner: 'at the upper inner end',
  tieInner: 'at the tie rod’s inner end',
  tieOuter: 'at the tie rod’s outer end',
};
