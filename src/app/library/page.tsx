import { LIBRARY_KINDS } from '@/core/car/library/kinds';
import { listLibrary, usersOfAll } from '@/db/queries/library';
import { settingsOf } from '@/db/queries/workshops';
import { LibraryPage } from '@/features/library/LibraryPage';
import { AccessProvider } from '@/features/session/access';
import { accessOf, shown, visit } from '../serverPage';

export const dynamic = 'force-dynamic';

export default async function Library({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { kind, find } = await searchParams;
  const visitor = await visit();
  const { db, workshopId } = visitor;
  const [items, settings, usedIn, access] = await shown(
    Promise.all([
      listLibrary(db, workshopId),
      settingsOf(db, workshopId),
      usersOfAll(db, workshopId),
      accessOf(visitor),
    ]),
  );
  return (
    <AccessProvider access={access}>
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
    </AccessProvider>
  );
}
