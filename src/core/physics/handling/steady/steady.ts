import { GRAVITY } from '../../../base/constants';
import { refusal } from '../../../base/errors';
import { type Finding, finding } from '../../../base/finding';
import { measure, type Measure } from '../../../base/measure';
import type { OperationFinding } from '../../../base/operationFinding';
import { type Axles, axlesAt } from './axles';
import { balanceAt } from './balance';
import { effectsOf } from './changes';
import { type Both, type End, ENDS, type SteadyInput, type SteadyResult, type SteadyRow } from './definition';
import { type Setup, setupOf } from './setup';
import { lightSpeed, lowestUnstable } from './speeds';

declare module '../../../base/finding' {
  interface FindingFacts {
    'note.steady.unstable': { speed: Measure; doubling?: Measure };
    'note.steady.noGripLeft': { end: End };
    'note.steady.light': { end: End; load: Measure; ofWeight: Measure };
    'note.steady.rearFirst': { lateral: Measure };
    'note.steady.unstableSoon': { speed: Measure; from: Measure };
    'note.steady.oneTyre': Record<never, never>;
    'note.steady.neverLight': { ends: End[]; searched: Measure };
    'note.steady.alwaysStable': { searched: Measure };
    'note.steady.noTurn': Record<never, never>;
  }
}

declare module '../../../base/errors' {
  interface RefusalFacts {
    'steady.sweepBackward': Record<never, never>;
    'steady.sweepRows': { most: number };
  }
}

const [USUAL_LIGHT_SHARE, USUAL_SEARCH_MPS, MOST_ROWS] = [0.5, 100, 5000];
const NEAR = 1.3;

/**
 * Balance and damping of a car straight ahead: loads, grip across, under- or oversteer, how a disturbance dies away, and the
 * speeds at which an axle goes light or the car is no longer steady.
 *
 * @returns forces in N, speeds in m/s, understeer in degrees of the front wheels over m/s²
 * @throws CalcError at `driveFrontShare`, `air.centreOfPressureXMm`, `sweep` or `changes.k`
 * @see Gillespie, ch. 6; Milliken and Milliken, ch. 5; Pacejka, Tyre and Vehicle Dynamics, ch. 1
 */
export function handlingSteady(input: SteadyInput): SteadyResult {
  const { speedMps, lightShare = USUAL_LIGHT_SHARE, searchMps = USUAL_SEARCH_MPS } = input;
  const setup = setupOf(input);
  const axles = axlesAt(setup, speedMps);
  const balance = balanceAt(setup, speedMps, axles);
  const light = Object.fromEntries(
    ENDS.map((end) => [end, lightSpeed(setup, end, lightShare, searchMps)]),
  ) as Partial<Both>;
  const unstable = lowestUnstable(setup, searchMps);
  const notLight = ENDS.filter((end) => light[end] === undefined);
  const searched = measure(searchMps, 'speedMps', 3);
  return {
    ...balance,
    axleLoadsN: ofBoth(axles, 'loadN'),
    corneringNPerRad: ofBoth(axles, 'corneringNPerRad'),
    longitudinalN: ofBoth(axles, 'longitudinalN'),
    gripUseShare: ofBoth(axles, 'use'),
    ...(light.front === undefined ? {} : { frontLightMps: light.front }),
    ...(light.rear === undefined ? {} : { rearLightMps: light.rear }),
    ...(unstable === undefined ? {} : { lowestUnstableMps: unstable }),
    ...(input.sweep ? { sweep: speedsOf(input.sweep).map((speed) => rowAt(setup, speed)) } : {}),
    changes: effectsOf(input, setup, balance, searchMps),
    findings: findingsOf(setup, axles, balance, { speedMps, lightShare, unstable }),
    notes: [
      finding('note.steady.oneTyre', {}),
      ...(notLight.length ? [finding('note.steady.neverLight', { ends: notLight, searched })] : []),
      ...(unstable === undefined ? [finding('note.steady.alwaysStable', { searched })] : []),
      ...(balance.understeerDegPerMps2 === undefined ? [finding('note.steady.noTurn', {})] : []),
    ] satisfies Finding[],
  };
}

const ofBoth = (axles: Axles, what: keyof Axles['front']): Both => ({
  front: axles.front[what],
  rear: axles.rear[what],
});

function speedsOf({ fromMps, toMps, stepMps }: NonNullable<SteadyInput['sweep']>): number[] {
  if (toMps < fromMps) throw refusal('sweep.toMps', 'steady.sweepBackward');
  if ((toMps - fromMps) / stepMps > MOST_ROWS)
    throw refusal('sweep.stepMps', 'steady.sweepRows', { most: MOST_ROWS });
  const count = Math.max(0, Math.ceil((toMps - fromMps) / stepMps - 1e-9));
  return [...Array.from({ length: count }, (_, k) => fromMps + k * stepMps), toMps];
}

function rowAt(setup: Setup, speed: number): SteadyRow {
  const axles = axlesAt(setup, speed);
  const {
    yawGainPerS: _gain,
    understeerDegPerGee: _gee,
    naturalHz: _natural,
    doublingTimeS: _doubling,
    axleLimitsMps2: _limits,
    ...row
  } = balanceAt(setup, speed, axles);
  return { speedMps: speed, frontLoadN: axles.front.loadN, rearLoadN: axles.rear.loadN, ...row };
}

function findingsOf(
  { massKg, frontLoadShare }: Setup,
  axles: Axles,
  balance: ReturnType<typeof balanceAt>,
  { speedMps, lightShare, unstable }: { speedMps: number; lightShare: number; unstable: number | undefined },
): OperationFinding[] {
  const speed = measure(speedMps, 'speedMps');
  const weightOf = { front: frontLoadShare, rear: 1 - frontLoadShare };
  const doubling = balance.doublingTimeS;
  return [
    ...(balance.stable
      ? []
      : [
          {
            severity: 'over' as const,
            about: 'stability',
            why: finding('note.steady.unstable', {
              speed,
              ...(doubling === undefined ? {} : { doubling: measure(doubling, 'timeS') }),
            }),
          },
        ]),
    ...ENDS.filter((end) => axles[end].use === 1).map((end) => ({
      severity: 'over' as const,
      about: end,
      why: finding('note.steady.noGripLeft', { end }),
    })),
    ...ENDS.flatMap((end) => {
      const share = axles[end].loadN / (massKg * GRAVITY * weightOf[end]);
      return share < lightShare
        ? [
            {
              severity: 'tight' as const,
              about: end,
              why: finding('note.steady.light', {
                end,
                load: measure(axles[end].loadN, 'forceN'),
                ofWeight: measure(share, 'share', 2),
              }),
            },
          ]
        : [];
    }),
    ...(balance.stable && unstable !== undefined && unstable < NEAR * speedMps
      ? [
          {
            severity: 'tight' as const,
            about: 'stability',
            why: finding('note.steady.unstableSoon', { speed, from: measure(unstable, 'speedMps') }),
          },
        ]
      : []),
    ...(balance.letsGoFirst === 'rear'
      ? [
          {
            severity: 'note' as const,
            about: 'rear',
            why: finding('note.steady.rearFirst', { lateral: measure(balance.maxLateralMps2, 'accelMps2') }),
          },
        ]
      : []),
  ];
}
