import type { SweptSetting } from '@/core/car/records/report';
import type { SeriesResult } from '@/core/physics/bench/series';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import { sayAll } from '../findings';

/** What a series says of its setting, and what to try next. */
export function seriesVerdict(name: string, fit: SeriesResult, reader: Reader): string {
  const number = (value: number) => formatNumber(value, reader.locale, 3);
  const speed = (mps: number) => formatText(mps, 'speedMps', reader);
  const { verdict, bestX, bestMean, bestInterval, nextX, nextReductionPct, mostRepeatableX } = fit;
  const next =
    nextX === undefined
      ? ''
      : ` Next try ${number(nextX)}${nextReductionPct === undefined ? '' : `: it narrows the best value by ${formatText(nextReductionPct, 'percent', reader, 2)} of its variance`}.`;
  const said: Readonly<Record<SeriesResult['verdict'], string>> = {
    'too few results': `Too few results to tell anything of the ${name}: drive two more.`,
    'no difference shown': `No difference shown: what the ${name} does is less than runs differ among themselves.`,
    'best inside': `Best at ${bestX === undefined ? '' : number(bestX)}${bestInterval ? ` (${number(bestInterval[0])} to ${number(bestInterval[1])})` : ''}, ${bestMean === undefined ? '' : speed(bestMean)} there.${next}`,
    'better towards an end': `Better towards ${bestX === undefined ? '' : number(bestX)}, ${bestMean === undefined ? '' : speed(bestMean)} there.${next}`,
  };
  return [
    said[verdict],
    mostRepeatableX === undefined ? '' : `Most repeatable at ${number(mostRepeatableX)}.`,
    sayAll([...fit.findings.map(({ why }) => why), ...fit.notes], reader),
  ]
    .filter(Boolean)
    .join(' ');
}

/** Settings of aids as a list names them. */
export const SWEPT_SETTING_WORDS: Readonly<Record<SweptSetting, string>> = {
  yawGain: 'Gain of the gyro, ° a °/s',
  slipTarget: 'Slip aimed at, %',
  slipGain: 'Throttle taken back, µs a per cent',
};

interface SaidSweep {
  name: string;
  of: SweptSetting;
  best: number | undefined;
  calmTo: number | undefined;
}

/** What an aid's simulator says of the values of a series, and whether the drives agree. */
export function sweepSentence(
  { name, of, best, calmTo }: SaidSweep,
  fit: SeriesResult,
  reader: Reader,
): string {
  const number = (value: number) => formatNumber(value, reader.locale, 3);
  const calm = calmTo === undefined ? '' : ` Over ${number(calmTo)} it swings of itself.`;
  if (best === undefined)
    return `At none of these values does the simulator ${of === 'yawGain' ? 'settle' : 'cover the distance'}.${calm}`;
  const says = `The simulator ${of === 'yawGain' ? 'settles soonest' : 'is fastest'} at a ${name} of ${number(best)}.${calm}`;
  if (!fit.bestInterval) return says;
  const [low, high] = fit.bestInterval;
  return `${says} ${
    best >= low && best <= high
      ? 'What was driven agrees.'
      : `What was driven says ${number(low)} to ${number(high)}: go by that, and look at the figures that the simulator is given.`
  }`;
}
