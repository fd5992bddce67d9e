import { beamCheck } from '../strength/beam';
import type { Vec3 } from '../../base/vec3';
import { sectionsOf } from '../solid/sections';
import { boxCorners, meshOf } from '../solid/shapes';
import { layeredStiffness } from './brick';
import { solvedSolid } from './fem';
import { stressReader } from './stresses';

const material = {
  modulusMpa: 1900,
  poisson: 0.35,
  inPlaneStrengthMpa: 45,
  interlayerStrengthMpa: 27,
  interlayerShearMpa: 21,
};
const [LENGTH, SIDE] = [60, 10];
const forceN: Vec3 = [0, 0, -20];
const mesh = meshOf(boxCorners([0, 0, 0], [LENGTH, SIDE, SIDE]));

test('beam, cuts and solid agree on the stress of a bar', () => {
  const beam = (lengthMm: number) =>
    beamCheck({
      support: 'cantilever',
      lengthMm,
      load: { forceN: 20 },
      section: { shape: 'rectangle', widthMm: SIDE, heightMm: SIDE },
      bendingAbout: 'x',
      material,
      layers: 'along',
    }).stressMpa;
  const { series } = sectionsOf(mesh, {
    axis: 'x',
    stations: 60,
    load: { forceN, atMm: [LENGTH, SIDE / 2, SIDE / 2] },
    material,
    buildDirection: [0, 0, 1],
  });
  const work = solvedSolid(mesh, {
    voxelMm: 1,
    material,
    buildDirection: [0, 0, 1],
    fixed: [{ min: [0, 0, 0], max: [0, SIDE, SIDE] }],
    loads: [{ min: [LENGTH, 0, 0], max: [LENGTH, SIDE, SIDE], forceN }],
  });
  let step = work.next();
  while (!step.done) step = work.next();
  const { bricks, displacement } = step.value;
  const read = stressReader(bricks, layeredStiffness(material), 1, displacement);
  const s = new Float64Array(6);
  for (const station of [20, 30, 40]) {
    const away = LENGTH - (station + 0.5);
    expect(Math.abs(series.stressMpa[station]!)).toBeCloseTo(beam(away), 9);
    bricks.voxel.forEach((at, brick) => {
      if (at % LENGTH !== station || Math.floor(at / (LENGTH * SIDE)) !== SIDE - 1) return;
      read(brick, s);
      // the centre of the outermost voxel lies at nine tenths of the way to the fibre
      expect(Math.abs(s[0]! / (0.9 * beam(away)) - 1)).toBeLessThan(0.03);
    });
  }
});

test('they agree on which way of the layers bears more, and by how much', () => {
  const margin = (up: Vec3) =>
    sectionsOf(mesh, {
      axis: 'x',
      load: { forceN, atMm: [LENGTH, SIDE / 2, SIDE / 2] },
      material,
      buildDirection: up,
    }).weakest.margin;
  const beam = (layers: 'along' | 'across') =>
    beamCheck({
      support: 'cantilever',
      lengthMm: LENGTH,
      load: { forceN: 20 },
      section: { shape: 'rectangle', widthMm: SIDE, heightMm: SIDE },
      bendingAbout: 'x',
      material,
      layers,
    }).margin!;
  expect(margin([0, 0, 1]) / margin([1, 0, 0])).toBeCloseTo(45 / 27, 9);
  expect(beam('along') / beam('across')).toBeCloseTo(45 / 27, 9);
});
