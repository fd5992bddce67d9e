import type { SurfaceFigures } from '../kinds/surface';

/** Surfaces with one standard deviation. Ranges after Wong, Theory of Ground Vehicles, ch. 1 and 2, scaled to small wheels by judgement. */
export const STARTING_SURFACES: readonly { id: string; data: SurfaceFigures }[] = [
  {
    id: 'surface-smoothFloor',
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
    id: 'surface-carPark',
    data: {
      name: 'Road car park, dusty',
      ground: 'hard',
      mu: 0.75,
      muError: 0.15,
      rollingResistance: 0.022,
      rollingResistanceError: 0.007,
    },
  },
  {
    id: 'surface-gravel',
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
