import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import type { BuildDocument } from '@/core/build/document';
import type { WholeBuild } from '@/core/field/records';
import { listBuilds, wholeBuild } from '@/db/queries/builds';
import { listLibrary } from '@/db/queries/library';
import { finishedPrints } from '@/db/queries/prints';
import { settingsOf } from '@/db/queries/workshops';
import { BuildFrame } from '@/features/shell/BuildFrame';
import { orNotFound, visit } from '../../../serverPage';

export const dynamic = 'force-dynamic';

/** Runs that were driven with the same build hold one and the same document, which is then sent to the page once. */
function shareDocuments(whole: WholeBuild): void {
  const known = new Map<string, BuildDocument>(whole.revisions.map(({ document }) => [JSON.stringify(document), document]));
  for (const run of whole.runs) {
    const text = JSON.stringify(run.document);
    run.document = known.get(text) ?? known.set(text, run.document).get(text)!;
  }
}

export default async function RevisionLayout({ params, children }: { params: Promise<{ id: string; letter: string }>; children: ReactNode }) {
  const { id, letter } = await params;
  const { db, workshopId } = await visit();
  const whole = await orNotFound(wholeBuild(db, workshopId, id));
  shareDocuments(whole);
  const revision = whole.revisions.find((one) => one.letter === letter);
  if (!revision) notFound();
  const [library, builds, settings, finished] = await Promise.all([listLibrary(db, workshopId), listBuilds(db, workshopId), settingsOf(db, workshopId), finishedPrints(db, workshopId)]);
  return (
    <BuildFrame key={revision.id} whole={whole} revisionId={revision.id} library={library} builds={builds} thresholds={settings.thresholds ?? {}} finishedPrints={finished} printAheadMinutes={settings.printAheadMinutes}>
      {children}
    </BuildFrame>
  );
}
