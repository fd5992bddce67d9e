import type { PartMesh } from '@/core/car/parts/parts';
import { circle, extruded, type Loop } from '@/core/physics/solid/extrude';
import { gearOutline } from '@/core/physics/gears/outline';
import { demoMesh, type DemoMesh } from './demoMesh';
import { plate, link, tower, brace, bumper } from './demoMeshesOfFrame';

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
