import { finding, working } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import { forgetMeasured, tyreKeys } from '../../../car/tyres/tyres';
import type { Axle } from '../../../car/stages/stage';
import type { KnownTyreKind, SpinHold, TyreKind } from '../../../physics/tyres/tyreKinds';
import { usualHold } from '../../../physics/tyres/tyreKinds';
import type { TyreSpinResult } from '../../../physics/tyres/tyreSpin';
import { type SpinUse, tyresOfBuild, type TyreTurns } from '../../../worked/drive/tyresOfBuild';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { burstFace, LEAST_MARGIN } from './burst.face';
import type { Worked } from '../../../worked/worked';

declare module '../../../base/finding' {
  interface FindingFacts {
    'tyre.burst.runsAway': { turns: Measure; axle?: Axle; use: SpinUse };
    'tyre.burst.ends': {
      turns: Measure;
      at: Measure;
      by: TyreSpinResult['endsBy'];
      axle?: Axle;
      use: SpinUse;
      proven: boolean;
    };
  }
  interface WorkingFacts {
    'tyre.burst': {
      use: SpinUse;
      rpm: number;
      growthPct?: number;
      by: TyreSpinResult['endsBy'];
      limitRpm: number;
      kind: TyreKind;
      hold: SpinHold;
      proven: boolean;
      margin: number;
    };
  }
}

/** Throttle limit that a remedy sets, over the present one. */
const LESS_THROTTLE = 0.8;
/** The kind that holds the fastest turns. */
const STRONGEST: KnownTyreKind = 'belted';

function tyresIn(subject: Worked) {
  const input = subject.runInput();
  return input.ok ? tyresOfBuild(subject.document, input.value) : input;
}

/** The tyres of each axle, in the air at the no-load speed and on the road at the top speed, against what they withstand. */
export const burst = defineCheck({
  ...burstFace,
  find: (subject): Found => {
    const tyres = tyresIn(subject);
    if (!tyres.ok) return { missing: tyres.missing };
    const [worst] = tyres.value.turns;
    if (!worst) return { missing: ['drive.motor:topSpeed'] };
    const { axles, use, spin, rpm, limitRpm, proven, margin, make } = worst;
    const where = { turns: measure(rpm, 'rpm'), use, ...(axles.length === 1 ? { axle: axles[0]! } : {}) };
    return {
      value: margin,
      limit: LEAST_MARGIN,
      finding:
        spin.runsAway && !proven
          ? finding('tyre.burst.runsAway', where)
          : finding('tyre.burst.ends', {
              ...where,
              by: spin.endsBy,
              at: measure(limitRpm, 'rpm'),
              proven,
            }),
      working: working('tyre.burst', {
        use,
        rpm,
        ...(spin.growthPct === undefined ? {} : { growthPct: spin.growthPct }),
        by: spin.endsBy,
        limitRpm,
        kind: make.kind,
        hold: make.hold ?? usualHold(make),
        proven,
        margin,
      }),
    };
  },
  remedies: (subject) => {
    const tyres = tyresIn(subject);
    const [worst] = tyres.ok ? tyres.value.turns : [];
    const { drive } = subject.document;
    return [
      ...(worst ? tyreRemedies(subject, worst) : []),
      {
        patch: [{ path: ['drive', 'throttleLimit'], value: LESS_THROTTLE * (drive.throttleLimit ?? 1) }],
        cost: 1,
      },
    ];
  },
});

/** Glue where only tightness or screws hold, and a tyre that is built to turn fast. */
function tyreRemedies({ document: { drive } }: Worked, { axles, make, spin }: TyreTurns): Proposal[] {
  const { tyre, hold } = tyreKeys(drive, axles[0]!);
  const glued = usualHold(make);
  return [
    ...(spin.endsBy === 'seat' || spin.endsBy === 'clamp'
      ? [{ patch: [{ path: ['drive', hold, 'by'], value: glued }], cost: 1 as const }]
      : []),
    ...(make.kind === STRONGEST
      ? []
      : [
          {
            patch: [{ path: ['drive', tyre, 'ring'], value: STRONGEST }, ...forgetMeasured(drive, hold)],
            cost: 2 as const,
          },
        ]),
  ];
}
