import { type Measure, measure } from '../../../base/measure';
import { rpmOf } from '../../../base/units/convert';
import { createPlant, noLoadMps } from '../../../physics/motion/plant';
import { tyreSpin } from '../../../physics/tyres/tyreSpin';
import { defineCheck, type Found } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'tyre.burst.runsAway': { turns: Measure };
    'tyre.burst.ends': { turns: Measure; by: 'burst' | 'growth'; at: Measure };
  }
  interface WorkingFacts {
    'tyre.burst': {
      rpm: number;
      growthPct: number;
      by: 'burst' | 'growth';
      limitRpm: number;
      ring: string;
      margin: number;
    };
  }
}

const LEAST_MARGIN = 1.3;
/** Margin under which nobody should stand near it. */
const SAFE_MARGIN = 2;
/** Throttle limit that a remedy sets, over the present one. */
const LESS_THROTTLE = 0.8;

/** A tyre at the no-load speed, wheels in the air, against what it withstands. */
export const burst = defineCheck({
  id: 'tyre.burst',
  at: { segment: 'drive', side: 'tyres' },
  anySurface: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: SAFE_MARGIN / LEAST_MARGIN,
  find: (subject): Found => {
    const { tyre } = subject.document.drive;
    const input = subject.runInput();
    const missing = [...(input.ok ? [] : input.missing), ...(tyre && !tyre.ring ? ['drive.tyre.ring'] : [])];
    if (missing.length > 0 || !input.ok || !tyre?.ring) return { missing };
    const rpm = rpmOf(noLoadMps(createPlant(input.value)), tyre.radiusMm / 1000);
    const spin = tyreSpin({ kind: tyre.ring, radiusMm: tyre.radiusMm, rpm });
    const turns = measure(rpm, 'rpm');
    const by = spin.endsBy === 'burst' ? ('burst' as const) : ('growth' as const);
    return {
      value: spin.margin ?? 0,
      limit: LEAST_MARGIN,
      finding: spin.runsAway
        ? finding('tyre.burst.runsAway', { turns })
        : finding('tyre.burst.ends', { turns, by, at: measure(spin.limitRpm, 'rpm') }),
      working: working('tyre.burst', {
        rpm,
        growthPct: spin.growthPct ?? 0,
        by,
        limitRpm: spin.limitRpm,
        ring: tyre.ring,
        margin: spin.margin ?? 0,
      }),
    };
  },
  remedies: ({ document: { drive } }) => [
    ...(drive.tyre?.ring === undefined || drive.tyre.ring === 'belted'
      ? []
      : [{ patch: [{ path: ['drive', 'tyre', 'ring'], value: 'belted' }], cost: 2 as const }]),
    {
      patch: [{ path: ['drive', 'throttleLimit'], value: LESS_THROTTLE * (drive.throttleLimit ?? 1) }],
      cost: 1,
    },
  ],
  provenBy: { run: 'tyreSpin', how: 'spinBehindShield' },
  supports: ['tyreGrowth'],
});
