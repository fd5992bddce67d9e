import { circle, extruded, type Loop } from '@/core/physics/solid/extrude';
import { demoMesh } from './demoMesh';

const holes = [-110, -70, -30, 30, 70, 110].flatMap((x) => [-32, 32].map((y) => circle(x, y, 1.7, 16)));

const pockets = [-90, -40, 40, 90].map((x): Loop => [
  [x - 14, -16],
  [x + 14, -16],
  [x + 14, 16],
  [x - 14, 16],
]);

export const plate = demoMesh(
  'plate',
  extruded(
    [
      [-128, -36],
      [-112, -44],
      [112, -44],
      [128, -36],
      [128, 36],
      [112, 44],
      [-112, 44],
      [-128, 36],
    ],
    [...holes, ...pockets],
    0,
    4,
  ),
  {
    held: [
      { id: 'front', min: [118, -45, -0.3], max: [128.3, 45, 4.3] },
      { id: 'rear', min: [-128.3, -45, -0.3], max: [-118, 45, 4.3] },
    ],
    pulls: [
      {
        id: 'pack',
        min: [-20, -16, 2.9],
        max: [20, 16, 5],
        from: 'landingFourWheels',
        share: 0.3,
        direction: [0, 0, -1],
      },
    ],
  },
);

export const link = demoMesh(
  'front-link',
  extruded(
    [
      [-27, -5],
      [-17, -5],
      [-15, -2.5],
      [15, -2.5],
      [17, -5],
      [27, -5],
      [27, 5],
      [17, 5],
      [15, 2.5],
      [-15, 2.5],
      [-17, 5],
      [-27, 5],
    ],
    [circle(-22, 0, 2.6, 24), circle(22, 0, 2.6, 24)],
    0,
    5,
  ),
  {},
);

export const tower = demoMesh(
  'shock-tower',
  extruded(
    [
      [-45, 0],
      [45, 0],
      [45, 10],
      [20, 20],
      [13, 46],
      [-13, 46],
      [-20, 20],
      [-45, 10],
    ],
    [circle(-38, 5, 1.7, 16), circle(38, 5, 1.7, 16), circle(-8, 40, 1.7, 16), circle(8, 40, 1.7, 16)],
    0,
    8,
  ),
  {},
);

export const brace = demoMesh(
  'rear-brace',
  extruded(
    [
      [-50, -5],
      [50, -5],
      [50, 5],
      [-50, 5],
    ],
    [circle(-45, 0, 1.7, 16), circle(45, 0, 1.7, 16)],
    0,
    5,
  ),
  {},
);

export const bumper = demoMesh(
  'bumper',
  extruded(
    [
      [-65, 0],
      [-50, -14],
      [50, -14],
      [65, 0],
      [65, 10],
      [45, -3],
      [-45, -3],
      [-65, 10],
    ],
    [],
    0,
    22,
  ),
  {},
);
