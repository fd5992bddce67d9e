import { formatNumber, type Reader } from '@/core/base/units/formatQuantity';
import type { PrinterTimes } from '@/core/worked/print/printerTimes';
import { counted } from '../lists';

/** What finished prints say of each printer's times, and within it of its plastics where they differ. */
export function printerTimesWords(times: PrinterTimes, { locale }: Reader): string[] {
  const factor = (value: number) => `× ${formatNumber(value, locale, 3)}`;
  return times
    .filter(({ material }) => material === undefined)
    .map(({ printer, calibration, n }) => {
      const plastics = times.filter((one) => one.printer === printer && one.material !== undefined);
      const apart =
        plastics.length < 2
          ? ''
          : `; ${plastics.map((one) => `${one.material} ${factor(one.calibration)}`).join(', ')}`;
      return `${printer} ${factor(calibration)} (${counted(n, 'finished print')}${apart})`;
    });
}
