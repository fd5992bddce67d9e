import { strToU8, zipSync } from 'fflate';
import type { Mesh } from './mesh';

const TYPES =
  '<?xml version="1.0" encoding="UTF-8"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>';
const RELATIONS =
  '<?xml version="1.0" encoding="UTF-8"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>';
/** So that the same mesh gives the same file. */
const WRITTEN = new Date('2000-01-01T00:00:00Z');

/** Meshes as 3MF in mm, each an object of its own at its own place. @see 3MF Core Specification 1.3 */
export function write3mf(meshes: readonly Mesh[]): Uint8Array {
  const objects = meshes.map(({ vertices, triangles }, index) => {
    const points = Array.from(
      { length: vertices.length / 3 },
      (_, at) => `<vertex x="${vertices[3 * at]}" y="${vertices[3 * at + 1]}" z="${vertices[3 * at + 2]}"/>`,
    ).join('');
    const faces = Array.from(
      { length: triangles.length / 3 },
      (_, at) =>
        `<triangle v1="${triangles[3 * at]}" v2="${triangles[3 * at + 1]}" v3="${triangles[3 * at + 2]}"/>`,
    ).join('');
    return `<object id="${index + 1}" type="model"><mesh><vertices>${points}</vertices><triangles>${faces}</triangles></mesh></object>`;
  });
  const model = `<?xml version="1.0" encoding="UTF-8"?><model unit="millimeter" xml:lang="en-US" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources>${objects.join('')}</resources><build>${meshes.map((_, index) => `<item objectid="${index + 1}"/>`).join('')}</build></model>`;
  return zipSync(
    {
      '[Content_Types].xml': strToU8(TYPES),
      '_rels/.rels': strToU8(RELATIONS),
      '3D/3dmodel.model': strToU8(model),
    },
    { mtime: WRITTEN },
  );
}
