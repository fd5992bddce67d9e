import type { CheckDefinition } from '../engine/check';
import { tyreSpin } from '../../physics/tyres/tyreSpin';
import { plain } from '../../base/units/plain';
import { rpmOf } from '../../base/units/convert';
import { createPlant, noLoadMps } from '../../physics/motion/plant';

const LEAST_MARGIN = 1.3;
/** Margin under which nobody should stand near it. */
const SAFE_MARGIN = 2;

const burst: CheckDefinition = {
  id: 'tyre.burst',
  segment: 'drive',
  title: 'Tyre, wheels in the air',
  short: 'tyre burst',
  anySurface: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: SAFE_MARGIN / LEAST_MARGIN,
  evaluate: (subject) => {
    const { tyre } = subject.document.drive;
    const input = subject.runInput();
    const missing = [
      ...(input.ok ? [] : input.missing),
      ...(tyre && !tyre.ring ? ['how the tyre is built'] : []),
    ];
    if (missing.length > 0 || !input.ok || !tyre?.ring) return { missing };
    const rpm = rpmOf(noLoadMps(createPlant(input.value)), tyre.radiusMm / 1000);
    const spin = tyreSpin({ kind: tyre.ring, radiusMm: tyre.radiusMm, rpm });
    const ends = spin.endsBy === 'burst' ? 'bursts' : 'grows without end';
    return {
      value: spin.margin ?? 0,
      limit: LEAST_MARGIN,
      why: spin.runsAway
        ? `At ${plain(rpm)} rpm, wheels in the air, it grows without end.`
        : `It turns ${plain(rpm)} rpm in the air and ${ends} at ${plain(spin.limitRpm)} rpm.`,
      working: [
        {
          label: 'Wheel in the air',
          formula: 'no-load speed of the motor over the ratio',
          value: rpm,
          quantity: 'rpm',
        },
        {
          label: 'Growth',
          formula: 'r = r₀·(1 + ρ·ω²·r²/E), the smaller root',
          value: spin.growthPct ?? 0,
          quantity: 'percent',
          source: 'Timoshenko, Strength of Materials, part II (rotating ring)',
        },
        {
          label: spin.endsBy === 'burst' ? 'Bursts at' : 'Runs away at',
          formula: `${tyre.ring}, typical figures`,
          value: spin.limitRpm,
          quantity: 'rpm',
        },
        {
          label: 'Margin',
          formula: 'the lesser of strength over hoop stress and the square of the speeds’ ratio',
          value: spin.margin ?? 0,
          quantity: 'coefficient',
        },
      ],
    };
  },
  propose: ({ document }) => {
    const { tyre, throttleLimit = 1 } = document.drive;
    if (!tyre?.ring) return [];
    return [
      ...(tyre.ring === 'belted'
        ? []
        : [
            {
              text: 'Belted tyres of the same size',
              patch: [{ path: ['drive', 'tyre', 'ring'], value: 'belted' }],
              cost: 2 as const,
            },
          ]),
      {
        text: `Throttle limited to ${plain(80 * throttleLimit)} %`,
        patch: [{ path: ['drive', 'throttleLimit'], value: 0.8 * throttleLimit }],
        cost: 1,
      },
    ];
  },
};

export const tyreChecks: readonly CheckDefinition[] = [burst];
