import { garageCarOrAilment } from '@/core/checks/garage';
import { wholeBuilds } from '@/db/queries/builds';
import { settingsOf } from '@/db/queries/workshops';
import { Garage } from '@/features/garage/Garage';
import { shown, visit } from './serverPage';

export const dynamic = 'force-dynamic';

export default async function GaragePage() {
  const { db, workshopId } = await visit();
  const [wholes, settings] = await shown(Promise.all([wholeBuilds(db, workshopId), settingsOf(db, workshopId)]));
  return <Garage cars={wholes.map((whole) => garageCarOrAilment(whole, settings.thresholds ?? {}))} />;
}
