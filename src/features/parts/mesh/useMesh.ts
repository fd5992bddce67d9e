import '@/words/later/bringIn';
import { useEffect, useState } from 'react';
import type { PartMesh } from '@/core/car/parts/parts';
import type { SeenMesh } from '@/workers/parts.worker';
import { sentenceOf } from '../../api';
import { fileOf } from '../../session/meshFiles';
import { workerOf } from '@/workers/clients';
import { refusalText } from '@/words/refusals/problemOf';
import { useReader } from '@/ui/reader';
import type { Refused } from '@/core/base/errors';

export interface ReadMesh {
  key?: string;
  seen?: SeenMesh;
  problem?: string;
}

export const meshKey = ({ hash, unitMm }: Pick<PartMesh, 'hash' | 'unitMm'>): string => `${hash} ${unitMm}`;

/** The mesh of a part, read in the worker. */
export function useMesh(mesh: PartMesh | undefined): ReadMesh {
  const { reader } = useReader();
  const [read, setRead] = useState<ReadMesh & { refused?: Refused }>({});
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
                  refused: found.refused,
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
  if (read.key !== key) return {};
  const { refused, ...found } = read;
  return refused ? { ...found, problem: `The mesh ${refusalText(refused, reader)}.` } : found;
}
