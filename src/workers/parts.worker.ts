import type { Finding } from '@/core/base/finding';
import { expose, transfer } from 'comlink';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { ChosenMaterial } from '@/core/car/material/material';
import type { Part, PartLies } from '@/core/car/parts/parts';
import { type LightestAsk, lightestOfPart } from '@/core/worked/parts/lightestOfPart';
import { CalcError, refusal } from '@/core/base/errors';
import { type Ailment, ailmentsOf, inMm, repaired, unitsFor } from '@/core/physics/solid/health';
import { laidOnBed } from '@/core/physics/solid/bed';
import { facesOf, type MeshFaces } from '@/core/physics/solid/faces';
import type { FemResult, FemSettings, FemSolution } from '@/core/physics/fem/definition';
import { type PreparedSolid, preparedSolid } from '@/core/physics/fem/prepared';
import { type FemSurface, surfaceOf } from '@/core/physics/fem/surface';
import { type MeasureResult, measureMesh } from '@/core/physics/solid/measure';
import type { Mesh } from '@/core/physics/meshFiles/mesh';
import { type Orientation, orientationsOf, type OrientHow } from '@/core/physics/solid/orient';
import { measureLying } from '@/core/worked/print/lies';
import { readMeshFile } from '@/core/physics/meshFiles/readFile';
import { sectionsOf } from '@/core/physics/solid/sections';
import type { SectionsResult } from '@/core/physics/solid/sectionsDefinition';
import { write3mf } from '@/core/physics/meshFiles/write3mf';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import type { Vec3 } from '@/core/base/vec3';
import { type Refusal, refusalOf, told } from './refusal';

declare module '@/core/base/errors' {
  interface RefusalFacts {
    'meshFile.dropped': Record<never, never>;
  }
}

/** A mesh as a picture and a page need it. */
export interface SeenMesh {
  /** Corners of each triangle, mm. */
  positions: Float32Array;
  measure: MeasureResult;
  ailments: Ailment[];
  units: ReturnType<typeof unitsFor>;
  faces: MeshFaces;
}

export interface Solved {
  result: FemResult;
  surface: FemSurface;
}

/** The last mesh that was read stays here, so that the page need not send it again. */
let held: { key: string; mesh: Mesh } | undefined;
let latest = 0;

function seen(mesh: Mesh, unitMm: number): SeenMesh {
  const scaled = inMm(mesh, unitMm);
  const { vertices, triangles } = scaled;
  const positions = new Float32Array(3 * triangles.length);
  for (let at = 0; at < triangles.length; at++)
    for (let axis = 0; axis < 3; axis++) positions[3 * at + axis] = vertices[3 * triangles[at]! + axis]!;
  const found: SeenMesh = {
    positions,
    measure: measureMesh(scaled, {}),
    ailments: ailmentsOf(scaled),
    units: unitsFor(mesh),
    faces: facesOf(scaled),
  };
  return transfer(found, [positions.buffer]);
}

const meshOf = (key: string): Mesh => {
  if (held?.key !== key) throw refusal('mesh', 'meshFile.dropped');
  return held.mesh;
};

const BREATH_MS = 60;
const breath = () => new Promise<void>((resume) => setTimeout(resume, 0));

/** The part that was solved last, for its next load case. */
let prepared: { key: string; solid: PreparedSolid } | undefined;

function preparedOf(key: string, { loads: _, ...settings }: FemSettings): PreparedSolid {
  const mark = `${key} ${JSON.stringify(settings)}`;
  if (prepared?.key !== mark) prepared = { key: mark, solid: preparedSolid(meshOf(key), settings) };
  return prepared.solid;
}

const api = {
  lightest: (
    document: BuildDocument,
    surface: ChosenSurface | undefined,
    part: Part,
    materials: readonly ChosenMaterial[],
    ask: LightestAsk,
  ) => told(() => lightestOfPart(document, surface, part, materials, ask)),
  /** Reads a file and keeps its mesh under a key. */
  read: (key: string, bytes: Uint8Array, name: string, unitMm: number): SeenMesh | Refusal =>
    told(() => {
      const mesh = readMeshFile(bytes, name);
      held = { key, mesh: inMm(mesh, unitMm) };
      return seen(mesh, unitMm);
    }),

  /** A file mended, as binary STL in millimetres. */
  repair: (
    bytes: Uint8Array,
    name: string,
  ): { stl: Uint8Array; done: Finding[]; left: Ailment[] } | Refusal =>
    told(() => {
      const { mesh, done, left } = repaired(readMeshFile(bytes, name));
      return { stl: writeStl(mesh), done, left };
    }),

  /** The mesh as it lies on the bed, as a file. */
  write: (key: string, kind: 'stl' | '3mf', up: Vec3): Uint8Array | Refusal =>
    told(() => {
      const laid = laidOnBed(meshOf(key), up);
      return kind === 'stl' ? writeStl(laid) : write3mf([laid]);
    }),

  /** What the printer has to do with it, a way up. */
  lies: (key: string, up: Vec3): Omit<PartLies, 'of'> | Refusal => told(() => measureLying(meshOf(key), up)),

  orient: (key: string, how: OrientHow): Orientation[] | Refusal =>
    told(() => orientationsOf(meshOf(key), how)),

  sections: (key: string, how: Parameters<typeof sectionsOf>[1]): SectionsResult | Refusal =>
    told(() => sectionsOf(meshOf(key), how)),

  /** `report` gets iterations and what is left, a share of what pulls. */
  async solve(
    key: string,
    settings: FemSettings,
    report: (iterations: number, residual: number) => Promise<void>,
  ): Promise<Solved | Refusal | undefined> {
    const mine = ++latest;
    try {
      const work = preparedOf(key, settings).solve(settings.loads);
      let since = performance.now();
      let solution: FemSolution | undefined;
      for (;;) {
        const step = work.next();
        if (step.done) {
          solution = step.value;
          break;
        }
        if (performance.now() - since < BREATH_MS) continue;
        await report(step.value.iterations, step.value.residual);
        await breath();
        if (mine !== latest) return undefined;
        since = performance.now();
      }
      const surface = surfaceOf(solution);
      return transfer({ result: solution.result, surface }, [
        surface.positions.buffer,
        surface.moves.buffer,
        surface.margins.buffer,
        surface.criteria.buffer,
        surface.index.buffer,
      ]);
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      return refusalOf(error);
    }
  },

  cancel: () => {
    latest++;
  },
};

export type PartsWorker = typeof api;

expose(api);
