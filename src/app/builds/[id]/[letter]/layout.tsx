import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { listBuilds, wholeBuild } from '@/db/queries/builds';
import { listLibrary } from '@/db/queries/library';
import { finishedPrints } from '@/db/queries/prints';
import { settingsOf } from '@/db/queries/workshops';
import { BuildFrame } from '@/features/shell/BuildFrame';
import { shown, visit } from '../../../serverPage';

export const dynamic = 'force-dynamic';

export default async function RevisionLayout({ params, children }: { params: Promise<{ id: string; letter: string }>; children: ReactNode }) {
  const { id, letter } = await params;
  const { db, workshopId } = await visit();
  const whole = await shown(wholeBuild(db, workshopId, id));
  const revision = whole.revisions.find((one) => one.letter === letter);
  if (!revision) notFound();
  const [library, builds, settings, finished] = await shown(Promise.all([listLibrary(db, workshopId), listBuilds(db, workshopId), settingsOf(db, workshopId), finishedPrints(db, workshopId)]));
  return (
    <BuildFrame key={revision.id} whole={whole} revisionId={revision.id} library={library} builds={builds} thresholds={settings.thresholds ?? {}} finishedPrints={finished} printAheadMinutes={settings.printAheadMinutes}>
      {children}
    </BuildFrame>
  );
}
