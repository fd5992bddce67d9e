'use client';

import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { Patch } from '@/core/base/patch';
import type { Check, Thresholds } from '@/core/verdict/engine/check';
import type {
  FailureRecord,
  KeptBuild,
  RevisionRecord,
  RunRecord,
  Versioned,
} from '@/core/car/records/records';
import type { LibraryItem } from '@/core/car/library/kinds';
import { checksOnRecord } from '@/core/verdict/record';
import type { CopyRecord, PrintRecord, PrintSheet } from '@/core/car/records/prints';
import { callApi, ApiProblem, outliving } from '../api';
import { BuildSession, type SaveAnswer, type SessionState } from './buildSession';
import { keepSteps, useKeptSteps } from './keptSteps';
import type { BuildData } from './packedBuild';
import { useChecks } from './useChecks';

/** A whole second document that every figure of a page is compared with; never saved. */
export interface Ghost {
  readonly label: string;
  readonly document: BuildDocument;
}

export interface BuildPage extends Omit<KeptBuild, 'revisions'> {
  readonly revision: RevisionRecord;
  readonly revisions: readonly RevisionRecord[];
  readonly library: readonly LibraryItem[];
  readonly thresholds: Thresholds;
  /** What the whole workshop has printed, for what it says of each printer. */
  readonly finishedPrints: readonly PrintSheet[];
  readonly printAheadMinutes: number | undefined;
  readonly session: BuildSession;
  readonly document: BuildDocument;
  readonly closed: boolean;
  readonly surface: ChosenSurface | undefined;
  readonly ghost: Ghost | undefined;
  edit(patch: Patch, stepKey?: string): void;
  chooseSurface(id: string): void;
  setGhost(ghost: Ghost | undefined): void;
  /** What was said of a revision: what it taught, and whether it is closed. */
  keepRevision(revision: RevisionRecord): void;
  keepRun(run: RunRecord): void;
  dropRun(id: string): void;
  keepFailure(failure: Versioned<FailureRecord>): void;
  dropFailure(id: string): void;
  keepPrint(print: Versioned<PrintRecord>, copies: readonly Versioned<CopyRecord>[]): void;
  dropPrint(id: string): void;
  keepCopy(copy: Versioned<CopyRecord>): void;
  keepItem(item: LibraryItem): void;
  dropItem(id: string): void;
}

const BuildContext = createContext<BuildPage | undefined>(undefined);
/** Apart from the build: they come later, and what shows none of them is not drawn again. */
const ChecksContext = createContext<readonly Check[]>([]);
const SaveContext = createContext<SessionState | undefined>(undefined);

export function useBuild(): BuildPage {
  const page = useContext(BuildContext);
  if (!page) throw new Error('useBuild needs a BuildProvider above it');
  return page;
}

/** Of the build as it is, with what was printed, run and broken. */
export const useBuildChecks = (): readonly Check[] => useContext(ChecksContext);

/** What is saved, what can be undone, and what two pages disagree on. */
export function useSaveState(): SessionState {
  const state = useContext(SaveContext);
  if (!state) throw new Error('useSaveState needs a BuildProvider above it');
  return state;
}

interface BuildProviderProps extends Omit<BuildData, 'builds'> {
  revisionId: string;
  children: ReactNode;
}

export function BuildProvider({
  whole,
  revisionId,
  library: stocked,
  thresholds,
  finishedPrints,
  printAheadMinutes,
  children,
}: BuildProviderProps) {
  const { revisions, keepRevision } = useRevisions(whole.revisions);
  const revision = revisions.find(({ id }) => id === revisionId)!;
  const [session] = useState(() => sessionFor(revision, revisions));
  const state = useSyncExternalStore(session.subscribe, session.snapshot, session.snapshot);
  const [surfaceId, chooseSurface] = useState<string>();
  const [ghost, setGhost] = useState<Ghost>();
  const [runs, setRuns] = useState(whole.runs);
  const [failures, setFailures] = useState(whole.failures);
  const printed = usePrinted(whole);
  const { prints, copies } = printed;
  const { library, keepItem, dropItem } = useLibrary(stocked);
  const { document } = state;
  const closed = state.save === 'closed';
  const surface = document.brief.surfaces.find(({ id }) => id === surfaceId) ?? document.brief.surfaces[0];
  const ofDocument = useChecks(document, surface, thresholds);
  const checks = useMemo(
    () => [
      ...ofDocument,
      ...checksOnRecord({ document, revisionId, revisions, runs, failures, prints, copies }),
    ],
    [ofDocument, document, revisionId, revisions, runs, failures, prints, copies],
  );
  useLastSave(session);
  useWarning(session);
  useKeptSteps(session, revision.id);
  useFreshDocument(session, revision.id);

  const edit = useCallback((patch: Patch, stepKey?: string) => session.edit(patch, stepKey), [session]);
  const keepRun = useCallback(
    (run: RunRecord) => setRuns((all) => [...all.filter(({ id }) => id !== run.id), run]),
    [],
  );
  const dropRun = useCallback((id: string) => setRuns((all) => all.filter((run) => run.id !== id)), []);
  const keepFailure = useCallback(
    (failure: Versioned<FailureRecord>) =>
      setFailures((all) =>
        all.some(({ id }) => id === failure.id)
          ? all.map((one) => (one.id === failure.id && one.version <= failure.version ? failure : one))
          : [...all, failure],
      ),
    [],
  );
  const dropFailure = useCallback(
    (id: string) => setFailures((all) => all.filter((failure) => failure.id !== id)),
    [],
  );

  const page = useMemo<BuildPage>(
    () => ({
      build: whole.build,
      revisions,
      revision,
      library,
      thresholds,
      finishedPrints,
      printAheadMinutes,
      session,
      document,
      closed,
      surface,
      ghost,
      runs,
      failures,
      ...printed,
      edit,
      chooseSurface,
      setGhost,
      keepRevision,
      keepRun,
      dropRun,
      keepFailure,
      dropFailure,
      keepItem,
      dropItem,
    }),
    [
      whole.build,
      revisions,
      keepRevision,
      revision,
      library,
      thresholds,
      finishedPrints,
      printAheadMinutes,
      session,
      document,
      closed,
      surface,
      ghost,
      runs,
      failures,
      printed,
      edit,
      keepRun,
      dropRun,
      keepFailure,
      dropFailure,
      keepItem,
      dropItem,
    ],
  );
  return (
    <BuildContext.Provider value={page}>
      <SaveContext.Provider value={state}>
        <ChecksContext.Provider value={checks}>{children}</ChecksContext.Provider>
      </SaveContext.Provider>
    </BuildContext.Provider>
  );
}

/** The revisions with what was said of them on this page. */
function useRevisions(
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
function usePrinted(
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
function useLibrary(stocked: readonly LibraryItem[]): Pick<BuildPage, 'library' | 'keepItem' | 'dropItem'> {
  const [library, setLibrary] = useState(stocked);
  const keepItem = useCallback(
    (item: LibraryItem) => setLibrary((all) => [...all.filter(({ id }) => id !== item.id), item]),
    [],
  );
  const dropItem = useCallback((id: string) => setLibrary((all) => all.filter((item) => item.id !== id)), []);
  return { library, keepItem, dropItem };
}

function sessionFor(revision: RevisionRecord, revisions: readonly RevisionRecord[]): BuildSession {
  return new BuildSession({
    document: revision.document,
    version: revision.version,
    closed: revision.closedAt !== undefined || revisions.some(({ parentId }) => parentId === revision.id),
    send: (version, document) => send(revision.id, version, document),
    keepSteps: (steps) => keepSteps(revision.id, steps),
    later: (run, milliseconds) => {
      const timer = setTimeout(run, milliseconds);
      return () => clearTimeout(timer);
    },
    now: () => Date.now(),
  });
}

async function send(revisionId: string, version: number, document: BuildDocument): Promise<SaveAnswer> {
  try {
    const saved = await callApi<{ version: number }>(
      'PUT',
      `/api/revisions/${revisionId}`,
      { version, document },
      outliving({ version, document }),
    );
    return { kind: 'saved', version: saved.version };
  } catch (error) {
    if (!(error instanceof ApiProblem)) return { kind: 'unreachable' };
    const problem = {
      path: error.path,
      message: error.message,
      ...(error.remedy ? { remedy: error.remedy } : {}),
    };
    if (error.code === 'conflict')
      return {
        kind: 'conflict',
        ...(error.body as { current: { version: number; document: BuildDocument } }).current,
      };
    if (error.code === 'locked') return { kind: 'closed', problem };
    if (error.status === 422) return { kind: 'refused', problem };
    return error.status === 0 ? { kind: 'unreachable' } : { kind: 'unreachable', problem };
  }
}

/** Saves what is waiting when the page is left or hidden. */
function useLastSave(session: BuildSession): void {
  const held = useRef(session);
  useEffect(() => {
    const flush = () => void held.current.flush();
    window.addEventListener('pagehide', flush);
    document.addEventListener('visibilitychange', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      document.removeEventListener('visibilitychange', flush);
      flush();
    };
  }, []);
}

/** Asks before a page is closed whose changes the workshop has not taken. */
function useWarning(session: BuildSession): void {
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      const { save } = session.snapshot();
      if (save === 'failed' || save === 'refused') event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [session]);
}

/** Takes over what another tab or an earlier visit saved, when this page opens or comes back to the front. */
function useFreshDocument(session: BuildSession, revisionId: string): void {
  useEffect(() => {
    let current = true;
    const look = async () => {
      if (document.visibilityState !== 'visible') return;
      const found = await callApi<RevisionRecord>('GET', `/api/revisions/${revisionId}`).catch(
        () => undefined,
      );
      if (current && found) session.adopt(found.version, found.document);
    };
    void look();
    document.addEventListener('visibilitychange', look);
    return () => {
      current = false;
      document.removeEventListener('visibilitychange', look);
    };
  }, [session, revisionId]);
}
