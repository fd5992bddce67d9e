import type { ScrewFailure } from '@/core/physics/fasteners/definition';
import { LOAD_FROM, SCREW_TERMS } from '../terms';
import type { Sentences } from '../write';

const FAILS: Readonly<Record<ScrewFailure, (hold: string) => string>> = {
  pullOut: (hold) => `${hold} pull out first`,
  bearing: () => 'the plastic beside it gives first',
  screw: () => 'the screw itself breaks first',
};

/** Sentences about groups of screws. */
export const FASTENER_SENTENCES: Sentences<'fasteners'> = {
  'fasteners.group': ({ screws, thread, from, force, pull, shear, failsBy, hold, lost, how }) =>
    `${screws === 1 ? `One screw M${thread}` : `${screws} screws M${thread}`} under ${force}, ${LOAD_FROM[from]}: the hardest carries ${pull} of pull and ${shear} across; ${FAILS[failsBy](SCREW_TERMS[hold])}.${
      lost === undefined
        ? ''
        : lost === 'nothing'
          ? ' With one lost the others do not hold it.'
          : lost === Infinity
            ? ''
            : ` With the worst one lost, ${lost.toPrecision(2)} times the load is still held.`
    } ${how}`,
};
