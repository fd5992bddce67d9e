import type { Finding } from '@/core/base/finding';
import type { Reader } from '@/core/base/units/formatQuantity';
import { say } from './findings';

/** For whom `calc` and the API write: English, metric, with a point. */
export const PLAIN_READER: Reader = { locale: 'en-GB', units: 'metric' };

const isFinding = (value: object): value is Finding => 'code' in value && 'facts' in value;

/** An operation's output with every finding in it as a sentence. */
export const inWords = (output: object): object => walk(output) as object;

function walk(output: unknown): unknown {
  if (typeof output !== 'object' || output === null || ArrayBuffer.isView(output)) return output;
  if (Array.isArray(output)) return output.some((one) => typeof one === 'object') ? output.map(walk) : output;
  if (isFinding(output)) return say(output, PLAIN_READER).replaceAll('\u00a0', ' ');
  return Object.fromEntries(Object.entries(output).map(([key, value]) => [key, walk(value)]));
}
