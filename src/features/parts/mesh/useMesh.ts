import { useEffect, useState } from 'react';
import type { PartMesh } from '@/core/car/parts/parts';
import type { SeenMesh } from '@/workers/parts.worker';
import { sentenceOf } from '../../api';
import { fileOf } from '../../session/meshFiles';
import { workerOf } from '@/workers/clients';

export interface ReadMesh {
  key?: string;
  seen?: SeenMesh;
  problem?: string;
}

export const meshKey = ({ hash, unitMm }: Pick<PartMesh, 'hash' | 'unitMm'>): string => `${hash} ${unitMm}`;

/** The mesh of a part, read in the worker. */
export function useMesh(mesh: PartMesh | undefined): ReadMesh {
  const [read, setRead] = useState<ReadMesh>({});
  const key = mesh ? meshKey(mesh) : undefined;
  const { hash, name, unitMm } = mesh ?? {};
  useEffect(() => {
    if (!key || !hash || !name || unitMm === undefined) return;
    let current = true;
    void (async () => {
      try {
        const found = await workerOf('parts').read(key, await fileOf(hash), name, unitMm);
        if (current)
          setRead(
            'refused' in found
              ? {
                  key,
                  problem: `The mesh ${found.refused.message}${found.refused.remedy ? `: ${found.refused.remedy}` : ''}.`,
                }
              : { key, seen: found },
          );
      } catch (error) {
        if (current) setRead({ key, problem: sentenceOf(error) });
      }
    })();
    return () => {
      current = false;
    };
  }, [key, hash, name, unitMm]);
  return read.key === key ? read : {};
}
