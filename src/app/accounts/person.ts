import type { Person } from '@/core/car/records/roles';
import type { Database } from '@/db/client';
import { DoorError } from '@/db/errors';
import { accounts } from './accounts';

export interface SignedIn {
  readonly person: Person;
  /** Cookies to hand out with the answer, where the session was renewed. */
  readonly cookies: readonly string[];
}

/** Who sends a request; nothing where nobody is signed in. */
export async function signedIn(headers: Headers, db: Database): Promise<SignedIn | undefined> {
  // without the cookie there is no session to look for
  if (!headers.get('cookie')?.includes('badger.session_token=')) return undefined;
  const found = await accounts(db).api.getSession({ headers, returnHeaders: true });
  if (!found.response) return undefined;
  const { id, name, email } = found.response.user;
  return { person: { id, name, email }, cookies: found.headers.getSetCookie() };
}

/** @throws DoorError `signIn` where nobody is signed in */
export async function requireSignedIn(headers: Headers, db: Database): Promise<SignedIn> {
  const found = await signedIn(headers, db);
  if (!found)
    throw new DoorError('signIn', 'You are not signed in. What you typed stays on this page.', {
      remedy: 'sign in, in another tab if something here is not saved',
    });
  return found;
}
