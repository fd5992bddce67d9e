import { type Measure, measure } from '../../../base/measure';
import type { Shaft } from '../../../car/document/drive';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { atShaft, onShafts, weakestOf } from './onShafts';
import { shaftWhirlFace } from './shaftWhirl.face';

declare module '../../../base/finding' {
  interface FindingFacts {
    'shaft.whirl': { span: Measure; whips: Measure; turns: Measure };
  }
  interface WorkingFacts {
    'shaft.whirl': {
      diameterMm: number;
      boreMm?: number;
      spanMm: number;
      material: string;
      whirlRpm: number;
      maxRpm: number;
    };
  }
}

const isLong = ({ kind }: Shaft) => kind === 'long';
/** A tube in place of a rod: its diameter over the rod's, and its wall, mm. */
const [TUBE, WALL_MM] = [1.5, 1];

/** A long shaft's whirling speed against the fastest it turns. */
export const shaftWhirl = defineCheck({
  ...shaftWhirlFace,
  find: (subject): Found => {
    const found = onShafts(subject, isLong);
    if ('missing' in found)
      return { missing: found.missing.map((one) => (one === 'drive.shafts' ? `${one}:long` : one)) };
    const { shaft, result, maxRpm, spanMm } = weakestOf(found, (one) => one.result.whirlMargin);
    return {
      value: result.whirlRpm!,
      limit: maxRpm!,
      finding: finding('shaft.whirl', {
        span: measure(spanMm!, 'lengthMm'),
        whips: measure(result.whirlRpm!, 'rpm'),
        turns: measure(maxRpm!, 'rpm'),
      }),
      working: working('shaft.whirl', {
        diameterMm: shaft.diameterMm!,
        ...(shaft.boreMm ? { boreMm: shaft.boreMm } : {}),
        spanMm: spanMm!,
        material: shaft.material!.name,
        whirlRpm: result.whirlRpm!,
        maxRpm: maxRpm!,
      }),
    };
  },
  remedies: (subject): Proposal[] => {
    const found = onShafts(subject, isLong);
    if ('missing' in found) return [];
    const { shaft } = weakestOf(found, (one) => one.result.whirlMargin);
    const diameterMm = Math.ceil(TUBE * shaft.diameterMm!);
    return [
      ...(shaft.halves
        ? []
        : [{ patch: [{ path: atShaft(shaft, 'halves'), value: true }], cost: 2 as const }]),
      {
        patch: [
          { path: atShaft(shaft, 'diameterMm'), value: diameterMm },
          { path: atShaft(shaft, 'boreMm'), value: diameterMm - 2 * WALL_MM },
        ],
        cost: 2,
      },
    ];
  },
});
