import { listLibrary, usersOfAll } from '@/db/queries/library';
import { settingsOf } from '@/db/queries/workshops';
import { LibraryPage } from '@/features/library/LibraryPage';
import { shown, visit } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function Library() {
  const { db, workshopId } = await visit();
  const [items, settings, usedIn] = await shown(
    Promise.all([listLibrary(db, workshopId), settingsOf(db, workshopId), usersOfAll(db, workshopId)]),
  );
  return (
    <LibraryPage
      items={items}
      usedIn={usedIn}
      thresholds={settings.thresholds ?? {}}
      printAheadMinutes={settings.printAheadMinutes}
    />
  );
}
