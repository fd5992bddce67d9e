'use client';

import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useMemo,
  useState,
  useSyncExternalStore,
} from 'react';
import type { Patch } from '@/core/base/patch';
import type { Check } from '@/core/verdict/engine/check';
import type { FailureRecord, RunRecord, Versioned } from '@/core/car/records/records';
import { checksOnRecord } from '@/core/verdict/record';
import { rootOf } from '../shared/rootOf';
import { useAccess } from './access';
import type { SessionState } from './buildSession';
import type { BuildPage, Ghost } from './buildPage';
import { useKeptSteps } from './keptSteps';
import type { BuildData } from './packedBuild';
import { sessionFor, useFreshDocument, useLastSave, useWarning } from './pageSession';
import { useChecks } from './useChecks';
import { useLibrary, usePrinted, useRevisions } from './usePageRecords';

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
  const access = useAccess();
  const mayEdit = access?.role !== 'viewer';
  const root = rootOf(access, whole.build.id);
  // what this tab and this workshop know of a build of the same name is of another
  const ownRevision = access?.shared ? undefined : revision.id;
  const [session] = useState(() => sessionFor(revision, revisions, mayEdit));
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
  useKeptSteps(session, ownRevision);
  useFreshDocument(session, ownRevision);

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
      root,
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
      root,
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
