import { proxy } from 'comlink';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { RatioRange } from '@/core/physics/search/sweep';
import type { LibraryItem } from '@/core/car/library/kinds';
import { workerOf } from '@/workers/clients';
import { type NamedRow, namedRows } from './explorerRows';

const MOST_WORKERS = 2;

const handsOf = () =>
  Array.from({ length: Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 1) }, (_, hand) =>
    workerOf('sweep', hand),
  );

export interface Sweep {
  readonly rows: readonly NamedRow[] | undefined;
  /** Of how many, while it is under way. */
  readonly progress: { done: number; of: number } | undefined;
  start(
    document: BuildDocument,
    surface: ChosenSurface,
    library: readonly LibraryItem[],
    ratios: RatioRange,
    count: number,
  ): void;
  cancel(): void;
}

/** A sweep shared out over the cores; the rows of the last one stay until the next is whole. */
export function useSweep(): Sweep {
  const [rows, setRows] = useState<readonly NamedRow[]>();
  const [progress, setProgress] = useState<{ done: number; of: number }>();
  const turn = useRef(0);

  const cancel = useCallback(() => {
    if (turn.current > 0) for (const hand of handsOf()) void hand.cancel();
    turn.current++;
    setProgress(undefined);
  }, []);

  // what nobody waits for any longer stops
  useEffect(() => cancel, [cancel]);

  const start = useCallback<Sweep['start']>((document, surface, library, ratios, count) => {
    const hands = handsOf();
    const mine = ++turn.current;
    const of = hands.length;
    const report = proxy(async (done: number) => {
      if (mine === turn.current) setProgress((now) => ({ done: (now?.done ?? 0) + done, of: count }));
    });
    setProgress({ done: 0, of: count });
    const given = library.filter(({ kind }) => kind === 'motor' || kind === 'battery');
    void Promise.all(
      hands.map((hand, part) => hand.sweep(document, surface, given, ratios, part, of, report)),
    ).then((parts) => {
      if (mine !== turn.current) return;
      if (parts.some((part) => part === undefined)) return setProgress(undefined);
      const found = Array.from({ length: count }, (_, index) => parts[index % of]![Math.floor(index / of)]!);
      // in a task of its own, and painted in pieces, so that the page stays quick
      setTimeout(() => {
        const named = namedRows(found, library);
        startTransition(() => {
          setProgress(undefined);
          setRows(named);
        });
      });
    });
  }, []);

  return { rows, progress, start, cancel };
}
