import { finding } from '@/core/base/finding';
import { measure } from '@/core/base/measure';
import type { Reader } from '@/core/base/units/formatQuantity';
import type { RatioBand } from '@/core/worked/drive/ratioBand';
import { say } from './findings';

/** What else a ratio that meets the speed may miss. */
const ALSO = {
  late: ' It is late over the wished distance.',
  empty: ' The charge is used before the wished minutes are over.',
} as const;

/** The answer of the ratio page: the same decision as its check. */
export function ratioSentence({ decision, present }: RatioBand, reader: Reader): string {
  if (!decision) return 'wish a top speed, and the ratio is judged.';
  const { state: _, share, ...facts } = decision;
  const said = say(finding('drive.ratio', { ...facts, share: measure(share, 'share') }), reader);
  return `${said}${present.verdict === 'late' || present.verdict === 'empty' ? ALSO[present.verdict] : ''}`;
}
