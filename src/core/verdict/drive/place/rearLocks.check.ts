import { finding, working } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import type { BuildDocument } from '../../../car/document/document';
import type { LockFirst } from '../../../physics/braking/lockFirst';
import { lockOf } from '../../../worked/place/placeOfBuild';
import { brakesOf } from '../../../worked/track/brakesOfBuild';
import { lowered } from '../../chassis/onStanding';
import { defineCheck, type Proposal } from '../../engine/check';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.brake.stands': Record<never, never>;
    'drive.brake.rear': { at: Measure; from: Measure; over: boolean };
    'drive.brake.first': { lock: Exclude<LockFirst, 'rear'>; at?: Measure };
  }
  interface WorkingFacts {
    'drive.brake': { fromMps: number; atShare: number };
  }
}

/** How much of the brake the rear axle bears where it locks before the front: a car that slides at the rear turns about. */
export const rearLocks = defineCheck({
  id: 'drive.brake',
  at: { segment: 'drive', side: 'place' },
  quantity: 'share',
  kind: 'floor',
  tightUnder: 1.15,
  applies: ({ brief, drive }) => drive.brakes !== undefined || brief.place !== undefined,
  find: ({ document, surface }) => {
    const found = lockOf(document, surface);
    if (!found.ok) return found;
    if (!found.value) return { state: 'clear', finding: finding('drive.brake.stands', {}) };
    const { fromMps, lock, atShare } = found.value;
    const at = atShare === undefined ? undefined : measure(atShare, 'share', 2);
    const facts = atShare === undefined ? {} : { working: working('drive.brake', { fromMps, atShare }) };
    if (lock !== 'rear' || at === undefined)
      return {
        state: 'clear',
        finding: finding('drive.brake.first', {
          lock: lock === 'rear' ? 'none' : lock,
          ...(at === undefined ? {} : { at }),
        }),
        ...facts,
      };
    return {
      value: atShare!,
      limit: 1,
      finding: finding('drive.brake.rear', { at, from: measure(fromMps, 'speedMps'), over: atShare! < 1 }),
      ...facts,
    };
  },
  remedies: (subject): Proposal[] => {
    const found = lockOf(subject.document, subject.surface);
    const atShare = found.ok ? found.value?.atShare : undefined;
    if (atShare === undefined) return [];
    return [
      ...gentler(subject.document, atShare / ROOM),
      ...allWheels(subject.document),
      ...lowered(subject),
    ];
  },
  provenBy: { run: 'stopping', how: 'brakeOnOpenGround' },
  supports: [],
});

/** Left between a brake and the one that locks. */
const ROOM = 1.2;

/** The brakes that act at the rear, weaker; what the closed throttle brakes with goes along. */
function gentler(document: BuildDocument, factor: number): Proposal[] {
  const { motorShare = 0, dragShare = 0, mechanicalRearNm = 0 } = brakesOf(document);
  if (factor >= 1) return [];
  const eased = (value: number) => Math.floor(100 * factor * value) / 100;
  const set = (key: string, value: number) => ({ path: ['drive', 'brakes', key], value });
  const atRear = document.drive.drivenAxles !== 'front';
  const patch = [
    ...(atRear && motorShare > 0 ? [set('motorShare', eased(motorShare))] : []),
    ...(atRear && dragShare > 0 ? [set('dragShare', eased(dragShare))] : []),
    ...(mechanicalRearNm > 0 ? [set('mechanicalRearNm', eased(mechanicalRearNm))] : []),
  ];
  return patch.length > 0 ? [{ patch, cost: 1 }] : [];
}

const allWheels = ({ drive }: BuildDocument): Proposal[] =>
  drive.drivenAxles === 'rear'
    ? [{ patch: [{ path: ['drive', 'drivenAxles'], value: 'all' }], cost: 3 }]
    : [];
