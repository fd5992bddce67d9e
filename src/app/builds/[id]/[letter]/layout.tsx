import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { BuildFrame } from '@/features/frame/BuildFrame';
import { packedBuild } from '../../../packedBuild';
import { AccessProvider } from '@/features/session/access';
import { accessOf, shown, visit } from '../../../serverPage';

export const dynamic = 'force-dynamic';

export default async function RevisionLayout({
  params,
  children,
}: {
  params: Promise<{ id: string; letter: string }>;
  children: ReactNode;
}) {
  const { id, letter } = await params;
  const visitor = await visit();
  const [{ packed, revisions }, access] = await shown(
    Promise.all([packedBuild(visitor.db, visitor.workshopId, id), accessOf(visitor)]),
  );
  const revision = revisions.find((one) => one.letter === letter);
  if (!revision) notFound();
  return (
    <AccessProvider access={access}>
      <BuildFrame key={revision.id} revisionId={revision.id} packed={packed}>
        {children}
      </BuildFrame>
    </AccessProvider>
  );
}
