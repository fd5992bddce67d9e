import type { Mesh } from './mesh';

const [HEADER, RECORD] = [84, 50];

/** A mesh as binary STL. */
export function writeStl({ vertices, triangles }: Mesh): Uint8Array {
  const count = triangles.length / 3;
  const bytes = new Uint8Array(HEADER + RECORD * count);
  const view = new DataView(bytes.buffer);
  view.setUint32(80, count, true);
  for (let triangle = 0; triangle < count; triangle++) {
    const at = HEADER + RECORD * triangle;
    const [a, b, c] = [0, 1, 2].map((corner) => {
      const index = 3 * triangles[3 * triangle + corner]!;
      return [vertices[index]!, vertices[index + 1]!, vertices[index + 2]!] as const;
    }) as [
      readonly [number, number, number],
      readonly [number, number, number],
      readonly [number, number, number],
    ];
    const [u, v] = [
      [b[0] - a[0], b[1] - a[1], b[2] - a[2]],
      [c[0] - a[0], c[1] - a[1], c[2] - a[2]],
    ] as const;
    const normal = [
      u[1]! * v[2]! - u[2]! * v[1]!,
      u[2]! * v[0]! - u[0]! * v[2]!,
      u[0]! * v[1]! - u[1]! * v[0]!,
    ];
    const length = Math.hypot(...normal) || 1;
    [...normal.map((value) => value / length), ...a, ...b, ...c].forEach((value, index) =>
      view.setFloat32(at + 4 * index, value, true),
    );
  }
  return bytes;
}
