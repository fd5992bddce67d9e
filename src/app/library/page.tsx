import { LIBRARY_KINDS } from '@/core/car/library/kinds';
import { listLibrary, usersOfAll } from '@/db/queries/library';
import { settingsOf } from '@/db/queries/workshops';
import { LibraryPage } from '@/features/library/LibraryPage';
import { shown, visit } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function Library({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { kind, find } = await searchParams;
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
      asked={{
        kind: LIBRARY_KINDS.find((one) => one === kind),
        find: typeof find === 'string' ? find : undefined,
      }}
    />
  );
}
