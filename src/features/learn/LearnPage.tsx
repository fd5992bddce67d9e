'use client';

import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { changeLog } from '@/core/field/changeLog';
import { isOpen } from '@/core/field/ledger';
import { useReader } from '@/ui/reader';
import { useBuild } from '../shell/BuildContext';
import { handOver } from '../shell/handOver';
import { FailureForm } from './FailureForm';
import { SegmentChecks } from '../shell/SegmentChecks';
import { FailureList } from './FailureList';
import { Lives } from './Lives';
import { Score } from './Score';
import { NextRevision } from './NextRevision';
import { RevisionLine } from './RevisionLine';

/** What broke, what changed from revision to revision, and the next one. */
export function LearnPage() {
  const { build, failures, revisions, revision, runs } = useBuild();
  const { reader } = useReader();
  const open = useSearchParams().get('open');
  const path = usePathname();
  const router = useRouter();
  const openCount = failures.filter(isOpen).length;

  const show = (what: 'failure' | 'next') => router.replace(`${path}?open=${what}`, { scroll: false });
  const log = () => handOver(`${build.name}-changes.md`.toLowerCase().replace(/[^a-z0-9.]+/g, '-'), 'text/markdown', changeLog({ build, revisions: [...revisions], runs: [...runs], failures: [...failures] }, reader));
  const done = () => router.replace(path, { scroll: false });

  return (
    <main className="readings" style={{ maxWidth: 1240 }}>
      <h1 className="answer">
        {failures.length === 0 ? `Nothing has failed in ${revisions.length} revision${revisions.length === 1 ? '' : 's'}.` : `${failures.length} failure${failures.length === 1 ? '' : 's'} in ${revisions.length} revision${revisions.length === 1 ? '' : 's'}, ${openCount} still open.`}
      </h1>
      <div className="row" style={{ margin: '10px 0' }}>
        <button type="button" className="btn" onClick={() => show('failure')}>Note a failure of {revision.letter}</button>
        <button type="button" className="btn main" onClick={() => show('next')}>Open the next revision</button>
      </div>
      {open === 'failure' ? <FailureForm onDone={done} /> : null}
      {open === 'next' ? <NextRevision onDone={done} /> : null}
      <div className="cap" style={{ marginTop: 14 }}>Failures</div>
      <FailureList />
      <Score />
      <Lives />
      <div className="cap" style={{ marginTop: 18 }}><span>Revisions</span><button type="button" className="link" onClick={log}>Change log as Markdown</button></div>
      <RevisionLine />
      <SegmentChecks segment="learn" />
    </main>
  );
}
