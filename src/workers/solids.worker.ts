import { expose, transfer } from 'comlink';
import * as replicad from 'replicad';
import init from 'replicad-opencascadejs';
import { CalcError } from '@/core/base/errors';
import { type AnyBody, madeBody } from '@/core/physics/making/body';
import { meshInOnePiece } from '@/core/physics/making/drawn/drawnBody';
import type { Kernel } from '@/core/physics/making/kit/kernel';
import { meshedBody, stepOf } from '@/core/physics/making/kit/meshed';
import { sideBySideOnBed } from '@/core/physics/making/onBed';
import type { Mesh } from '@/core/physics/meshFiles/mesh';
import { write3mf } from '@/core/physics/meshFiles/write3mf';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import { type MeasureResult, measureMesh } from '@/core/physics/solid/measure';
import { type Refusal, refusalOf } from './refusal';

export const SOLID_FILES = ['stl', '3mf', 'step'] as const;
export type SolidFile = (typeof SOLID_FILES)[number];

/** A body as a picture and a page need it. */
export interface SeenBody {
  /** Corners of each triangle, mm. */
  positions: Float32Array;
  /** Of the mesh that is written. */
  measure: MeasureResult;
}

/** What the engine of the kernel is started with; its package tells no types of it. */
type Start = (options: { locateFile(): string; print(text: string): void }) => ReturnType<typeof init>;

let started: Promise<Kernel> | undefined;

/** The kernel with its engine, fetched where a solid is first made. */
function kernel(): Promise<Kernel> {
  started ??= (init as unknown as Start)({
    locateFile: () => new URL('replicad-opencascadejs/wasm', import.meta.url).href,
    print: () => undefined,
  }).then((engine) => {
    replicad.setOC(engine);
    return replicad;
  });
  return started;
}

/** Bodies that were made last, by what they were made from. */
const made = new Map<string, { shape: ReturnType<typeof madeBody>; mesh: Mesh }>();
const MOST_KEPT = 12;

async function bodyOf(body: AnyBody) {
  const key = JSON.stringify(body);
  const known = made.get(key);
  if (known) return known;
  const shape = madeBody(await kernel(), body);
  const one = { shape, mesh: body.kind === 'drawn' ? meshInOnePiece(shape) : meshedBody(shape) };
  if (made.size >= MOST_KEPT) made.delete(made.keys().next().value!);
  made.set(key, one);
  return one;
}

async function answered<T>(work: () => Promise<T>): Promise<T | Refusal> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return refusalOf(error);
  }
}

const api = {
  /** Makes a body and shows it. */
  see: (body: AnyBody): Promise<SeenBody | Refusal> =>
    answered(async () => {
      const { mesh } = await bodyOf(body);
      const positions = new Float32Array(3 * mesh.triangles.length);
      mesh.triangles.forEach((vertex, at) => {
        for (let axis = 0; axis < 3; axis++) positions[3 * at + axis] = mesh.vertices[3 * vertex + axis]!;
      });
      return transfer({ positions, measure: measureMesh(mesh, {}) }, [positions.buffer]);
    }),

  /** One body as a file. */
  file: (body: AnyBody, kind: SolidFile): Promise<Uint8Array | Refusal> =>
    answered(async () => {
      const { shape, mesh } = await bodyOf(body);
      if (kind === 'step') return stepOf(shape);
      return kind === 'stl' ? writeStl(mesh) : write3mf([mesh]);
    }),

  /** Several bodies side by side as one 3MF, each an object of its own; a refusal says at which. */
  together: async (
    bodies: { body: AnyBody; copies: number }[],
  ): Promise<Uint8Array | (Refusal & { at: number })> => {
    const meshes: Mesh[] = [];
    for (const [at, { body, copies }] of bodies.entries()) {
      const made = await answered(() => bodyOf(body));
      if ('refused' in made) return { ...made, at };
      for (let copy = 0; copy < copies; copy++) meshes.push(made.mesh);
    }
    return write3mf(sideBySideOnBed(meshes));
  },
};

export type SolidsWorker = typeof api;

expose(api);
