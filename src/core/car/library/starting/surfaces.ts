import type { LibraryItem } from '../items';

/** Surfaces with one standard deviation. Ranges after Wong, Theory of Ground Vehicles, ch. 1 and 2, scaled to small wheels by judgement. */
export const STARTING_SURFACES: readonly LibraryItem<'surface'>[] = [
  {
    id: 'surface-smoothFloor',
    kind: 'surface',
    data: {
      name: 'Smooth floor',
      ground: 'hard',
      mu: 0.55,
      muError: 0.15,
      rollingResistance: 0.015,
      rollingResistanceError: 0.005,
    },
  },
  {
    id: 'surface-shortCarpet',
    kind: 'surface',
    data: {
      name: 'Short carpet',
      ground: 'hard',
      mu: 0.9,
      muError: 0.15,
      rollingResistance: 0.035,
      rollingResistanceError: 0.01,
    },
  },
  {
    id: 'surface-asphalt',
    kind: 'surface',
    data: {
      name: 'Asphalt, dry',
      ground: 'hard',
      mu: 0.95,
      muError: 0.15,
      rollingResistance: 0.02,
      rollingResistanceError: 0.006,
    },
  },
  {
    id: 'surface-gravel',
    kind: 'surface',
    data: {
      name: 'Gravel',
      ground: 'loose',
      mu: 0.6,
      muError: 0.1,
      rollingResistance: 0.05,
      rollingResistanceError: 0.015,
    },
  },
  {
    id: 'surface-mownGrass',
    kind: 'surface',
    data: {
      name: 'Mown grass',
      ground: 'loose',
      mu: 0.6,
      muError: 0.1,
      rollingResistance: 0.09,
      rollingResistanceError: 0.03,
    },
  },
  {
    id: 'surface-tallGrass',
    kind: 'surface',
    data: {
      name: 'Tall grass',
      ground: 'loose',
      mu: 0.5,
      muError: 0.12,
      rollingResistance: 0.2,
      rollingResistanceError: 0.07,
    },
  },
  {
    id: 'surface-sand',
    kind: 'surface',
    data: {
      name: 'Sand',
      ground: 'loose',
      mu: 0.5,
      muError: 0.1,
      rollingResistance: 0.2,
      rollingResistanceError: 0.06,
    },
  },
  {
    id: 'surface-snow',
    kind: 'surface',
    data: {
      name: 'Packed snow',
      ground: 'loose',
      mu: 0.25,
      muError: 0.08,
      rollingResistance: 0.06,
      rollingResistanceError: 0.02,
    },
  },
];
