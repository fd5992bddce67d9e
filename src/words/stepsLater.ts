import type { Working } from '@/core/base/finding';
import type { Reader } from '@/core/base/units/formatQuantity';
import type { WorkingStep } from './workingStep';

/** The lines of a working, whose words are fetched when they are asked for. */
export const stepsLater =
  (working: Working | undefined, reader: Reader) => async (): Promise<readonly WorkingStep[]> =>
    (await import('./workings')).stepsOf(working, reader);
