import { useCallback, useMemo, useState } from 'react';
import type { CopyRecord, PrintRecord } from '@/core/car/records/prints';
import type { KeptBuild, RevisionRecord, Versioned } from '@/core/car/records/records';
import type { LibraryItem } from '@/core/car/library/kinds';
import type { BuildPage } from './buildPage';

/** The revisions with what was said of them on this page. */
export function useRevisions(
  held: RevisionRecord[],
): Pick<BuildPage, 'keepRevision'> & { revisions: RevisionRecord[] } {
  const [said, setSaid] = useState<ReadonlyMap<string, Pick<RevisionRecord, 'learned' | 'closedAt'>>>(
    new Map(),
  );
  const keepRevision = useCallback(
    ({ id, learned, closedAt }: RevisionRecord) =>
      setSaid((all) => new Map(all).set(id, { learned, closedAt })),
    [],
  );
  const revisions = useMemo(
    () =>
      said.size === 0 ? held : held.map((one) => (said.has(one.id) ? { ...one, ...said.get(one.id) } : one)),
    [held, said],
  );
  return { revisions, keepRevision };
}

/** Queue, log and copies as this page knows them. */
export function usePrinted(
  whole: KeptBuild,
): Pick<BuildPage, 'prints' | 'copies' | 'keepPrint' | 'dropPrint' | 'keepCopy'> {
  const [prints, setPrints] = useState(whole.prints);
  const [copies, setCopies] = useState(whole.copies);
  const keepPrint = useCallback((print: Versioned<PrintRecord>, own: readonly Versioned<CopyRecord>[]) => {
    setPrints((all) =>
      all.some(({ id }) => id === print.id)
        ? all.map((one) => (one.id === print.id ? print : one))
        : [...all, print],
    );
    setCopies((all) => [...all.filter(({ printId }) => printId !== print.id), ...own]);
  }, []);
  const dropPrint = useCallback((id: string) => {
    setPrints((all) => all.filter((print) => print.id !== id));
    setCopies((all) => all.filter(({ printId }) => printId !== id));
  }, []);
  const keepCopy = useCallback(
    (copy: Versioned<CopyRecord>) => setCopies((all) => all.map((one) => (one.id === copy.id ? copy : one))),
    [],
  );
  return useMemo(
    () => ({ prints, copies, keepPrint, dropPrint, keepCopy }),
    [prints, copies, keepPrint, dropPrint, keepCopy],
  );
}

/** The library as this page knows it. */
export function useLibrary(
  stocked: readonly LibraryItem[],
): Pick<BuildPage, 'library' | 'keepItem' | 'dropItem'> {
  const [library, setLibrary] = useState(stocked);
  const keepItem = useCallback(
    (item: LibraryItem) => setLibrary((all) => [...all.filter(({ id }) => id !== item.id), item]),
    [],
  );
  const dropItem = useCallback((id: string) => setLibrary((all) => all.filter((item) => item.id !== id)), []);
  return { library, keepItem, dropItem };
}
