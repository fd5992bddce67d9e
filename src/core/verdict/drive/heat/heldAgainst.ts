import { type Measure, measure } from '../../../base/measure';
import type { BuildDocument } from '../../../car/document/document';
import { driveStandstill } from '../../../physics/heat/standstill';
import type { ThermalDefinition } from '../../../physics/heat/thermal';
import { type HeatFacts, heatFacts } from '../../../worked/heat/heatFacts';
import { onSteepest } from '../../../worked/motion/standstillOfBuild';
import { rewound } from '../../../worked/heat/rewind';
import type { Worked } from '../../../worked/worked';
import type { WholePack } from '../../../worked/heat/wholePack';
import type { Found, Proposal } from '../../engine/check';
import { finding, type Finding, working } from '../../../base/finding';
import { gearing } from '../gearing';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.heat.spins': Record<never, never>;
    'drive.heat.held': { of: 'case' | 'winding'; limit: Measure; after: Measure };
    'drive.heat.heldForEver': { of: 'case' | 'winding'; limit: Measure };
  }
  interface WorkingFacts {
    'drive.heat': HeatFacts;
  }
}

/** A rise so small that it is no rise, K. */
const LEAST_RISE_K = 0.1;

/** The rise of a whole pack against the rise that a limit leaves. */
export function heldAgainst(
  subject: Worked,
  node: 'case' | 'winding',
  limitOf: (pack: WholePack) => number,
  tell: (pack: WholePack) => Finding,
): Found {
  const found = subject.endurance();
  if (!found.ok) return found;
  const { unlimited, input } = found.value;
  const { ambientC } = input.thermal;
  const limit = limitOf(found.value);
  if (unlimited.durationS === 0) return standing(subject, node, { ...input.thermal, caseLimitC: limit });
  const value = node === 'case' ? unlimited.peakCaseC : unlimited.peakWindingC;
  return {
    value,
    limit,
    margin: (limit - ambientC) / Math.max(LEAST_RISE_K, value - ambientC),
    finding: tell(found.value),
    working: working('drive.heat', heatFacts(input, unlimited)),
  };
}

/** A car that does not move: spinning tyres are no load on the motor; one that is held burns, unless it is weak. */
function standing(subject: Worked, node: 'case' | 'winding', thermal: ThermalDefinition): Found {
  const input = subject.runInput();
  if (!input.ok) return input;
  const free = { state: 'clear', margin: 1e6 } as const;
  if (subject.standstill()?.outcome === 'spins') return { ...free, finding: finding('drive.heat.spins', {}) };
  const steepest = onSteepest(subject.document, input.value);
  const [held] = driveStandstill({ ...steepest, thermal, throttles: [1] }).holdCurve;
  const limitC = node === 'case' ? thermal.caseLimitC! : thermal.windingLimitC!;
  const limit = measure(limitC, 'temperatureC');
  const afterS = node === 'case' ? held!.caseLimitS : held!.windingLimitS;
  return afterS === undefined
    ? { ...free, finding: finding('drive.heat.heldForEver', { of: node, limit }) }
    : {
        state: 'over',
        margin: 0,
        finding: finding('drive.heat.held', { of: node, limit, after: measure(afterS, 'timeS') }),
      };
}

const edit = (key: string, value: unknown): Proposal['patch'] => [{ path: ['drive', 'heat', key], value }];

/** Ways to make it cooler: both ways of gearing, cooling, and an easier duty. */
export function coolerBy({ document, standstill }: Worked): Proposal[] {
  const { housing = document.drive.motor?.housing, body = 'open', duty } = document.drive.heat ?? {};
  if (standstill()?.outcome === 'stalls') return gearing(document, 'shorter');
  return [
    ...(housing === 'heatsink' ? [] : [{ patch: edit('housing', 'heatsink'), cost: 1 as const }]),
    ...(body === 'closed' ? [{ patch: edit('body', 'open'), cost: 1 as const }] : []),
    ...gearing(document, 'longer', 'shorter'),
    ...slowerMotor(document),
    ...(duty === 'steady' ? [] : [{ patch: edit('duty', 'steady'), cost: 3 as const }]),
  ];
}

/** Constant of a slower motor of the same size, over the present one's. */
const SLOWER = 0.8;

function slowerMotor({ drive: { motor } }: BuildDocument): Proposal[] {
  return motor ? [{ patch: [{ path: ['drive', 'motor'], value: rewound(motor, SLOWER) }], cost: 2 }] : [];
}
