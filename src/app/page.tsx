import { Garage } from '@/features/garage/Garage';
import { garageCars } from './garageCars';
import { shown, visit } from './serverPage';

export const dynamic = 'force-dynamic';

export default async function GaragePage() {
  const { db, workshopId } = await visit();
  return <Garage cars={await shown(garageCars(db, workshopId))} />;
}
