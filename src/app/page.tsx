import { listDeleted } from '@/db/queries/deleted';
import { Garage } from '@/features/garage/Garage';
import { garageCars } from './garageCars';
import { shown, visit } from './serverPage';

export const dynamic = 'force-dynamic';

export default async function GaragePage() {
  const { db, workshopId } = await visit();
  const [cars, deleted] = await shown(Promise.all([garageCars(db, workshopId), listDeleted(db, workshopId)]));
  return <Garage cars={cars} deleted={deleted} />;
}
