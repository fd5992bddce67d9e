'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { describeChanges } from '@/core/build/describe';
import type { BuildDocument } from '@/core/build/document';
import { thingsChanged } from '@/core/field/changeLog';
import { driveRun } from '@/core/drive/run';
import { runInputOf } from '@/core/drive/runOfBuild';
import { measuredSpeedOf } from '@/core/field/measured';
import type { RevisionRecord, RunRecord } from '@/core/field/records';
import { formatText, formatWithError } from '@/core/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../shell/BuildContext';

/** The revisions in their order: parent, what changed, why, what it should do, what it did. */
export function RevisionLine() {
  const { revisions, revision, document } = useBuild();
  const live = (one: RevisionRecord) => (one.id === revision.id ? document : one.document);
  return (
    <div className="line" data-testid="revisions">
      {revisions.map((one) => {
        const parent = revisions.find(({ id }) => id === one.parentId);
        return <RevisionCard key={one.id} revision={one} document={live(one)} parent={parent} parentDocument={parent ? live(parent) : undefined} />;
      })}
    </div>
  );
}

interface RevisionCardProps {
  revision: RevisionRecord;
  document: BuildDocument;
  parent: RevisionRecord | undefined;
  parentDocument: BuildDocument | undefined;
}

function topSpeedOf(document: BuildDocument): number | undefined {
  const surface = document.brief.surfaces[0];
  const input = surface ? runInputOf(document, surface) : undefined;
  return input?.ok ? driveRun(input.value).topSpeedMps : undefined;
}

function RevisionCard({ revision, document, parent, parentDocument }: RevisionCardProps) {
  const { build, runs, failures } = useBuild();
  const { reader } = useReader();
  const changes = useMemo(() => (parentDocument ? describeChanges(parentDocument, document, reader) : []), [parentDocument, document, reader]);
  const things = thingsChanged(changes).length;
  const predicted = useMemo(() => topSpeedOf(document), [document]);
  const before = useMemo(() => (parentDocument ? topSpeedOf(parentDocument) : undefined), [parentDocument]);
  const speed = (value: number) => formatText(value, 'speedMps', reader);
  const own = runs.filter(({ revisionId }) => revisionId === revision.id);
  const broke = failures.filter(({ revisionId }) => revisionId === revision.id).length;
  return (
    <article className="rev" aria-label={`Revision ${revision.letter}`}>
      <h3><Link href={`/builds/${build.id}/${revision.letter}/drive`}>{revision.letter}</Link>{parent ? <span className="quiet" style={{ fontSize: 13, fontWeight: 500 }}>on {parent.letter}</span> : <span className="quiet" style={{ fontSize: 13, fontWeight: 500 }}>the first</span>}</h3>
      {revision.why ? <p><b>Why:</b> {revision.why}</p> : null}
      {revision.expected ? <p><b>Should:</b> {revision.expected}</p> : null}
      <p>
        {predicted === undefined ? 'Not predicted yet. ' : <>Predicted {before === undefined ? '' : <span className="quiet">{speed(before)} → </span>}<b>{speed(predicted)}</b>. </>}
        <MeasuredEffect own={own} before={parent ? runs.filter(({ revisionId }) => revisionId === parent.id) : []} />
        {broke > 0 ? ` ${broke} failure${broke === 1 ? '' : 's'}.` : ''}
      </p>
      {parent ? (
        <ul className="diff" aria-label={`What changed from ${parent.letter}`}>
          {changes.map(({ path, label, before: was, after }) => <li key={path.join('.')}><span>{label}</span><span><span className="quiet">{was}</span> → <b>{after}</b></span></li>)}
          {changes.length === 0 ? <li>Nothing changed yet.</li> : null}
        </ul>
      ) : null}
      {things > 1 ? <p className="quiet" style={{ fontSize: 13, marginTop: 4 }}>{things} things changed at once: what was measured belongs to all of them together.</p> : null}
    </article>
  );
}

function MeasuredEffect({ own, before }: { own: readonly RunRecord[]; before: readonly RunRecord[] }) {
  const { reader } = useReader();
  const now = measuredSpeedOf(own, 'timedDistance');
  const then = measuredSpeedOf(before, 'timedDistance');
  if (!now) return <span className="quiet">No timed run yet.</span>;
  const speed = (value: number) => formatText(value, 'speedMps', reader);
  return <span className="slate">Measured {then ? `${speed(then.speedMps)} → ` : ''}<b>{formatWithError(now.speedMps, now.errorMps, 'speedMps', reader)}</b>{then ? ` (${signed(now.speedMps - then.speedMps, speed)})` : ''}.</span>;
}

const signed = (difference: number, words: (value: number) => string) => `${difference >= 0 ? '+' : '−'}${words(Math.abs(difference))}`;
