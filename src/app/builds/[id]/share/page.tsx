import { notFound } from 'next/navigation';
import { buildRecord } from '@/db/queries/builds';
import { listShares } from '@/db/queries/shares';
import { AccessProvider } from '@/features/session/access';
import { SharePage } from '@/features/shared/SharePage';
import { accessOf, shown, visit } from '../../../serverPage';

export const dynamic = 'force-dynamic';

export default async function ShareOfBuild({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const visitor = await visit();
  const { db, workshopId, role } = visitor;
  if (role !== 'owner') notFound();
  const [build, shares, access] = await shown(
    Promise.all([buildRecord(db, workshopId, id), listShares(db, workshopId, id), accessOf(visitor)]),
  );
  return (
    <AccessProvider access={access}>
      <SharePage build={build} shares={shares} />
    </AccessProvider>
  );
}
