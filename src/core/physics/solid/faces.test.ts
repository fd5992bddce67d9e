import { circle, extruded } from './extrude';
import { facesOf, sideOf } from './faces';
import { measureMesh } from './measure';
import { boxCorners, meshOf } from './shapes';

test('a box has six faces, the largest first', () => {
  const { faces, faceOf } = facesOf(meshOf(boxCorners([0, 0, 0], [30, 20, 10])));
  expect(faces.map(({ areaMm2 }) => areaMm2)).toEqual([600, 600, 300, 300, 200, 200]);
  expect(new Set(faces.map(sideOf))).toEqual(new Set(['+x', '−x', '+y', '−y', '+z', '−z']));
  expect(faceOf).toHaveLength(12);
  const top = faces.find((face) => sideOf(face) === '+z')!;
  expect([top.min, top.max]).toEqual([
    [0, 0, 10],
    [30, 20, 10],
  ]);
  top.centre.forEach((value, axis) => expect(value).toBeCloseTo([15, 10, 10][axis]!, 9));
});

test('a plate with a bore is watertight, and the wall of the bore is one face', () => {
  const sides = 32;
  const mesh = meshOf(
    extruded(
      [
        [0, 0],
        [40, 0],
        [40, 30],
        [0, 30],
      ],
      [circle(20, 15, 5, sides)],
      0,
      6,
    ),
  );
  const bore = (sides / 2) * 25 * Math.sin((2 * Math.PI) / sides);
  expect(measureMesh(mesh, {})).toMatchObject({
    watertight: true,
    volumeMm3: expect.closeTo((1200 - bore) * 6, 6),
  });
  const { faces } = facesOf(mesh);
  expect(faces).toHaveLength(7);
  const wall = faces.find((face) => sideOf(face) === 'all round')!;
  expect(wall.areaMm2).toBeCloseTo(sides * 2 * 5 * Math.sin(Math.PI / sides) * 6, 6);
});
