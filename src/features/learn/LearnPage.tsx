'use client';

import { useEffect, useState } from 'react';
import { useBuild } from '../shell/BuildContext';
import { FailureForm } from './FailureForm';
import { FailureList } from './FailureList';
import { NextRevision } from './NextRevision';
import { RevisionLine } from './RevisionLine';

type Open = 'failure' | 'next' | undefined;

/** What broke, what changed from revision to revision, and the next one. */
export function LearnPage() {
  const { failures, revisions, revision } = useBuild();
  const [open, setOpen] = useState<Open>();
  const openCount = failures.filter(({ fix }) => !fix).length;

  useEffect(() => {
    const follow = () => {
      const wanted = window.location.hash.slice(1);
      if (wanted === 'failure' || wanted === 'next') setOpen(wanted);
    };
    queueMicrotask(follow);
    window.addEventListener('hashchange', follow);
    return () => window.removeEventListener('hashchange', follow);
  }, []);

  const done = () => {
    setOpen(undefined);
    window.history.replaceState(null, '', window.location.pathname);
  };

  return (
    <main className="readings" style={{ maxWidth: 1240 }}>
      <h1 className="answer">
        {failures.length === 0 ? `Nothing has failed in ${revisions.length} revision${revisions.length === 1 ? '' : 's'}.` : `${failures.length} failure${failures.length === 1 ? '' : 's'} in ${revisions.length} revision${revisions.length === 1 ? '' : 's'}, ${openCount} still open.`}
      </h1>
      <div className="row" style={{ margin: '10px 0' }}>
        <button type="button" className="btn" onClick={() => setOpen('failure')}>Note a failure of {revision.letter}</button>
        <button type="button" className="btn main" onClick={() => setOpen('next')}>Open the next revision</button>
      </div>
      {open === 'failure' ? <FailureForm onDone={done} /> : null}
      {open === 'next' ? <NextRevision onDone={done} /> : null}
      <div className="cap" style={{ marginTop: 10 }}>Revisions</div>
      <RevisionLine />
      <div className="cap" style={{ marginTop: 14 }}>Failures</div>
      <FailureList />
    </main>
  );
}
