import { formatNumber, type Reader } from '@/core/base/units/formatQuantity';
import type { PrinterTime } from '@/core/worked/print/printerTimes';
import { counted } from './lists';

/** What finished prints say of a printer's times, in one plastic or in all. */
export const printerTimeWords = (
  { printer, material, calibration, spreadPct, n }: PrinterTime,
  { locale }: Reader,
): string =>
  `${printer}${material === undefined ? '' : ` in ${material}`}: ${formatNumber(calibration, locale, 3)} times the estimate, from ${counted(n, 'finished print')} (spread ${formatNumber(spreadPct, locale, 2)} %)`;
