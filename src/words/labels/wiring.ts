import type { Polarity } from '@/core/worked/power/wiring';

/** Which wire goes where, and what happens when they are swapped. */
export const POLARITY_WORDS: Readonly<Record<Polarity, string>> = {
  plusMinus: 'red plus to plus, black minus to minus',
  servo: 'red plus, black or brown minus, third wire signal',
  brushes: 'two wires; swapped they turn it the other way',
  phases: 'three phases; any two swapped turn it the other way',
};
