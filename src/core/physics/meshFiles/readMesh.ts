import { fromBase64 } from '../../base/base64';
import type { Mesh } from './mesh';
import { read3mf } from './read3mf';
import { readObj } from './readObj';
import { readStl } from './readStl';

/** A mesh as text: STL or 3MF in base64, or OBJ. */
export type MeshText = { stlBase64: string } | { threeMfBase64: string } | { objText: string };

/**
 * A mesh from its file's text.
 *
 * @throws CalcError at the field that holds it: broken, empty, too large
 */
export function readMesh(text: MeshText): Mesh {
  if ('stlBase64' in text) return readStl(fromBase64(text.stlBase64, 'mesh.stlBase64'), 'mesh.stlBase64');
  if ('threeMfBase64' in text)
    return read3mf(fromBase64(text.threeMfBase64, 'mesh.threeMfBase64'), 'mesh.threeMfBase64');
  return readObj(text.objText, 'mesh.objText');
}
