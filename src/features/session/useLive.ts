import { useEffect, useRef, useState } from 'react';
import { HERE_FOR_MS, type LiveEvent } from '@/core/car/records/live';
import type { KeptBuild } from '@/core/car/records/records';
import { callApi, TAB, workshopOfPage } from '../api';
import type { BuildPage } from './buildPage';
import { lookAgain } from './pageSession';

/** Who else has a build open. */
export interface Present {
  id: string;
  name: string;
}

const AGAIN_AFTER_MS = 5000;
const TOGETHER_MS = 400;

/** Takes in the records that others added, and leaves out those that they deleted. */
async function lookAtRecords(page: BuildPage): Promise<void> {
  const known = { runs: page.runs, failures: page.failures, prints: page.prints };
  const found = await callApi<KeptBuild>('GET', `/api/builds/${page.build.id}`).catch(() => undefined);
  if (!found) return;
  const gone = (name: keyof typeof known) =>
    known[name].filter(({ id }) => !found[name].some((one) => one.id === id));
  for (const { id } of gone('runs')) page.dropRun(id);
  for (const { id } of gone('failures')) page.dropFailure(id);
  for (const { id } of gone('prints')) page.dropPrint(id);
  // what is known is left as it is: it may be under the fingers, and a change to it is joined when it is sent
  const isNew = (name: keyof typeof known, id: string) => !known[name].some((one) => one.id === id);
  for (const run of found.runs) if (isNew('runs', run.id)) page.keepRun(run);
  for (const failure of found.failures) if (isNew('failures', failure.id)) page.keepFailure(failure);
  for (const print of found.prints)
    if (isNew('prints', print.id))
      page.keepPrint(
        print,
        found.copies.filter(({ printId }) => printId === print.id),
      );
}

const OF_REVISION = /^\/api\/revisions\/([^/]+)(\/\w+)?$/;
const OF_RECORD = /^\/api\/(?:runs|failures|prints|copies)\/([^/]+)(\/restore)?$/;

/** What of a page another has written; nothing where it is of another build, or not of builds at all. */
export function touchedBy(
  { method, path }: { method: string; path: string },
  { revision, revisions, runs, failures, prints, copies }: Touchable,
): 'document' | 'records' | undefined {
  const [, revisionId, inside] = OF_REVISION.exec(path) ?? [];
  if (revisionId !== undefined) {
    if (inside === undefined) return method === 'PUT' && revisionId === revision.id ? 'document' : undefined;
    return revisions.some(({ id }) => id === revisionId) ? 'records' : undefined;
  }
  const [, recordId, restored] = OF_RECORD.exec(path) ?? [];
  if (recordId === undefined) return undefined;
  const isKnown = [runs, failures, prints, copies].some((all) => all.some(({ id }) => id === recordId));
  return isKnown || restored !== undefined ? 'records' : undefined;
}

type Named = readonly { id: string }[];
interface Touchable {
  revision: { id: string };
  revisions: Named;
  runs: Named;
  failures: Named;
  prints: Named;
  copies: Named;
}

/**
 * Keeps a page as others leave the build: their edits arrive while it is in front.
 *
 * @returns the others who have it open
 */
export function useLive(page: BuildPage): readonly Present[] {
  const [present, setPresent] = useState<readonly Present[]>([]);
  const latest = useRef(page);
  useEffect(() => {
    latest.current = page;
  });
  const { session, build, revision } = page;
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    const tabs = new Map<string, { person: Present; until: number }>();
    const show = () => {
      const now = Date.now();
      for (const [tab, { until }] of tabs) if (until < now) tabs.delete(tab);
      const others = [...new Map([...tabs.values()].map(({ person }) => [person.id, person])).values()];
      setPresent((shown) => (JSON.stringify(shown) === JSON.stringify(others) ? shown : others));
    };
    let records: ReturnType<typeof setTimeout> | undefined;
    const take = (event: LiveEvent | 'look') => {
      if (event === 'look') return void lookAgain(session, revision.id);
      if (event.what === 'written') {
        if (event.tab === TAB) return;
        const touched = touchedBy(event, latest.current);
        if (touched === 'document') return void lookAgain(session, revision.id);
        if (touched === undefined) return;
        clearTimeout(records);
        records = setTimeout(() => void lookAtRecords(latest.current), TOGETHER_MS);
        return;
      }
      if (event.tab === TAB || !event.person) return;
      if (event.what === 'gone') tabs.delete(event.tab);
      else tabs.set(event.tab, { person: event.person, until: Date.now() + HERE_FOR_MS });
      show();
    };
    let source: EventSource | undefined;
    let again: ReturnType<typeof setTimeout> | undefined;
    const close = () => {
      clearTimeout(again);
      source?.close();
      source = undefined;
    };
    // a browser keeps few connections to one server: only the page in front has one
    const open = () => {
      close();
      if (document.visibilityState !== 'visible') return;
      const workshop = workshopOfPage();
      const query = new URLSearchParams({ tab: TAB, ...(workshop === undefined ? {} : { workshop }) });
      source = new EventSource(`/api/builds/${build.id}/live?${query.toString()}`);
      source.onmessage = ({ data }) => take(JSON.parse(String(data)) as LiveEvent | 'look');
      source.onerror = () => {
        if (source?.readyState === EventSource.CLOSED) again = setTimeout(open, AGAIN_AFTER_MS);
      };
    };
    open();
    const pruned = setInterval(show, HERE_FOR_MS / 3);
    const back = () => {
      open();
      if (document.visibilityState === 'visible') void lookAtRecords(latest.current);
    };
    document.addEventListener('visibilitychange', back);
    return () => {
      close();
      clearTimeout(records);
      clearInterval(pruned);
      document.removeEventListener('visibilitychange', back);
    };
  }, [session, build.id, revision.id]);
  return present;
}
