import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { type Database, database } from '@/db/client';
import { DoorError, refusalOfDatabase, withoutParameters } from '@/db/errors';
import type { Person } from '@/core/car/records/roles';
import { isUnclaimed } from '@/db/queries/members';
import { type OpenShare, shareOfToken } from '@/db/queries/shares';
import { workshopName } from '@/db/queries/workshops';
import type { Access } from '@/features/session/access';
import { signedIn } from './accounts/person';
import { currentWorkshop, type Visitor } from './accounts/currentWorkshop';
import { hasAccounts } from './accounts/mode';
import { DATABASE_SILENT } from './databaseSilent';

/** Names the address that is being made into a page. */
export const ASKED_HEADER = 'x-asked';

type Found = { db: Database } & Visitor;

/** Database, workshop and visitor for the first paint of a page; who is not signed in is sent to the door. */
export async function visit(): Promise<Found> {
  const db = database();
  const sent = await headers();
  try {
    return { db, ...(await currentWorkshop(sent, db)) };
  } catch (error) {
    const code = error instanceof DoorError ? error.code : undefined;
    if (code === 'signIn') redirect(await doorFor(db, sent.get(ASKED_HEADER)));
    if (code === 'homeless') redirect('/account');
    return shown(Promise.reject(error));
  }
}

/** The same where somebody may be in no workshop. */
export async function visitOrNone(): Promise<Found | undefined> {
  const db = database();
  return shown(
    currentWorkshop(await headers(), db).then(
      (visitor) => ({ db, ...visitor }),
      (error: unknown) => {
        if (error instanceof DoorError && error.code === 'homeless') return undefined;
        throw error;
      },
    ),
  );
}

/** What the page tells those below it of the workshop. */
export async function accessOf({ db, workshopId, role, person }: Found): Promise<Access> {
  return { workshopId, role, person, workshop: await shown(workshopName(db, workshopId)) };
}

/** A page before the workshop: who is signed in already, and whether nobody has an account yet. There is none without accounts. */
export async function gate(): Promise<{ db: Database; person: Person | undefined; unclaimed: boolean }> {
  if (!hasAccounts()) notFound();
  const db = database();
  const [found, unclaimed] = await shown(Promise.all([signedIn(await headers(), db), isUnclaimed(db)]));
  return { db, person: found?.person, unclaimed };
}

/** A page that is shown by a link: what it opens, and what its pages tell of it. There is none by a link that is not good. */
export async function guest(token: string): Promise<{ db: Database; share: OpenShare; access: Access }> {
  const db = database();
  const share = await shown(shareOfToken(db, token));
  const person = hasAccounts() ? await shown(signedIn(await headers(), db)) : undefined;
  const mayCopy = !hasAccounts() || person !== undefined;
  return {
    db,
    share,
    access: { workshopId: '', workshop: share.workshop, role: 'viewer', shared: { token, mayCopy } },
  };
}

/** Where somebody who is not signed in goes first; then back to what they asked for. */
async function doorFor(db: Database, asked: string | null): Promise<string> {
  if (hasAccounts() && (await shown(isUnclaimed(db)))) return '/welcome';
  return asked && asked !== '/' ? `/sign-in?to=${encodeURIComponent(asked)}` : '/sign-in';
}

/** What a page shows; what is not there becomes the page that says so, and an error says nothing of what anybody typed. */
export async function shown<T>(found: Promise<T>): Promise<T> {
  try {
    return await found;
  } catch (error) {
    if (error instanceof DoorError && error.code === 'notFound') notFound();
    throw withoutSecrets(error);
  }
}

function withoutSecrets(error: unknown): Error {
  const ofDatabase = refusalOfDatabase(error);
  if (ofDatabase?.code === 'database' || ofDatabase?.code === 'busy')
    return Object.assign(new Error(ofDatabase.message), { digest: DATABASE_SILENT });
  const { message, code } = withoutParameters(error);
  return Object.assign(new Error(message, { cause: code }), {
    stack: (error as Error).stack?.replace(/^[\s\S]*?(?=\n {4}at )/, message),
  });
}
