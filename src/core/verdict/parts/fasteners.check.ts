import { type Finding, finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import {
  type GroupedJoint,
  isGrouped,
  JOINT_HOLDS,
  type JointHold,
  screwsIn,
} from '../../car/document/print';
import type { PartLoad } from '../../car/parts/partShape';
import type { ScrewFailure } from '../../physics/fasteners/definition';
import { groupOfJoint } from '../../worked/parts/groupOfJoint';
import type { Worked } from '../../worked/worked';
import { defineFamily, type Proposal } from '../engine/check';
import { FASTENERS, groupsOf } from './fasteners.face';

declare module '../../base/finding' {
  interface FindingFacts {
    'fasteners.group': {
      screws: number;
      thread: number;
      from: PartLoad['from'];
      force: Measure;
      pull: Measure;
      shear: Measure;
      failsBy: ScrewFailure;
      hold: JointHold;
      /** What is left when the one goes that is missed the most: its margin, or nothing holds. */
      lost?: number | 'nothing';
      how: Finding;
    };
  }
}

/** Every joint whose screws were laid out and loaded, at its worst screw. */
export const fastenerChecks = defineFamily(FASTENERS, (build) =>
  groupsOf(build).map(({ of, ...face }) => ({
    ...face,
    find: ({ document, surface }: Worked) => {
      const joint = nowIn(document, of);
      const found = groupOfJoint(document, surface, joint);
      if (!found.ok) return found;
      const { shared, force, input } = found.value;
      const worst = shared.screws.find(({ id }) => id === shared.worst);
      if (!worst || shared.margin === undefined)
        return { ok: false as const, missing: [`print.joints.${of.id}.group.forceN`] };
      const loss = shared.loss.find(({ lost }) => lost === shared.worstLoss);
      return {
        value: force.forceN * shared.margin,
        limit: force.forceN,
        margin: shared.margin,
        finding: finding('fasteners.group', {
          screws: input.screws.length,
          thread: joint.diameterMm!,
          from: joint.group.from,
          force: measure(force.forceN, 'forceN'),
          pull: measure(worst.tensionN, 'forceN'),
          shear: measure(worst.shearN, 'forceN'),
          failsBy: shared.failsBy!,
          hold: joint.hold ?? 'screwInPlastic',
          ...(loss ? { lost: loss.held ? (loss.margin ?? Infinity) : ('nothing' as const) } : {}),
          how: force.how,
        }),
      };
    },
    remedies: ({ document }: Worked) => remediesOf(nowIn(document, of)),
  })),
);

const nowIn = (document: Worked['document'], of: GroupedJoint): GroupedJoint =>
  (document.print.joints ?? []).filter(isGrouped).find(({ id }) => id === of.id) ?? of;

const [WIDER, LONGER_MM] = [1.4, 4];
/** Threads that are had everywhere, mm. */
const THREADS = [2, 2.5, 3, 4, 5];

/** Held another way, a wider pattern, the next thread, or longer screws. */
function remediesOf(joint: GroupedJoint): Proposal[] {
  const { id, group, hold = 'screwInPlastic', diameterMm, lengthMm } = joint;
  const count = screwsIn(joint);
  const at = (...keys: string[]) => ['print', 'joints', id, ...keys];
  const wider = (['alongMm', 'acrossMm'] as const).flatMap((key): Proposal[] =>
    group[key] === undefined || count === 1
      ? []
      : [
          {
            patch: [{ path: at('group', key), value: Number((WIDER * group[key]).toPrecision(2)) }],
            cost: 2,
          },
        ],
  );
  const next = THREADS.find((one) => one > (diameterMm ?? 0));
  return [
    ...JOINT_HOLDS.filter((one) => one !== hold && one !== 'nutTrap').map((one): Proposal => ({
      patch: [{ path: at('hold'), value: one }],
      cost: 1,
    })),
    ...wider,
    ...(next === undefined ? [] : [{ patch: [{ path: at('diameterMm'), value: next }], cost: 2 as const }]),
    ...(lengthMm === undefined || hold === 'throughBolt'
      ? []
      : [{ patch: [{ path: at('lengthMm'), value: lengthMm + LONGER_MM }], cost: 1 as const }]),
  ];
}
