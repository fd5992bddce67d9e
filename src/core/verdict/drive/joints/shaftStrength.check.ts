import { type Measure, measure } from '../../../base/measure';
import type { Shaft } from '../../../car/document/drive';
import type { BentBy } from '../../../worked/drive/shaftOfBuild';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import type { TorqueBy } from '../gears/onTeeth';
import { atShaft, onShafts, weakestOf } from './onShafts';
import { shaftStrengthFace } from './shaftStrength.face';

declare module '../../../base/finding' {
  interface FindingFacts {
    'shaft.strength': TorqueBy & {
      kind: Shaft['kind'];
      diameter: Measure;
      material: string;
      bent?: { by: BentBy; force: Measure; out: Measure };
      stress: Measure;
      strength: Measure;
    };
  }
  interface WorkingFacts {
    'shaft.strength': {
      forceN: number;
      overhangMm: number;
      torqueNm: number;
      bendingMpa: number;
      shearMpa: number;
      vonMisesMpa: number;
      strengthMpa: number;
    };
  }
}

/** Margin that a remedy aims at. */
const AIM = 1.4;
const ALL = () => true;
/** A shaft is made no thicker than this many times: then it is another car. */
const MOST_TIMES = 3;
/** An axle's bearing is moved no closer than this, mm. */
const CLOSEST_MM = 4;

/** Axles and long shafts, bent and twisted at once. */
export const shaftStrength = defineCheck({
  ...shaftStrengthFace,
  find: (subject): Found => {
    const found = onShafts(subject, ALL);
    if ('missing' in found) return found;
    const { shaft, result, torque, forceN, bentBy } = weakestOf(found, (one) => one.result.margin);
    if (result.margin === undefined) return { missing: ['drive.shafts:load'] };
    const strengthMpa = shaft.material!.inPlaneStrengthMpa;
    return {
      value: result.margin,
      limit: 1,
      finding: finding('shaft.strength', {
        kind: shaft.kind,
        diameter: measure(shaft.diameterMm!, 'fitMm'),
        material: shaft.material!.name,
        torque: measure(torque.torqueNm, 'torqueNm'),
        by: torque.by,
        ...(bentBy
          ? {
              bent: {
                by: bentBy,
                force: measure(forceN, 'forceN'),
                out: measure(shaft.overhangMm!, 'lengthMm'),
              },
            }
          : {}),
        stress: measure(result.vonMisesMpa, 'stressMpa'),
        strength: measure(strengthMpa, 'stressMpa'),
      }),
      working: working('shaft.strength', {
        forceN,
        overhangMm: shaft.overhangMm ?? 0,
        torqueNm: torque.torqueNm,
        bendingMpa: result.bendingStressMpa,
        shearMpa: result.shearStressMpa,
        vonMisesMpa: result.vonMisesMpa,
        strengthMpa,
      }),
    };
  },
  remedies: (subject): Proposal[] => {
    const found = onShafts(subject, ALL);
    if ('missing' in found) return [];
    const { shaft, result } = weakestOf(found, (one) => one.result.margin);
    if (!result.margin) return [];
    const diameter = Math.ceil(2 * shaft.diameterMm! * (AIM / result.margin) ** (1 / 3)) / 2;
    return [
      ...(diameter > shaft.diameterMm! && diameter <= MOST_TIMES * shaft.diameterMm!
        ? [{ patch: [{ path: atShaft(shaft, 'diameterMm'), value: diameter }], cost: 2 as const }]
        : []),
      ...(shaft.kind === 'axle' && shaft.overhangMm! > CLOSEST_MM
        ? [
            {
              patch: [{ path: atShaft(shaft, 'overhangMm'), value: shaft.overhangMm! / 2 }],
              cost: 3 as const,
            },
          ]
        : []),
    ];
  },
});
