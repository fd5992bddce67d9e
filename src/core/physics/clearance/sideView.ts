import { type Body, farthestOf } from './tree';

/** A place seen from the left: forward and up, mm. */
export type Side = readonly [x: number, z: number];
export type SideEdge = readonly [Side, Side];

/** Directions in which a round outline is looked at: within a hundred-thousandth of its radius. */
const LOOKS = 1440;
const SAME_MM = 1e-9;

/** Edges of a body in side view: the outline of a convex one, every edge of a mesh. */
export function sideEdges(body: Body): SideEdge[] {
  const { mesh } = body;
  if (mesh) {
    const seen = new Set<string>();
    return mesh.triangles.flatMap((corners) =>
      corners.flatMap((from, k): SideEdge[] => {
        const to = corners[(k + 1) % 3]!;
        const key = from < to ? `${from},${to}` : `${to},${from}`;
        if (seen.has(key)) return [];
        seen.add(key);
        const [a, b] = [mesh.pointsMm[from]!, mesh.pointsMm[to]!];
        return [
          [
            [a[0], a[2]],
            [b[0], b[2]],
          ],
        ];
      }),
    );
  }
  const corners: Side[] = [];
  for (let k = 0; k < LOOKS; k++) {
    const angle = (2 * Math.PI * k) / LOOKS;
    const [x, , z] = farthestOf(body, [Math.cos(angle), 0, Math.sin(angle)]);
    const last = corners.at(-1);
    if (!last || Math.hypot(x - last[0], z - last[1]) > SAME_MM) corners.push([x, z]);
  }
  if (corners.length === 1) return [[corners[0]!, corners[0]!]];
  return corners.map((corner, k) => [corner, corners[(k + 1) % corners.length]!] as const);
}
