import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { BeltResult } from '@/core/physics/transmissions/beltDefinition';

/** To which tone a span is tuned so that the belt stays in its teeth. */
export const tuneSentence = ({ neededN, hz }: { neededN: number; hz: number }, reader: Reader): string =>
  `Tune it to ${formatText(hz, 'frequencyHz', reader, 3)}: the ${formatText(neededN, 'forceN', reader, 2)} in each span that its load needs.`;

/** What a tone says of the tension. */
export const heardSentence = ({ measuredTensionN }: BeltResult, hz: number, reader: Reader): string =>
  `${formatText(hz, 'frequencyHz', reader, 3)} is ${formatText(measuredTensionN ?? 0, 'forceN', reader, 2)} in the span.`;

export const NO_MICROPHONE =
  'No microphone is to be had here: hold a tuner beside the span and type what it shows.';
