import { readMeshFile } from '@/core/physics/meshFiles/readFile';
import { measureMesh } from '@/core/physics/solid/measure';
import { madeSolid } from '@/core/fixtures/madeSolid';
import { heldDrawn } from '@/core/worked/making/heldDrawn';
import { femCasesOfPart } from '@/core/worked/parts/solidOfPart';
import { readFileSync } from 'node:fs';
import { drawingOf, drawnPart, solidFile } from './marshHareMade';
import { marshHareDocuments } from '../marshHareRevisions';

const { D } = marshHareDocuments();
const surface = D.brief.surfaces[0]!;

describe('the parts that the demo drew here', () => {
  it.each(['armFront', 'plate'] as const)(
    '%s is kept as its recipe makes it, and counts as made of it',
    async (id) => {
      const kept = measureMesh(readMeshFile(readFileSync(solidFile(id)), 'kept.stl'), {});
      const made = await madeSolid(drawingOf(D, id).drawing);
      expect(kept.volumeMm3).toBeCloseTo(made.volumeMm3, 0);
      expect(kept.watertight).toBe(true);
      const part = D.parts.items.find((one) => one.id === id)!;
      expect(part.mesh!.madeOf).toBe(heldDrawn(D, surface, drawnPart(D, id), drawingOf(D, id)).mark);
      const cases = femCasesOfPart(D, surface, part);
      expect(cases.ok && cases.value.length).toBeGreaterThan(1);
    },
  );
});
