import '@/words/later/bringIn';
import { useEffect, useMemo, useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import type { PartLies } from '@/core/car/parts/parts';
import { applyPatch, type Patch } from '@/core/base/patch';
import { liesMark, liesOf } from '@/core/worked/print/lies';
import { sentenceOf } from '../api';
import { useBuild } from './BuildContext';
import { fileOf } from './meshFiles';
import { workerOf } from '@/workers/clients';
import { problemOf } from '@/words/refusals/problemOf';
import type { Refused } from '@/core/base/errors';
import { useReader } from '@/ui/reader';
import type { Reader } from '@/core/base/units/formatQuantity';

export interface Measured {
  /** With every mesh measured as it lies. */
  document: BuildDocument;
  /** By part, why its mesh could not be measured. */
  problems: ReadonlyMap<string, string>;
}

/** Measures the meshes that were not measured as they lie now; an open revision keeps what was found. */
export function useMeasured(): Measured {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const [found, setFound] = useState<ReadonlyMap<string, PartLies | Refused | string>>(new Map());
  const open = document.parts.items.find(({ mesh }) => mesh && !liesOf(mesh) && !found.has(liesMark(mesh)));
  const mark = open ? liesMark(open.mesh!) : undefined;
  useEffect(() => {
    if (!open?.mesh || !mark) return;
    let current = true;
    const {
      id,
      mesh: { hash, name, unitMm, up },
    } = open;
    void (async () => {
      const answer = await measured(hash, name, unitMm, up);
      if (!current) return;
      if (isFound(answer) && !closed)
        edit(
          [{ path: ['parts', 'items', id, 'mesh', 'lies'], value: { of: mark, ...answer } }],
          `lies ${mark}`,
        );
      else setFound((all) => new Map(all).set(mark, isFound(answer) ? { of: mark, ...answer } : answer));
    })();
    return () => {
      current = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the mark says which mesh and how it lies
  }, [mark, closed]);
  return useMemo(() => {
    const known = document.parts.items.flatMap(({ id, mesh }) => {
      const lies = mesh ? found.get(liesMark(mesh)) : undefined;
      return lies === undefined ? [] : [{ id, lies }];
    });
    const patch: Patch = known.flatMap(({ id, lies }) =>
      isFound(lies) ? [{ path: ['parts', 'items', id, 'mesh', 'lies'], value: lies }] : [],
    );
    return {
      document: applyPatch(document, patch),
      problems: new Map(
        known.flatMap(({ id, lies }) => (isFound(lies) ? [] : [[id, saidOf(lies, reader)] as const])),
      ),
    };
  }, [document, found, reader]);
}

type Lies = Omit<PartLies, 'of'>;
const isFound = <L extends Lies>(answer: L | Refused | string): answer is L =>
  typeof answer !== 'string' && !('code' in answer);
const saidOf = (answer: Refused | string, reader: Reader): string =>
  typeof answer === 'string' ? answer : `The mesh ${problemOf(answer, reader).message}.`;

async function measured(
  hash: string,
  name: string,
  unitMm: number,
  up: readonly [number, number, number],
): Promise<Omit<PartLies, 'of'> | Refused | string> {
  try {
    const answer = await workerOf('print').lies({ bytes: await fileOf(hash), name, unitMm, up });
    return 'refused' in answer ? answer.refused : answer;
  } catch (error) {
    return sentenceOf(error);
  }
}
