import { circleStretches } from '../gears/bore';
import type { Stretch } from '../gears/toothForm';
import type { Edge, Face, Kernel, Shape3D, Wire } from './kit/kernel';
import { level, wall, wireOf } from './kit/wires';

export type Contour = readonly Stretch[];

/** A round stub on one end of a body, mm: a hub that is bored, or a pin that is not. */
export interface Stub {
  on: 'low' | 'high';
  contour: Contour;
  lengthMm: number;
  bored: boolean;
}

/** What stands between the two flat ends of a body, and what goes through. */
export interface Walls {
  sides: readonly (Face | Shape3D)[];
  /** Edges of the outer sides at z = 0 and at z = height, in order round the body. */
  low: readonly Edge[];
  high: readonly Edge[];
  heightMm: number;
  /** Edges of an opening whose walls are among the sides. */
  opening?: { low: readonly Edge[]; high: readonly Edge[] };
  /** Through the body and its bored stubs. */
  bore?: Contour;
  /** Through the body alone. */
  bolts: readonly Contour[];
  stubs: readonly Stub[];
}

/**
 * A body closed by flat ends, sewn of its faces: no face is cut by another, so none can go wrong.
 *
 * @returns a solid that stands on z = 0, whatever is lowest of it
 */
export function closedBody(kit: Kernel, walls: Walls): Shape3D {
  const { sides, heightMm, bore, bolts, stubs } = walls;
  const wire = (contour: Contour, z: number) => wireOf(kit, contour, level(z));
  const drawn = (contour: Contour, from: number, to: number) => wall(kit, wire(contour, from), from, to);
  const reach = (on: Stub['on']) =>
    Math.max(0, ...stubs.filter((stub) => stub.on === on && stub.bored).map(lengthOf));
  const bottom = -reach('low');
  const end = (on: Stub['on'], z: number) => {
    const here = stubs.filter((stub) => stub.on === on);
    const through = [...bolts, ...(bore && !here.some(({ bored }) => bored) ? [bore] : [])];
    const opening = walls.opening ? [kit.assembleWire([...walls.opening[on]])] : [];
    const contours = [...through, ...here.map(({ contour }) => contour)];
    return holed(kit, kit.assembleWire([...walls[on]]), [...opening, ...contours.map((one) => wire(one, z))]);
  };
  const stubFaces = stubs.flatMap(({ on, contour, lengthMm, bored }) => {
    const [from, to] = on === 'low' ? [-lengthMm, 0] : [heightMm, heightMm + lengthMm];
    const tip = on === 'low' ? from : to;
    return [drawn(contour, from, to), holed(kit, wire(contour, tip), bored && bore ? [wire(bore, tip)] : [])];
  });
  const faces = [
    ...sides,
    end('low', 0),
    end('high', heightMm),
    ...(bore ? [drawn(bore, bottom, heightMm + reach('high'))] : []),
    ...bolts.map((bolt) => drawn(bolt, 0, heightMm)),
    ...stubFaces,
  ];
  const solid = kit.makeSolid([kit.weldShellsAndFaces(faces as Face[], true)]);
  return bottom === 0 ? solid : solid.translate([0, 0, -bottom]);
}

const holed = (kit: Kernel, outside: Wire, holes: readonly Wire[]): Face => {
  const face = kit.makeFace(outside);
  return holes.length === 0 ? face : kit.addHolesInFace(face, [...holes]);
};

const lengthOf = ({ lengthMm }: Stub) => lengthMm;

export const roundStub = (on: Stub['on'], diameterMm: number, lengthMm: number): Stub => ({
  on,
  contour: circleStretches(diameterMm / 2),
  lengthMm,
  bored: true,
});
