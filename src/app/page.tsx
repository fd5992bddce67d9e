import { listDeleted } from '@/db/queries/deleted';
import { Garage } from '@/features/garage/Garage';
import { garageCars } from './garageCars';
import { AccessProvider } from '@/features/session/access';
import { accessOf, shown, visit } from './serverPage';

export const dynamic = 'force-dynamic';

export default async function GaragePage() {
  const visitor = await visit();
  const { db, workshopId } = visitor;
  const [cars, deleted, access] = await shown(
    Promise.all([garageCars(db, workshopId), listDeleted(db, workshopId), accessOf(visitor)]),
  );
  return (
    <AccessProvider access={access}>
      <Garage cars={cars} deleted={deleted} />
    </AccessProvider>
  );
}
