import type { Working } from '@/core/base/finding';
import type { Reader } from '@/core/base/units/formatQuantity';
import type { WorkingStep } from './workingStep';

/** The lines of a working, whose words are fetched when they are asked for. */
export const stepsLater =
  (working: Working | undefined, reader: Reader) => async (): Promise<readonly WorkingStep[]> =>
    import('./workings').then(
      ({ stepsOf }) => stepsOf(working, reader),
      () => [{ label: 'This working could not be fetched: open it again with a connection', formula: '' }],
    );
