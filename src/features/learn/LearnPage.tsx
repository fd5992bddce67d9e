'use client';

import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { isOpen } from '@/core/field/ledger';
import { useBuild } from '../shell/BuildContext';
import { FailureForm } from './FailureForm';
import { SegmentChecks } from '../shell/SegmentChecks';
import { FailureList } from './FailureList';
import { Lives } from './Lives';
import { Score } from './Score';
import { NextRevision } from './NextRevision';
import { RevisionLine } from './RevisionLine';

/** What broke, what changed from revision to revision, and the next one. */
export function LearnPage() {
  const { failures, revisions, revision } = useBuild();
  const open = useSearchParams().get('open');
  const path = usePathname();
  const router = useRouter();
  const openCount = failures.filter(isOpen).length;

  const show = (what: 'failure' | 'next') => router.replace(`${path}?open=${what}`, { scroll: false });
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
      <div className="cap" style={{ marginTop: 18 }}>Revisions</div>
      <RevisionLine />
      <SegmentChecks segment="learn" />
    </main>
  );
}
