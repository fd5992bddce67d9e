import type { LibraryItem } from '../items';

/** Typical of each class; take the data sheet of yours. Peak current is that of a stall. */
export const STARTING_SERVOS: readonly LibraryItem<'servo'>[] = [
  { id: 'servo-micro', kind: 'servo', data: { name: 'Micro servo, 9 g', minV: 4.8, maxV: 6, typicalA: 0.15, peakA: 0.7, lowV: 4.8, lowTorqueKgcm: 1.3, lowSecondsPer60Deg: 0.12, highV: 6, highTorqueKgcm: 1.6, highSecondsPer60Deg: 0.1 } },
  { id: 'servo-mini', kind: 'servo', data: { name: 'Mini servo, metal gears', minV: 4.8, maxV: 6, typicalA: 0.25, peakA: 1.2, lowV: 4.8, lowTorqueKgcm: 2.5, lowSecondsPer60Deg: 0.13, highV: 6, highTorqueKgcm: 3, highSecondsPer60Deg: 0.11 } },
  { id: 'servo-standard', kind: 'servo', data: { name: 'Standard servo', minV: 4.8, maxV: 6, typicalA: 0.4, peakA: 1.8, lowV: 4.8, lowTorqueKgcm: 5, lowSecondsPer60Deg: 0.2, highV: 6, highTorqueKgcm: 6.2, highSecondsPer60Deg: 0.16 } },
  { id: 'servo-strong', kind: 'servo', data: { name: 'Strong servo, metal gears', minV: 4.8, maxV: 7.4, typicalA: 0.7, peakA: 3.5, lowV: 4.8, lowTorqueKgcm: 13, lowSecondsPer60Deg: 0.19, highV: 7.4, highTorqueKgcm: 20, highSecondsPer60Deg: 0.13 } },
  { id: 'servo-high-volt', kind: 'servo', data: { name: 'High-voltage servo', minV: 6, maxV: 8.4, typicalA: 0.9, peakA: 5, lowV: 6, lowTorqueKgcm: 22, lowSecondsPer60Deg: 0.14, highV: 8.4, highTorqueKgcm: 31, highSecondsPer60Deg: 0.1 } },
];

/** Typical of each class; take the data sheet of yours. */
export const STARTING_REGULATORS: readonly LibraryItem<'regulator'>[] = [
  { id: 'regulator-linear', kind: 'regulator', data: { name: 'Linear regulator, 5 V', kind: 'linear', setV: 5, dropoutV: 1.2, maxInV: 15, continuousA: 1, peakA: 1.5 } },
  { id: 'regulator-own', kind: 'regulator', data: { name: 'Controller’s regulator, 6 V', kind: 'buck', setV: 6, dropoutV: 0.4, minInV: 5.5, maxInV: 13, continuousA: 2, peakA: 3, efficiency: 0.88 } },
  { id: 'regulator-5a', kind: 'regulator', data: { name: 'Switching regulator, 6 V, 5 A', kind: 'buck', setV: 6, dropoutV: 0.5, minInV: 5.5, maxInV: 26, continuousA: 5, peakA: 8, efficiency: 0.9 } },
  { id: 'regulator-8a', kind: 'regulator', data: { name: 'Switching regulator, 7.4 V, 8 A', kind: 'buck', setV: 7.4, dropoutV: 0.5, minInV: 6, maxInV: 26, continuousA: 8, peakA: 15, efficiency: 0.92 } },
  { id: 'regulator-boost', kind: 'regulator', data: { name: 'Boost converter, 12 V', kind: 'boost', setV: 12, minInV: 3, maxInV: 12, continuousA: 1, peakA: 1.5, efficiency: 0.86 } },
  { id: 'regulator-direct', kind: 'regulator', data: { name: 'Plain junction', kind: 'direct', continuousA: 15, peakA: 30 } },
];
