import { useEffect, useRef } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import type { RevisionRecord } from '@/core/car/records/records';
import { ApiProblem, callApi, outliving } from '../api';
import { BuildSession, type SaveAnswer } from './buildSession';
import { keepSteps } from './keptSteps';

/** The session of a revision, as its page opens it. */
export function sessionFor(
  revision: RevisionRecord,
  revisions: readonly RevisionRecord[],
  mayEdit: boolean,
): BuildSession {
  return new BuildSession({
    document: revision.document,
    version: revision.version,
    closed:
      !mayEdit ||
      revision.closedAt !== undefined ||
      revisions.some(({ parentId }) => parentId === revision.id),
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
export function useLastSave(session: BuildSession): void {
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
export function useWarning(session: BuildSession): void {
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      const { save } = session.snapshot();
      if (save === 'failed' || save === 'refused') event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [session]);
}

/** Takes over a document that was saved elsewhere; edits that are on their way are joined when they are sent. */
export async function lookAgain(session: BuildSession, revisionId: string): Promise<void> {
  const found = await callApi<RevisionRecord>('GET', `/api/revisions/${revisionId}`).catch(() => undefined);
  if (found) session.adopt(found.version, found.document);
}

/** Takes over what another tab or an earlier visit saved, when this page opens or comes back to the front. */
export function useFreshDocument(session: BuildSession, revisionId: string | undefined): void {
  useEffect(() => {
    if (revisionId === undefined) return;
    let current = true;
    const look = async () => {
      if (document.visibilityState === 'visible' && current) await lookAgain(session, revisionId);
    };
    void look();
    document.addEventListener('visibilitychange', look);
    return () => {
      current = false;
      document.removeEventListener('visibilitychange', look);
    };
  }, [session, revisionId]);
}
