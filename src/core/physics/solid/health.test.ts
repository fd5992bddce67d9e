import { ailmentsOf, inMm, repaired, unitsFor } from './health';
import { measureMesh } from './measure';
import { boxCorners, meshOf, ringCorners } from './shapes';

const box = (size = 10, at = 0) => boxCorners([at, 0, 0], [at + size, 8, 6]);
const whats = (corners: number[]) => ailmentsOf(meshOf(corners)).map(({ what }) => what);

test('a box and a ring are sound', () => {
  expect(whats(box())).toEqual([]);
  expect(whats(ringCorners(20, 15, 30, 32))).toEqual([]);
});

test('open, inside out, flat, crossing, tiny and huge are told apart', () => {
  expect(whats(box().slice(9))).toEqual(['open']);
  const mesh = meshOf(box());
  expect(
    ailmentsOf({ ...mesh, triangles: mesh.triangles.slice().reverse() }).map(({ what }) => what),
  ).toEqual(['insideOut']);
  expect(whats(boxCorners([0, 0, 0], [10, 8, 0]))).toEqual(['flat']);
  expect(whats([...box(), ...box(10, 5)])).toEqual(['crossing']);
  expect(whats(boxCorners([0, 0, 0], [0.01, 0.008, 0.006]))).toEqual(['small']);
  expect(whats(boxCorners([0, 0, 0], [10_000, 8, 6]))).toEqual(['large']);
  expect(
    unitsFor(meshOf(boxCorners([0, 0, 0], [0.05, 0.01, 0.01]))).find(({ name }) => name === 'metres')!
      .longestMm,
  ).toBeCloseTo(50, 9);
  expect(measureMesh(inMm(meshOf(box()), 10), {}).volumeMm3).toBeCloseTo(480_000, 6);
});

describe('a repair', () => {
  const sound = measureMesh(meshOf(box()), {});
  it('closes a hole with its own volume', () => {
    const { mesh, done, left } = repaired(meshOf(box().slice(9)));
    expect(left).toEqual([]);
    expect(done).toContainEqual({ code: 'note.mesh.closed', facts: { holes: 1 } });
    expect(measureMesh(mesh, {})).toMatchObject({
      watertight: true,
      volumeMm3: expect.closeTo(sound.volumeMm3, 9),
    });
  });

  it('turns a face that looks inwards, and a whole part', () => {
    const mesh = meshOf(box());
    const one = mesh.triangles.slice();
    [one[1], one[2]] = [one[2]!, one[1]!];
    const turned = repaired({ ...mesh, triangles: one });
    expect(turned.left).toEqual([]);
    expect(turned.done).toEqual([{ code: 'note.mesh.turned', facts: { faces: 1, all: false } }]);
    const out = repaired({ ...mesh, triangles: mesh.triangles.slice().reverse() });
    expect(out.done).toMatchObject([{ code: 'note.mesh.turned', facts: { all: true } }]);
    expect(out.left).toEqual([]);
  });

  it('joins corners that nearly meet and drops what is there twice', () => {
    const corners = [...box(), ...box().slice(0, 9)];
    corners[0]! += 1e-6;
    const { mesh, done, left } = repaired(meshOf(corners));
    expect(left).toEqual([]);
    expect(done.length).toBeGreaterThan(1);
    expect(measureMesh(mesh, {}).triangles).toBe(12);
  });

  it('says what it cannot mend', () => {
    expect(repaired(meshOf([...box(), ...box(10, 5)])).left.map(({ what }) => what)).toEqual(['crossing']);
  });
});
