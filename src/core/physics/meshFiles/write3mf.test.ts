import { measureMesh } from '../solid/measure';
import { read3mf } from './read3mf';
import { boxCorners, meshOf, torusCorners } from '../solid/shapes';
import { write3mf } from './write3mf';

test('a written 3MF is read back as it was', () => {
  const ring = meshOf(torusCorners(20, 5, 24, 12));
  const back = read3mf(write3mf([ring]), 'mesh');
  expect(Array.from(back.vertices).length).toBe(ring.vertices.length);
  expect(measureMesh(back, {}).volumeMm3).toBeCloseTo(measureMesh(ring, {}).volumeMm3, 9);
  expect(
    measureMesh(read3mf(write3mf([ring, meshOf(boxCorners([50, 0, 0], [60, 10, 10]))]), 'mesh'), {}),
  ).toMatchObject({ shells: 2, watertight: true });
});
