import { CalcError } from '../../../base/errors';
import { finding } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import type { MotorKind } from '../../../car/document/power';
import { frictionOf } from '../../../worked/transmissions/frictionOfBuild';
import { defineRecordCheck } from '../../engine/check';
import { type BuildOnRecord, ownRuns } from '../../engine/onRecord';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.start': { times: Measure; takes: Measure; kind: MotorKind };
  }
}

/** Under which it is tight; a motor without sensors starts blind. */
const TIGHT_UNDER: Readonly<Record<MotorKind, number>> = { brushed: 1.5, sensored: 1.5, sensorless: 2 };

const pulled = (record: BuildOnRecord) =>
  ownRuns(record)
    .filter(({ report }) => (report?.friction?.pulls ?? []).length > 0)
    .at(-1);

/** What the motor starts with against the friction that was measured and the ground, at worst. */
export const start = defineRecordCheck({
  id: 'drive.start',
  at: { segment: 'drive', side: 'run' },
  quantity: 'coefficient',
  kind: 'floor',
  applies: (record) => pulled(record) !== undefined,
  find: (record) => {
    const { document } = record;
    const { friction } = pulled(record)!.report!;
    const found = document.brief.surfaces.flatMap((surface) => {
      try {
        const one = frictionOf(document, surface, friction!);
        return one.ok ? [one.value.found] : [];
      } catch (error) {
        if (error instanceof CalcError) return [];
        throw error;
      }
    });
    const worst = found
      .filter(({ startMarginLow }) => startMarginLow !== undefined)
      .sort((a, b) => a.startMarginLow! - b.startMarginLow!)[0];
    if (!worst) return { missing: ['drive.motor'] };
    const margin = worst.startMarginLow!;
    const kind = document.drive.motor?.kind ?? 'sensored';
    return {
      value: margin,
      limit: 1,
      margin,
      state: margin < 1 ? 'over' : margin < TIGHT_UNDER[kind] ? 'tight' : 'clear',
      finding: finding('drive.start', {
        times: measure(margin, 'coefficient', 3),
        takes: measure(worst.shareOfStall!, 'share', 2),
        kind,
      }),
    };
  },
});
