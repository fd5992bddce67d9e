import { AIR_DENSITY, airDensityAt } from '@/core/base/constants';
import type { TimedRun } from '@/core/car/records/records';
import { cellCharge } from '@/core/physics/motion/cell';
import type { Measured } from '@/core/worked/field/measured';
import { FIGURE_NAMES } from '../learn/calibration';
import type { Writer } from '../write';
import type { WorkingStep } from '../workingStep';

const GUM = 'JCGM 100, 5.1';

/** How the mean of a run and its error come about. */
export function workingMeasured(
  { conditions }: Pick<TimedRun, 'conditions'>,
  { attempts, speed, speedErrorMps }: Measured,
  { q, n }: Writer,
): WorkingStep[] {
  const root = Math.sqrt(attempts.length);
  const timing = Math.hypot(...attempts.map(({ errorPct }) => errorPct / 100)) / attempts.length;
  return [
    ...attempts.map(({ timeS, speedMps, errorPct }, index): WorkingStep => ({
      label: `Attempt ${index + 1}`,
      formula: `${q(conditions.distanceM, 'distanceM')} / ${q(timeS, 'timeS')}, ± ${q(errorPct, 'percent', 2)}`,
      value: speedMps,
      quantity: 'speedMps',
      source: GUM,
    })),
    {
      label: 'Mean',
      formula: `of ${attempts.length} attempt${attempts.length === 1 ? '' : 's'}`,
      value: speed.mean,
      quantity: 'speedMps',
    },
    ...(speed.sd === undefined
      ? []
      : [
          {
            label: 'Spread over √n',
            formula: `${q(speed.sd, 'speedMps')} / √${n(attempts.length)}`,
            value: speed.sd / root,
            quantity: 'speedMps' as const,
          },
        ]),
    {
      label: 'Timing',
      formula: `${q(timing, 'share')} of the mean, joined over the attempts`,
      value: timing * speed.mean,
      quantity: 'speedMps',
      source: GUM,
    },
    { label: 'Error', formula: 'the larger of the two', value: speedErrorMps, quantity: 'speedMps' },
  ];
}

/** What a run's prediction was made for, and what came out. */
export function workingPrediction(
  { conditions, prediction, document, kind }: TimedRun,
  { q, n }: Writer,
): WorkingStep[] {
  if (!prediction) return [];
  const cells = document.power.battery?.cells ?? 1;
  const { packVBefore, ambientC, distanceM, runUpM = 0, gates } = conditions;
  return [
    {
      label: 'Mass',
      formula: 'car, payload and what it carried on top',
      value: prediction.massKg * 1000,
      quantity: 'massG',
    },
    {
      label: 'Charge',
      formula:
        packVBefore === undefined
          ? 'a full pack, no volts were noted'
          : `${q(packVBefore, 'voltageV')} / ${cells} cells in the open-circuit table`,
      value: packVBefore === undefined ? 1 : cellCharge(packVBefore / cells),
      quantity: 'share',
    },
    {
      label: 'Air',
      formula:
        ambientC === undefined
          ? `${q(AIR_DENSITY, 'densityKgM3')}, no temperature was noted`
          : `${n(101_325, 6)} Pa / (${n(287.05, 5)} · ${n(ambientC + 273.15, 4)} K) = ${q(airDensityAt(ambientC), 'densityKgM3')}`,
      source: 'ISO 2533',
    },
    {
      label: 'Time',
      formula:
        kind === 'launch'
          ? `from rest over ${q(distanceM, 'distanceM')}`
          : gates
            ? `${q(distanceM, 'distanceM')} through gates ${q(gates.spacingM, 'distanceM')} apart on y = A·sin(π·x/d), A = ${q(gates.offsetM, 'distanceM')}, at the speed that grip, lock, servo and motor allow`
            : `from ${q(runUpM, 'distanceM')} to ${q(runUpM + distanceM, 'distanceM')} after the start`,
      value: prediction.timeS,
      quantity: 'timeS',
      source: gates
        ? 'Milliken, Race Car Vehicle Dynamics, ch. 5'
        : 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 2',
    },
    {
      label: 'Mean speed',
      formula: `${q(distanceM, 'distanceM')} / ${q(prediction.timeS, 'timeS')}`,
      value: prediction.speedMps,
      quantity: 'speedMps',
    },
    {
      label: 'Error',
      formula: `grip, rolling resistance, drag, efficiency and motor constant moved by their standard deviations, root of the sum of squares${prediction.mostFrom ? `; most from the ${FIGURE_NAMES[prediction.mostFrom]}` : ''}`,
      value: prediction.speedErrorMps,
      quantity: 'speedMps',
      source: GUM,
    },
  ];
}
