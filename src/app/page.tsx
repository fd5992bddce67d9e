import { garageCar } from '@/core/checks/garage';
import { listBuilds, wholeBuild } from '@/db/queries/builds';
import { settingsOf } from '@/db/queries/workshops';
import { Garage } from '@/features/garage/Garage';
import { visit } from './serverPage';

export const dynamic = 'force-dynamic';

export default async function GaragePage() {
  const { db, workshopId } = await visit();
  const [builds, settings] = await Promise.all([listBuilds(db, workshopId), settingsOf(db, workshopId)]);
  const wholes = await Promise.all(builds.map(({ id }) => wholeBuild(db, workshopId, id)));
  return <Garage cars={wholes.map((whole) => garageCar(whole, settings.thresholds ?? {}))} />;
}
