import { refusal } from '../../../base/errors';
import { distance, subtract, type Vec3 } from '../../../base/vec3';
import type { Mesh } from '../../meshFiles/mesh';
import { measureMesh } from '../../solid/measure';
import { meshedBody } from '../kit/meshed';
import type { Kernel, Shape3D } from '../kit/kernel';
import { level, wireOf } from '../kit/wires';
import type { Along, Drawing, Form, Prism, Round } from './drawing';
import { hullStretches } from './hull';

declare module '../../../base/errors' {
  interface RefusalFacts {
    'making.round': { mm: number };
    'making.apart': { pieces: number };
    'making.empty': Record<never, never>;
  }
}

/** Turns of the drawing's z onto an axis, such that the outline's two coordinates follow it. */
const TURNS: Readonly<Record<Along, (shape: Shape3D) => Shape3D>> = {
  z: (shape) => shape,
  // x, y, z to y, z, x: a third of a turn about the space diagonal
  x: (shape) => shape.rotate(120, [0, 0, 0], [1, 1, 1]),
  y: (shape) => shape.rotate(240, [0, 0, 0], [1, 1, 1]),
};

function prismOf(kit: Kernel, { discs, holes = [], along, from, to }: Prism): Shape3D {
  const wire = (outline: Prism['discs']) => wireOf(kit, hullStretches(outline), level(from));
  const face = kit.makeFace(wire(discs));
  const whole = holes.length === 0 ? face : kit.addHolesInFace(face, holes.map(wire));
  return TURNS[along](kit.basicFaceExtrusion(whole, new kit.Vector([0, 0, to - from])));
}

const place = ([x, y, z]: Vec3): [number, number, number] => [x, y, z];

function formed(kit: Kernel, form: Form): Shape3D {
  if (form.kind === 'prism') return prismOf(kit, form);
  const { from, to, radiusMm } = form;
  return kit.makeCylinder(radiusMm, distance(from, to), place(from), place(subtract(to, from)));
}

/**
 * A drawing as an exact solid.
 *
 * @throws CalcError at `filletMm` for an edge that cannot be rounded so far
 */
export function drawnBody(kit: Kernel, { steps, rounds = [] }: Drawing): Shape3D {
  const body = steps.reduce<Shape3D | undefined>((made, { form, take }) => {
    const next = formed(kit, form);
    if (!made) return take ? undefined : next;
    return take ? made.cut(next) : made.fuse(next);
  }, undefined);
  if (!body) throw refusal('made', 'making.empty');
  return rounds.reduce((made, round) => rounded(kit, made, round), body);
}

function rounded(kit: Kernel, body: Shape3D, { at, mm }: Round): Shape3D {
  try {
    const through = new kit.EdgeFinder().containsPoint(place(at));
    const made = body.fillet({ filter: through, radius: mm });
    if (kit.measureVolume(made) > 0) return made;
  } catch {
    // the kernel says no more than that it could not
  }
  throw refusal('filletMm', 'making.round', { mm });
}

/**
 * The mesh of a solid that is one piece.
 *
 * @throws CalcError at `made` where it falls apart
 */
export function meshInOnePiece(shape: Shape3D): Mesh {
  const mesh = meshedBody(shape);
  const { shells, volumeMm3 } = measureMesh(mesh, {});
  if (!(volumeMm3 > 0)) throw refusal('made', 'making.empty');
  if (shells > 1) throw refusal('made', 'making.apart', { pieces: shells });
  return mesh;
}
