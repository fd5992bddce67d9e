import type { PackMeasure, PackPredicted, PackSpread } from '@/core/car/records/packPredicted';
import type { RunReport } from '@/core/car/records/report';
import { packGap } from '@/core/car/records/packGap';
import { formatNumber, formatText, formatWithError, type Reader } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import { FIGURE_NAMES } from '../learn/calibration';

/** Figures that a pack feels and that are not known exactly. */
export const PACK_SPREAD_NAMES: Readonly<Record<PackSpread, string>> = {
  ...FIGURE_NAMES,
  cooling: 'cooling of the motor',
  controllerCooling: 'cooling of the controller',
  capacity: 'capacity of the pack',
  driveline: 'drag of gears and bearings',
  cornering: 'stiffness of the tyres in bends',
  slip: 'slip of the tyres',
  auxiliary: 'current of receiver and servos',
};

/** What is told of a driven pack, in the order in which it is told. */
export const PACK_MEASURE_NAMES: Readonly<Record<PackMeasure, { name: string; quantity: QuantityName }>> = {
  minutes: { name: 'Minutes', quantity: 'minutes' },
  peakCaseC: { name: 'Motor case', quantity: 'temperatureC' },
  peakWindingC: { name: 'Winding', quantity: 'temperatureC' },
  peakControllerC: { name: 'Controller', quantity: 'temperatureC' },
  distanceM: { name: 'Way', quantity: 'distanceM' },
  energyWh: { name: 'Energy', quantity: 'energyWh' },
  meanSpeedMps: { name: 'Mean speed', quantity: 'speedMps' },
};

/** What is to be expected of a whole pack. */
export function packExpected(predicted: PackPredicted, reader: Reader): string {
  const { minutes, minutesError, peakCaseC, caseErrorC, mostFrom } = predicted;
  const most = mostFrom ? `; most of the error of the minutes is the ${PACK_SPREAD_NAMES[mostFrom]}` : '';
  return `Expected: ${formatWithError(minutes, minutesError, 'minutes', reader)}, the motor case at ${formatWithError(peakCaseC, caseErrorC, 'temperatureC', reader)}${most}.`;
}

/** How the minutes of a pack lie to what was expected of them. */
export function packMeasured(report: RunReport, reader: Reader): string {
  const { packPredicted, endedAtMinutes } = report;
  if (!packPredicted) return 'Nothing was expected of this pack: the build was not ready for it.';
  const expected = packExpected(packPredicted, reader);
  const gap = packGap({ report });
  if (!gap || endedAtMinutes === undefined) return expected;
  const size = formatNumber(Math.abs(gap.differencePct), reader.locale, 2);
  const way = gap.differencePct < 0 ? 'shorter' : 'longer';
  return `It was driven empty after ${formatText(endedAtMinutes, 'minutes', reader)}, ${size}\u00a0% ${way} than expected, ${
    Math.abs(gap.sigmas) <= 2
      ? 'within what both are sure of'
      : 'more than both are sure of: something in the build or the run is off'
  }. ${expected}`;
}
