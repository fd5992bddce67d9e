import { listBuilds } from '@/db/queries/builds';
import { listInvitations } from '@/db/queries/invitations';
import { membersOf } from '@/db/queries/members';
import { WorkshopPage } from '@/features/account/WorkshopPage';
import { AccessProvider } from '@/features/session/access';
import { accessOf, shown, visit } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function Workshop() {
  const visitor = await visit();
  const { db, workshopId, role } = visitor;
  const [members, invitations, builds, access] = await shown(
    Promise.all([
      membersOf(db, workshopId),
      role === 'owner' ? listInvitations(db, workshopId) : [],
      listBuilds(db, workshopId),
      accessOf(visitor),
    ]),
  );
  return (
    <AccessProvider access={access}>
      <WorkshopPage members={members} invitations={invitations} builds={builds.length} />
    </AccessProvider>
  );
}
