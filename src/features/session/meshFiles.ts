import { ApiProblem, callApi, heldOfPage } from '../api';

export const MOST_BYTES = 50 * 1024 * 1024;

/** Files that this tab has seen, by the hash of what they hold. */
const seenFiles = new Map<string, Uint8Array<ArrayBuffer>>();

/** Sends a mesh's file to the workshop, which names it by what it holds. */
export async function keepFile(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const { hash } = await callApi<{ hash: string }>('POST', '/api/meshes', undefined, {
    body: bytes,
    headers: { 'content-type': 'application/octet-stream' },
  });
  seenFiles.set(hash, bytes);
  return hash;
}

export async function fileOf(hash: string): Promise<Uint8Array<ArrayBuffer>> {
  const known = seenFiles.get(hash);
  if (known) return known;
  const response = await fetch(heldOfPage('meshes', hash)).catch(() => undefined);
  if (!response)
    throw new ApiProblem(0, 'unreachable', { message: 'No connection to the server.' }, undefined);
  if (!response.ok)
    throw new ApiProblem(
      response.status,
      'notFound',
      { message: 'This workshop does not hold the mesh of the part.', remedy: 'drop its file here again' },
      undefined,
    );
  const bytes = new Uint8Array(await response.arrayBuffer());
  seenFiles.set(hash, bytes);
  return bytes;
}
