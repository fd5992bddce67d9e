import { refusal } from '../../base/errors';
import type { Mesh } from './mesh';
import { read3mf } from './read3mf';
import { readObj } from './readObj';
import { readStl } from './readStl';

declare module '../../base/errors' {
  interface RefusalFacts {
    'meshFile.unknown': { name: string };
  }
}

/** A mesh from a file's bytes, by its name's ending. @throws CalcError at `file` for what is no mesh */
export function readMeshFile(bytes: Uint8Array, name: string): Mesh {
  const kind = name.toLowerCase().split('.').at(-1);
  if (kind === '3mf' || (bytes[0] === 0x50 && bytes[1] === 0x4b)) return read3mf(bytes, 'file');
  if (kind === 'obj') return readObj(new TextDecoder().decode(bytes), 'file');
  if (kind === 'stl') return readStl(bytes, 'file');
  throw refusal('file', 'meshFile.unknown', { name: name.slice(-20) });
}
