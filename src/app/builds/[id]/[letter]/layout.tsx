import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { BuildFrame } from '@/features/frame/BuildFrame';
import { packedBuild } from '../../../packedBuild';
import { shown, visit } from '../../../serverPage';

export const dynamic = 'force-dynamic';

export default async function RevisionLayout({
  params,
  children,
}: {
  params: Promise<{ id: string; letter: string }>;
  children: ReactNode;
}) {
  const { id, letter } = await params;
  const { db, workshopId } = await visit();
  const { packed, revisions } = await shown(packedBuild(db, workshopId, id));
  const revision = revisions.find((one) => one.letter === letter);
  if (!revision) notFound();
  return (
    <BuildFrame key={revision.id} revisionId={revision.id} packed={packed}>
      {children}
    </BuildFrame>
  );
}
