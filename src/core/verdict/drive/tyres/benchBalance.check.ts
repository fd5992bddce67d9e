import { finding } from '../../../base/finding';
import { RAD_PER_S_PER_RPM } from '../../../base/constants';
import { type Measure, measure } from '../../../base/measure';
import { tyreAt } from '../../../car/tyres/tyres';
import type { Wheel } from '../../../car/records/wheels';
import { balanceOfRun, FAST_WHEEL_GRADE_MMPS } from '../../../worked/bench/balanceOfRun';
import { rpmOf } from '../../../base/units/convert';
import { factorAt } from '../../../physics/motion/plant';
import { driveRun } from '../../../physics/motion/run';
import { worked } from '../../../worked/worked';
import { defineRecordCheck } from '../../engine/check';
import { type BuildOnRecord, ownRuns } from '../../engine/onRecord';

declare module '../../../base/finding' {
  interface FindingFacts {
    'bench.balance': { wheel?: Wheel; turns: Measure; left: number; allowed: number; corrected: boolean };
  }
}

const TIGHT_UNDER = 1.3;

/** The last balance of each wheel; of wheels that are not named the last. */
const balanced = (record: BuildOnRecord) => {
  const last = new Map<Wheel | 'some', NonNullable<ReturnType<typeof residualOf>>>();
  for (const { report } of ownRuns(record)) {
    const left = residualOf(report?.balance);
    if (left) last.set(report!.balance!.wheel ?? 'some', left);
  }
  return [...last.values()].sort((one, other) => other.residualGmm - one.residualGmm);
};

function residualOf(measured: Parameters<typeof balanceOfRun>[0]) {
  const told = balanceOfRun(measured);
  if (!told?.ok) return undefined;
  const { residualGmm, imbalanceGmm } = told.value;
  return {
    residualGmm: residualGmm ?? imbalanceGmm,
    corrected: residualGmm !== undefined,
    massG: measured!.massG,
    wheel: measured!.wheel,
  };
}

/** What is left of a wheel's imbalance against what a fast wheel may have at the top speed. */
export const benchBalance = defineRecordCheck({
  id: 'bench.balance',
  at: { segment: 'drive', side: 'tyres' },
  quantity: 'coefficient',
  kind: 'ceiling',
  applies: (record) => balanced(record).length > 0,
  find: (record) => {
    const { document } = record;
    const [worst] = balanced(record);
    const massG = worst!.massG ?? tyreAt(document.drive, 'rear')?.massG;
    const rpms = document.brief.surfaces.flatMap((surface) => {
      const input = worked(document, surface).runInput();
      const top = input.ok ? driveRun(input.value).topSpeedMps : undefined;
      if (!input.ok || !top) return [];
      const { grown, radiusMm } = input.value.tyre;
      return [rpmOf(top, ((grown ? factorAt(grown, top) : 1) * radiusMm) / 1000)];
    });
    if (massG === undefined) return { missing: ['drive.tyre'] };
    if (rpms.length === 0) return { missing: ['drive.motor:topSpeed'] };
    const rpm = Math.max(...rpms);
    // e·ω ≤ grade: g·mm over g, times rad/s
    const allowedGmm = (FAST_WHEEL_GRADE_MMPS / (rpm * RAD_PER_S_PER_RPM)) * massG;
    const margin = allowedGmm / worst!.residualGmm;
    return {
      value: worst!.residualGmm,
      limit: allowedGmm,
      margin,
      state: margin < 1 ? 'over' : margin < TIGHT_UNDER ? 'tight' : 'clear',
      finding: finding('bench.balance', {
        ...(worst!.wheel ? { wheel: worst!.wheel } : {}),
        turns: measure(rpm, 'rpm'),
        left: worst!.residualGmm,
        allowed: allowedGmm,
        corrected: worst!.corrected,
      }),
    };
  },
});
