import type { RegulatorFigures } from '../kinds/regulator';

/** Typical of each class; take the data sheet of yours. */
export const STARTING_REGULATORS: readonly { id: string; data: RegulatorFigures }[] = [
  {
    id: 'regulator-linear',
    data: {
      name: 'Linear regulator, 5 V',
      kind: 'linear',
      setV: 5,
      dropoutV: 1.2,
      maxInV: 15,
      continuousA: 1,
      peakA: 1.5,
    },
  },
  {
    id: 'regulator-own',
    data: {
      name: 'Controller’s regulator, 6 V',
      kind: 'buck',
      setV: 6,
      dropoutV: 0.4,
      minInV: 5.5,
      maxInV: 13,
      continuousA: 2,
      peakA: 3,
      efficiency: 0.88,
    },
  },
  {
    id: 'regulator-5a',
    data: {
      name: 'Switching regulator, 6 V, 5 A',
      kind: 'buck',
      setV: 6,
      dropoutV: 0.5,
      minInV: 5.5,
      maxInV: 26,
      continuousA: 5,
      peakA: 8,
      efficiency: 0.9,
    },
  },
  {
    id: 'regulator-8a',
    data: {
      name: 'Switching regulator, 7.4 V, 8 A',
      kind: 'buck',
      setV: 7.4,
      dropoutV: 0.5,
      minInV: 6,
      maxInV: 26,
      continuousA: 8,
      peakA: 15,
      efficiency: 0.92,
    },
  },
  {
    id: 'regulator-boost',
    data: {
      name: 'Boost converter, 12 V',
      kind: 'boost',
      setV: 12,
      minInV: 3,
      maxInV: 12,
      continuousA: 1,
      peakA: 1.5,
      efficiency: 0.86,
    },
  },
  {
    id: 'regulator-direct',
    data: { name: 'Plain junction', kind: 'direct', continuousA: 15, peakA: 30 },
  },
];
