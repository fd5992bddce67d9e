import type { WorkingStep } from '../../base/workingStep';
import { airDensityAt } from '../../base/constants';
import { cellCharge } from '../../physics/motion/cell';
import { plain } from '../../base/units/plain';
import type { Measured } from './measured';
import type { TimedRun } from '../../car/records/records';

const GUM = 'JCGM 100, 5.1';

/** How the mean of a run and its error come about. */
export function workingMeasured(
  { conditions }: Pick<TimedRun, 'conditions'>,
  { attempts, speed, speedErrorMps }: Measured,
): WorkingStep[] {
  const root = Math.sqrt(attempts.length);
  const timing = Math.hypot(...attempts.map(({ errorPct }) => errorPct / 100)) / attempts.length;
  return [
    ...attempts.map(({ timeS, speedMps, errorPct }, index): WorkingStep => ({
      label: `Attempt ${index + 1}`,
      formula: `${plain(conditions.distanceM)} m / ${plain(timeS)} s, ± ${plain(errorPct, 2)} %`,
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
            formula: `${plain(speed.sd)} m/s / √${attempts.length}`,
            value: speed.sd / root,
            quantity: 'speedMps' as const,
          },
        ]),
    {
      label: 'Timing',
      formula: `${plain(100 * timing)} % of the mean, joined over the attempts`,
      value: timing * speed.mean,
      quantity: 'speedMps',
      source: GUM,
    },
    { label: 'Error', formula: 'the larger of the two', value: speedErrorMps, quantity: 'speedMps' },
  ];
}

/** What a run's prediction was made for, and what came out. */
export function workingPrediction({ conditions, prediction, document, kind }: TimedRun): WorkingStep[] {
  if (!prediction) return [];
  const cells = document.power.battery?.cells ?? 1;
  const { packVBefore, ambientC, distanceM, runUpM = 0 } = conditions;
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
          : `${plain(packVBefore)} V / ${cells} cells in the open-circuit table`,
      value: packVBefore === undefined ? 1 : cellCharge(packVBefore / cells),
      quantity: 'share',
    },
    {
      label: 'Air',
      formula:
        ambientC === undefined
          ? '1.2 kg/m³, no temperature was noted'
          : `101,325 Pa / (287.05 · ${plain(ambientC + 273.15, 4)} K) = ${plain(airDensityAt(ambientC))} kg/m³`,
      source: 'ISO 2533',
    },
    {
      label: 'Time',
      formula:
        kind === 'launch'
          ? `from rest over ${plain(distanceM)} m`
          : `from ${plain(runUpM)} m to ${plain(runUpM + distanceM)} m after the start`,
      value: prediction.timeS,
      quantity: 'timeS',
      source: 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 2',
    },
    {
      label: 'Mean speed',
      formula: `${plain(distanceM)} m / ${plain(prediction.timeS)} s`,
      value: prediction.speedMps,
      quantity: 'speedMps',
    },
    {
      label: 'Error',
      formula:
        'friction and rolling resistance moved by their standard deviations, root of the sum of squares',
      value: prediction.speedErrorMps,
      quantity: 'speedMps',
      source: GUM,
    },
  ];
}
