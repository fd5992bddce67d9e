import './later/bringIn';
import type { Finding } from '@/core/base/finding';
import { PLAIN_READER } from '@/core/base/units/plain';
import { say } from './findings';

const isFinding = (value: object): value is Finding => 'code' in value && 'facts' in value;

/** An operation's output with every finding in it as a sentence. */
export const inWords = (output: object): object => walk(output) as object;

function walk(output: unknown): unknown {
  if (typeof output !== 'object' || output === null || ArrayBuffer.isView(output)) return output;
  if (Array.isArray(output)) return output.some((one) => typeof one === 'object') ? output.map(walk) : output;
  if (isFinding(output)) return say(output, PLAIN_READER).replaceAll('\u00a0', ' ');
  return Object.fromEntries(Object.entries(output).map(([key, value]) => [key, walk(value)]));
}
