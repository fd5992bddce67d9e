import { useEffect, useState } from 'react';
import type { PartMesh } from '@/core/car/parts/parts';
import { fileOf } from '../../session/meshFiles';
import { workerOf } from '@/workers/clients';

/** Surfaces of meshes by their hashes, read one after the other; one that cannot be read is left out. */
export function useDrawnMeshes(meshes: readonly PartMesh[]): ReadonlyMap<string, Float32Array> {
  const [read, setRead] = useState<ReadonlyMap<string, Float32Array>>(new Map());
  const wanted = [...new Map(meshes.map((mesh) => [mesh.hash, mesh])).values()].filter(
    ({ hash }) => !read.has(hash),
  );
  const next = wanted[0];
  const { hash, name, unitMm } = next ?? {};
  useEffect(() => {
    if (hash === undefined || name === undefined || unitMm === undefined) return;
    let current = true;
    const keep = (positions: Float32Array) =>
      current && setRead((known) => new Map(known).set(hash, positions));
    void (async () => {
      try {
        const found = await workerOf('parts').read(`${hash} ${unitMm}`, await fileOf(hash), name, unitMm);
        keep('refused' in found ? new Float32Array() : found.positions);
      } catch {
        keep(new Float32Array());
      }
    })();
    return () => {
      current = false;
    };
  }, [hash, name, unitMm]);
  return read;
}
