import type { Database } from '@/db/client';
import { accounts } from './accounts';

/** Ends the session of a request, where it has one; gives the cookies that take it off the device. */
export async function endSession(db: Database, headers: Headers): Promise<readonly string[]> {
  const ended = await accounts(db).api.signOut({ headers, returnHeaders: true });
  return ended.headers.getSetCookie();
}
