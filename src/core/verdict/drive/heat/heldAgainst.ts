import { enduranceOf } from '../../../worked/heat/enduranceOf';
import { type Measure, measure } from '../../../base/measure';
import type { BuildDocument } from '../../../car/document/document';
import { driveStandstill } from '../../../physics/heat/standstill';
import type { Body } from '../../../physics/cooling/airflow';
import { CONTROLLER_COOLINGS, USUAL_CONTROLLER_COOLING } from '../../../physics/cooling/controllerCooling';
import type { ThermalDefinition } from '../../../physics/heat/thermal';
import { type HeatFacts, heatFacts } from '../../../worked/heat/heatFacts';
import { onSteepest } from '../../../worked/motion/standstillOfBuild';
import { rewound } from '../../../worked/heat/rewind';
import { sinkOf, smallestSink } from '../../../worked/heat/smallestSink';
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

/** What the rise of a pack leaves of the rise that is allowed. */
export const marginOfRise = (limitC: number, peakC: number, ambientC: number): number =>
  (limitC - ambientC) / Math.max(LEAST_RISE_K, peakC - ambientC);

/** The rise of a whole pack against the rise that a limit leaves. */
export function heldAgainst(
  subject: Worked,
  node: 'case' | 'winding',
  limitOf: (pack: WholePack) => number,
  tell: (pack: WholePack) => Finding,
): Found {
  const found = enduranceOf(subject);
  if (!found.ok) return found;
  const { unlimited, input } = found.value;
  const { ambientC } = input.thermal;
  const limit = limitOf(found.value);
  if (unlimited.durationS === 0) return standing(subject, node, { ...input.thermal, caseLimitC: limit });
  const value = node === 'case' ? unlimited.peakCaseC : unlimited.peakWindingC;
  return {
    value,
    limit,
    margin: marginOfRise(limit, value, ambientC),
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

/** Ways to make it cooler: a sink that is large enough, the wind let in, both ways of gearing, and an easier duty. */
export function coolerBy(subject: Worked, isEnough: (pack: WholePack) => boolean): Proposal[] {
  const { document, standstill } = subject;
  if (standstill()?.outcome === 'stalls') return gearing(document, 'shorter');
  return [
    ...largerSink(subject, isEnough),
    ...openUp(subject),
    ...gearing(document, 'longer', 'shorter'),
    ...slowerMotor(document),
    ...easier(subject),
  ];
}

/** The smallest sink with which the pack stays clear, where the motor has none or a smaller one. */
function largerSink({ document, surface }: Worked, isEnough: (pack: WholePack) => boolean): Proposal[] {
  const finMm = surface && smallestSink(document, surface, isEnough, document.drive.heat?.sinkFinMm);
  return finMm === undefined ? [] : [{ patch: sinkOf(finMm), cost: 1 }];
}

/** The same for a controller: every better way of cooling it, and less to do. */
export function coolerController(subject: Worked): Proposal[] {
  const { power } = subject.document;
  const { cooling = USUAL_CONTROLLER_COOLING } = power.controller ?? {};
  const better = CONTROLLER_COOLINGS.slice(CONTROLLER_COOLINGS.indexOf(cooling) + 1);
  return [
    ...better.map((value) => ({
      patch: [{ path: ['power', 'controller', 'cooling'], value }],
      cost: 1 as const,
    })),
    ...openUp(subject),
    ...gearing(subject.document, 'shorter', 'longer'),
    ...easier(subject),
  ];
}

/** A closed body opened, or a duct in place of what lets less wind to the motor. */
function openUp({ document }: Worked): Proposal[] {
  const { body = 'open' } = document.drive.heat ?? {};
  const better = OPENER[body];
  return better.map((value) => ({ patch: edit('body', value), cost: 1 }));
}

const OPENER: Readonly<Record<Body, readonly Body[]>> = {
  closed: ['vents', 'open'],
  vents: ['duct'],
  open: ['duct'],
  duct: [],
};

function easier({ document }: Worked): Proposal[] {
  return document.drive.heat?.duty === 'steady' ? [] : [{ patch: edit('duty', 'steady'), cost: 3 }];
}

/** Constant of a slower motor of the same size, over the present one's. */
const SLOWER = 0.8;

function slowerMotor({ drive: { motor } }: BuildDocument): Proposal[] {
  return motor ? [{ patch: [{ path: ['drive', 'motor'], value: rewound(motor, SLOWER) }], cost: 2 }] : [];
}
