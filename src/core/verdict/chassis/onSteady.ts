import type { SteadyInput, SteadyResult } from '../../physics/handling/steady/definition';
import { handlingSteady } from '../../physics/handling/steady/steady';
import { bodiesOf } from '../../worked/chassis/bodiesOfBuild';
import { weightOf } from '../../worked/chassis/weightOfBuild';
import { moreRearWing, rearIsTyped } from '../../worked/air/rearWing';
import { steadyInputOf } from '../../worked/stability/steadyOfBuild';
import type { Worked } from '../../worked/worked';
import type { Found, Proposal } from '../engine/check';
import { movable, moved } from './onStanding';

export interface AtTop {
  topMps: number;
  input: SteadyInput;
  steady: SteadyResult;
}

/** Found on the car straight ahead at its top speed. */
export function onSteady(subject: Worked, find: (at: AtTop) => Found): Found {
  const topMps = subject.run()?.topSpeedMps;
  const input = steadyInputOf(subject.document, subject.surface, { speedMps: topMps ?? 1 });
  if (!input.ok) return input;
  if (topMps === undefined || topMps === 0) {
    const run = subject.runInput();
    return { missing: run.ok ? ['drive.motor:topSpeed'] : run.missing };
  }
  return find({ topMps, input: input.value, steady: handlingSteady(input.value) });
}

const [STEPS_DEG, FORWARD_MM, MOST_MOVED] = [[4, 8, 12], [20, 40], 2];

/** More wing behind, where shapes count and no typed figure stands before them. */
export const withRearWing = ({ document }: Worked): Proposal[] =>
  rearIsTyped(document)
    ? []
    : STEPS_DEG.flatMap((byDeg) => {
        const patch = moreRearWing(document, byDeg);
        return patch ? [{ patch, cost: 2 as const }] : [];
      });

/** The heaviest components farther ahead. */
export function withWeightForward({ document }: Worked): Proposal[] {
  const weight = weightOf(document);
  if (!weight.ok || !weight.value.balance) return [];
  return movable(bodiesOf(document))
    .slice(0, MOST_MOVED)
    .flatMap((body) =>
      FORWARD_MM.map((by) => ({
        patch: moved(document, body.id, { xMm: Math.round(body.xMm + by) }),
        cost: 1 as const,
      })),
    );
}
