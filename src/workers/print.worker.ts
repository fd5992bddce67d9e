import type { Finding } from '@/core/base/finding';
import { expose, transfer } from 'comlink';
import Module, { type ManifoldToplevel } from 'manifold-3d';
import type { PartLies, PartMesh } from '@/core/car/parts/parts';
import { CalcError } from '@/core/base/errors';
import { inMm } from '@/core/physics/solid/health';
import { measureLying } from '@/core/worked/print/lies';
import type { Mesh } from '@/core/physics/meshFiles/mesh';
import { laidOnBed } from '@/core/physics/solid/bed';
import { boundsOf, measureMesh } from '@/core/physics/solid/measure';
import { placedOnPlate } from '@/core/physics/solid/onPlate';
import { readMeshFile } from '@/core/physics/meshFiles/readFile';
import { meshOf } from '@/core/physics/solid/shapes';
import { type SplitHow, splitMesh } from '@/core/physics/solid/split';
import { write3mf } from '@/core/physics/meshFiles/write3mf';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import { couponPiece } from '@/core/physics/printing/couponPiece';
import type { HolesInput, PlateFile } from '@/core/physics/printing/holes/definition';
import { type SolvedPattern, solvedPattern } from '@/core/physics/printing/holes/pattern';
import { holesSolve } from '@/core/physics/printing/holes/solve';
import type { Vec3 } from '@/core/base/vec3';
import { type Refusal, refusalOf, told } from './refusal';

/** A part's file with what its build says of it. */
export interface PrintFile extends Pick<PartMesh, 'name' | 'unitMm' | 'up'> {
  bytes: Uint8Array;
}

export interface SplitPieces {
  files: [Uint8Array, Uint8Array];
  volumesMm3: [number, number];
  pinsMm: Vec3[];
  notes: Finding[];
}

const meshIn = ({ bytes, name, unitMm }: PrintFile): Mesh => inMm(readMeshFile(bytes, name), unitMm);

let kit: Promise<ManifoldToplevel> | undefined;

/** The library of solids, loaded where a part is first cut. */
function solids(): Promise<ManifoldToplevel> {
  kit ??= Module({ locateFile: () => new URL('manifold-3d/manifold.wasm', import.meta.url).href }).then(
    (loaded) => {
      loaded.setup();
      return loaded;
    },
  );
  return kit;
}

const api = {
  solve: (input: HolesInput): SolvedPattern | Refusal => told(() => solvedPattern(input)),
  plate: (input: HolesInput, file: PlateFile): { text: string } | Refusal =>
    told(() => ({ text: holesSolve({ ...input, files: [file] }).files![file]! })),

  /** What the printer has to do with a file as it lies. */
  lies: (file: PrintFile): Omit<PartLies, 'of'> | Refusal => told(() => measureLying(meshIn(file), file.up)),

  /** A whole plate as one 3MF, each part turned and in its place, mm from the bed's low corner. */
  bed: (
    files: Readonly<Record<string, PrintFile>>,
    items: readonly { id: string; xMm: number; yMm: number; turned: boolean }[],
  ): Uint8Array | Refusal =>
    told(() => {
      const laid = new Map(Object.entries(files).map(([id, file]) => [id, laidOnBed(meshIn(file), file.up)]));
      return write3mf(items.map(({ id, ...place }) => placedOnPlate(laid.get(id)!, place)));
    }),

  /** Where a plane can cut a part: its box in its own axes. */
  bounds: (file: PrintFile): ReturnType<typeof boundsOf> | Refusal => told(() => boundsOf(meshIn(file))),

  async split(file: PrintFile, how: SplitHow): Promise<SplitPieces | Refusal> {
    try {
      const { pieces, ...found } = splitMesh(await solids(), meshIn(file), how);
      const files = pieces.map(writeStl) as [Uint8Array, Uint8Array];
      return transfer(
        {
          ...found,
          files,
          volumesMm3: pieces.map((piece) => measureMesh(piece, {}).volumeMm3) as [number, number],
        },
        files.map(({ buffer }) => buffer),
      );
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      return refusalOf(error);
    }
  },

  coupon: (): { stl: Uint8Array; svg: string } => {
    const { corners, svg } = couponPiece();
    return { stl: writeStl(meshOf(corners)), svg };
  },
};

export type PrintWorker = typeof api;

expose(api);
