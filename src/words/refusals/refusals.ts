import type { RefusalCode, RefusalFacts } from '@/core/base/errors';
import type { Written } from '../write';

/** What is wrong with a field, to be read behind its name, and what to do about it. */
export type Said = readonly [message: string, remedy?: string];

/** The words of every refusal whose code begins with this. */
export type Refusals<P extends string> = {
  readonly [C in Extract<RefusalCode, `${P}.${string}`>]: (given: Written<RefusalFacts[C]>) => Said;
};
