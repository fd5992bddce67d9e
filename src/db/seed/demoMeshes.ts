import { createHash } from 'node:crypto';
import type { PartMesh } from '@/core/car/parts/parts';
import { circle, extruded, type Loop } from '@/core/physics/solid/extrude';
import { gearOutline } from '@/core/physics/gears/outline';
import { liesMark, measureLying } from '@/core/worked/print/lies';
import { measureMesh } from '@/core/physics/solid/measure';
import { meshOf } from '@/core/physics/solid/shapes';
import { writeStl } from '@/core/physics/meshFiles/writeStl';

interface DemoMesh {
  content: Buffer;
  mesh: PartMesh;
}

const VOXELS = 20_000;

function demoMesh(name: string, corners: number[], more: Partial<PartMesh>): DemoMesh {
  const mesh = meshOf(corners);
  const content = Buffer.from(writeStl(mesh));
  const voxelMm = Number(Math.cbrt(measureMesh(mesh, {}).volumeMm3 / VOXELS).toPrecision(2));
  const given: PartMesh = {
    hash: createHash('sha256').update(content).digest('hex'),
    name: `${name}.stl`,
    unitMm: 1,
    up: [0, 0, 1],
    voxelMm,
    ...more,
  };
  return { content, mesh: { ...given, lies: { of: liesMark(given), ...measureLying(mesh, given.up) } } };
}

/** A block around the bearing with an ear that a pin holds. */
const carrierOutline: Loop = [
  [-14, -13],
  [14, -13],
  [14, -5],
  [36, -5],
  [36, 5],
  [14, 5],
  [14, 13],
  [-14, 13],
];
const carrier = (thick: number, up: PartMesh['up']) =>
  demoMesh(
    `carrier-${thick}`,
    extruded(carrierOutline, [circle(0, 0, 6.5), circle(31, 0, 2.2, 24)], 0, thick),
    {
      up,
      held: [{ id: 'pin', min: [28.5, -2.5, -0.3], max: [33.5, 2.5, thick + 0.3] }],
      pulls: [
        {
          id: 'axle',
          min: [-6.8, -6.8, -0.3],
          max: [6.8, 6.8, thick + 0.3],
          from: 'landingOneWheel',
          direction: [0, 1, 0],
        },
      ],
    },
  );

const arm = demoMesh(
  'arm',
  extruded(
    [
      [-23, 0],
      [23, 0],
      [12, 58],
      [-12, 58],
    ],
    [
      [
        [-13, 12],
        [13, 12],
        [7, 40],
        [-7, 40],
      ],
      circle(0, 50, 3, 24),
    ],
    0,
    9,
  ),
  {
    held: [{ id: 'hinge', min: [-23.5, -0.3, -0.3], max: [23.5, 2, 9.3] }],
    pulls: [
      {
        id: 'kerb',
        min: [-12.5, 56, -0.3],
        max: [12.5, 58.3, 9.3],
        from: 'curbStrike',
        share: 0.5,
        direction: [-1, 0, 0],
      },
    ],
  },
);

const knuckle = demoMesh(
  'knuckle',
  extruded(
    [
      [-12, -12],
      [12, -12],
      [12, 12],
      [5, 12],
      [5, 30],
      [-5, 30],
      [-5, 12],
      [-12, 12],
    ],
    [circle(0, 0, 5.5), circle(0, 26, 1.7, 20)],
    0,
    10,
  ),
  {
    held: [{ id: 'bore', min: [-5.8, -5.8, -0.3], max: [5.8, 5.8, 10.3] }],
    pulls: [{ id: 'tie', min: [-2, 24, -0.3], max: [2, 28, 10.3], from: 'tieRod', direction: [1, 0, 0] }],
  },
);

const bracket = demoMesh(
  'bracket',
  extruded(
    [
      [0, 0],
      [40, 0],
      [40, 5],
      [9, 5],
      [5, 9],
      [5, 42],
      [0, 42],
    ],
    [],
    0,
    44,
  ),
  {
    held: [{ id: 'foot', min: [-0.3, -0.3, -0.3], max: [40.3, 0.3, 44.3] }],
    pulls: [
      {
        id: 'motor',
        min: [-0.3, 34, -0.3],
        max: [0.3, 42.3, 44.3],
        from: 'own',
        forceN: 60,
        direction: [-1, 0, 0],
      },
    ],
  },
);

const holes = [-110, -70, -30, 30, 70, 110].flatMap((x) => [-32, 32].map((y) => circle(x, y, 1.7, 16)));
const pockets = [-90, -40, 40, 90].map((x): Loop => [
  [x - 14, -16],
  [x + 14, -16],
  [x + 14, 16],
  [x - 14, 16],
]);
const plate = demoMesh(
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

const steeringArm = (wide: number) =>
  demoMesh(
    `steering-arm-${wide}`,
    extruded(
      [
        [-5, -5],
        [5, -5],
        [wide / 2, 5],
        [wide / 2, 18],
        [4, 24],
        [-4, 24],
        [-wide / 2, 18],
        [-wide / 2, 5],
      ],
      [circle(0, 0, 1.7, 20), circle(0, 20, 1.7, 20)],
      0,
      5,
    ),
    {},
  );
const link = demoMesh(
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
const tower = demoMesh(
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
const brace = demoMesh(
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
const bumper = demoMesh(
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

function mainGear(faceWidthMm: number): DemoMesh {
  const { outline } = gearOutline({ teeth: 71, moduleMm: 0.8, boreMm: 8, pointsPerFlank: 6 });
  const loop = (points: readonly (readonly [number, number])[]): Loop =>
    points.slice(0, -1).map(([x, y]) => [x, y] as const);
  const hexagon = circle(0, 0, 9 / Math.sqrt(3), 6);
  return demoMesh(`main-gear-${faceWidthMm}`, extruded(loop(outline), [hexagon], 0, faceWidthMm), {});
}

/** The made-up meshes of the demo car; the carrier as it split, standing on the bed, and as it holds, lying and thicker. */
export const DEMO_MESHES = {
  carrierStanding: carrier(7, [1, 0, 0]),
  carrierLying: carrier(12, [0, 0, 1]),
  arm,
  knuckle,
  bracket,
  plate,
  steeringArm: steeringArm(6),
  steeringArmWide: steeringArm(8),
  link,
  tower,
  brace,
  bumper,
  mainGear6: mainGear(6),
  mainGear12: mainGear(12),
} as const;
