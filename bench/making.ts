import { loadedKernel } from '@/core/fixtures/kernel';
import { type Body, madeBody } from '@/core/physics/making/body';
import { meshedBody, stepOf } from '@/core/physics/making/kit/meshed';

const seat = { boreMm: 5, faceWidthMm: 8 };
const cones = { pinionTeeth: 15, wheelTeeth: 39, pressureAngleDeg: 20, pinionShift: 0 };
const BODIES: Readonly<Record<string, Body>> = {
  'spur of 71 teeth': { kind: 'gear', teeth: 71, moduleMm: 0.8, ...seat },
  'double helical of 40 teeth': {
    kind: 'gear',
    teeth: 40,
    moduleMm: 0.8,
    ...seat,
    helixDeg: 30,
    double: true,
  },
  'ring of 60 teeth': { kind: 'ring', teeth: 60, moduleMm: 0.8, faceWidthMm: 8, outsideMm: 54 },
  'bevel of 39 teeth': { kind: 'bevel', gear: 'wheel', moduleMm: 1, boreMm: 5, faceWidthMm: 6, ...cones },
};

/** How long the kernel takes to start, and to make each kind of solid with its mesh and STEP. */
export async function benchMaking(): Promise<void> {
  const timed = async <T>(work: () => T | Promise<T>): Promise<[number, T]> => {
    const start = performance.now();
    const made = await work();
    return [(performance.now() - start) / 1000, made];
  };
  const [startS, kit] = await timed(loadedKernel);
  console.log(`kernel of solids: started in ${startS.toFixed(1)} s`);
  for (const [name, body] of Object.entries(BODIES)) {
    const [solidS, shape] = await timed(() => madeBody(kit, body));
    const [meshS, mesh] = await timed(() => meshedBody(shape));
    const [stepS] = await timed(() => stepOf(shape));
    console.log(
      `${name}: solid ${solidS.toFixed(1)} s, mesh ${meshS.toFixed(1)} s (${mesh.triangles.length / 3} triangles), STEP ${stepS.toFixed(1)} s`,
    );
  }
}
