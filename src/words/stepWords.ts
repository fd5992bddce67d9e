import type { NextStep, Trial } from '@/core/advice/steps/definition';
import type { NextAtAGlance } from '@/core/advice/garage';
import type { Reader } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { checkSentence, remedyText } from './checkWords';
import { STATE_WORDS } from './states';
import { checkTitle } from './checks/names';
import { PROOF_WORDS } from './checks/steps';
import { say } from './findings';
import { listed } from './lists';
import { needName } from './needs';

type Titled = Pick<NextStep, 'title' | 'remedy'>;

/** What to do. */
export const stepTitle = ({ title, remedy }: Titled, reader: Reader): string =>
  title ? say(title, reader) : remedy ? remedyText(remedy, reader) : '';

/** Why now, the weightiest first. */
export const stepWhy = ({ check, why }: Pick<NextStep, 'check' | 'why'>, reader: Reader): string[] => [
  ...(check ? [checkSentence(check, reader)] : []),
  ...why.map((one) => say(one, reader)),
];

export const proofWords = ({ how }: Pick<Trial, 'how'>): string => PROOF_WORDS[how] ?? how;

/** What the garage says to do next. */
export function glanceWords(next: NextAtAGlance, reader: Reader): string {
  if ('ails' in next) return 'Open it, take its last change back, or export it before anything else.';
  if ('fillIn' in next) return `Give it ${listed([...new Set(next.fillIn.map(needName))])}.`;
  if ('clear' in next) return 'Everything is clear: run it.';
  const { step } = next;
  const title = stepTitle(step, reader);
  return step.check
    ? `${checkTitle(step.check)} ${step.check.state === 'over' ? '' : 'is '}${STATE_WORDS[step.check.state]}: ${inSentence(title)}.`
    : `${title}.`;
}
