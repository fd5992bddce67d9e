import type { LogRole } from '@/core/physics/logs/roles';
import type { QuantityName } from '@/core/base/units/quantities';
import type { LogSummary } from '@/core/physics/logs/logRead';
import type { LogSync } from '@/core/physics/logs/sync';
import type { SeenLog } from '@/core/worked/logs/seenLog';
import { counted } from '../lists';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';

/** What a column of a log can be, as a list names it. */
export const LOG_ROLE_NAMES: Readonly<Record<LogRole, string>> = {
  time: 'Time',
  motorTemperature: 'Temperature of the motor',
  controllerTemperature: 'Temperature of the controller',
  yawRate: 'Yaw rate',
  motorCurrent: 'Current of the motor',
  batteryCurrent: 'Current of the pack',
  voltage: 'Voltage of the pack',
  rpm: 'Turns of the motor',
  throttle: 'Throttle',
  speed: 'Speed',
};

/** The same inside a sentence. */
export const LOG_ROLE_WORDS: Readonly<Record<LogRole, string>> = {
  time: 'time',
  motorTemperature: 'motor temperature',
  controllerTemperature: 'controller temperature',
  yawRate: 'yaw rate',
  motorCurrent: 'motor current',
  batteryCurrent: 'pack current',
  voltage: 'voltage',
  rpm: 'turns',
  throttle: 'throttle',
  speed: 'speed',
};

export const LOG_ROLE_QUANTITIES: Readonly<Record<LogRole, QuantityName>> = {
  time: 'timeS',
  motorTemperature: 'temperatureC',
  controllerTemperature: 'temperatureC',
  yawRate: 'rateDegPerS',
  motorCurrent: 'currentA',
  batteryCurrent: 'currentA',
  voltage: 'voltageV',
  rpm: 'rpm',
  throttle: 'share',
  speed: 'speedMps',
};

const highest = (values: readonly number[]) =>
  values.reduce((top, one) => (one > top ? one : top), -Infinity);
const lowest = (values: readonly number[]) => values.reduce((low, one) => (one < low ? one : low), Infinity);

/** A log in one sentence: how long, and what it reached. */
export function logAnswer({ summary, lines }: SeenLog, reader: Reader): string {
  const of = (role: LogRole) => lines.find((line) => line.role === role)?.values;
  const said = (role: LogRole, pick: (values: readonly number[]) => number, words: string) => {
    const values = of(role);
    return values === undefined || values.length === 0
      ? []
      : [`${words} ${formatText(pick(values), LOG_ROLE_QUANTITIES[role], reader)}`];
  };
  const facts = [
    ...said('speed', highest, 'up to'),
    ...(of('motorCurrent')
      ? said('motorCurrent', highest, 'the motor took up to')
      : said('batteryCurrent', highest, 'the pack gave up to')),
    ...said('voltage', lowest, 'down to'),
    ...said('motorTemperature', highest, 'the motor reached'),
  ];
  return `${formatText(summary.durationS, 'timeS', reader, 3)} at ${formatNumber(summary.rateHz, reader.locale, 2)} rows a second${facts.length > 0 ? `: ${facts.join(', ')}` : ''}.`;
}

/** Where a second log or a track lies on the first. */
export function laidOnWords(sync: LogSync | undefined, name: string, reader: Reader): string {
  if (!sync) return `${name} has nothing in common with the log that tells where it lies.`;
  const { offsetS, usable, by, quality } = sync;
  const shift = `${formatText(Math.abs(offsetS), 'timeS', reader, 3)} ${offsetS >= 0 ? 'later' : 'earlier'}`;
  return `${name} begins ${shift}, by its ${LOG_ROLE_WORDS[by]}${usable ? '' : ', but that is not sure'}; they are ${formatText(quality, 'share', reader, 2)} alike.`;
}

/** What was wrong with the file, counted; empty where nothing was. */
export function logDoubts(summary: LogSummary, reader: Reader): string {
  const { gaps, longestGapS, badCells, raggedRows, outOfOrder, duplicateTimes, noTime } = summary;
  const said = [
    gaps > 0
      ? `${counted(gaps, 'gap', 'gaps')}, the longest ${formatText(longestGapS!, 'timeS', reader, 2)}`
      : '',
    badCells > 0 ? `${counted(badCells, 'cell', 'cells')} with text in columns of numbers` : '',
    raggedRows > 0 ? `${counted(raggedRows, 'row', 'rows')} of another length` : '',
    outOfOrder > 0 ? `${counted(outOfOrder, 'row', 'rows')} out of order, put in order` : '',
    duplicateTimes > 0
      ? `${counted(duplicateTimes, 'row', 'rows')} with a time that was there already, left out`
      : '',
    noTime > 0 ? `${counted(noTime, 'row', 'rows')} without a time, left out` : '',
  ].filter(Boolean);
  return said.length === 0 ? '' : `In the file: ${said.join('; ')}.`;
}
