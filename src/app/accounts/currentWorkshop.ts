import type { Person, Role } from '@/core/car/records/roles';
import type { Database } from '@/db/client';
import { DoorError } from '@/db/errors';
import { workshopsOf } from '@/db/queries/members';
import { defaultWorkshop } from '@/db/queries/workshops';
import { cookieOf } from '../cookieOf';
import { hasAccounts } from './mode';
import { requireSignedIn } from './person';

export interface Visitor {
  readonly workshopId: string;
  readonly role: Role;
  /** Nobody in particular where there are no accounts. */
  readonly person?: Person;
  readonly cookies: readonly string[];
}

/** A database keeps its default workshop. */
const defaults = new WeakMap<Database, string>();

async function keptDefault(db: Database): Promise<string> {
  const known = defaults.get(db);
  if (known !== undefined) return known;
  const found = await defaultWorkshop(db);
  defaults.set(db, found);
  return found;
}

/** Names the workshop that a page stands in, so that none is written to that was chosen in another tab since. */
export const WORKSHOP_HEADER = 'x-workshop';
/** The one that was chosen last on this device. */
export const WORKSHOP_COOKIE = 'badger.workshop';

/**
 * Which workshop a request works in, and what whoever sends it may do there; the only place that chooses one.
 *
 * @throws DoorError `signIn` where nobody is signed in, `notFound` in a workshop of others, `homeless` where one has none
 */
export async function currentWorkshop(
  headers: Headers,
  db: Database,
  named = headers.get(WORKSHOP_HEADER),
): Promise<Visitor> {
  if (!hasAccounts()) {
    const workshopId = await keptDefault(db);
    if (named !== null && named !== workshopId) throw elsewhere();
    return { workshopId, role: 'owner', cookies: [] };
  }
  const { person, cookies } = await requireSignedIn(headers, db);
  const own = await workshopsOf(db, person.id);
  const chosen = cookieOf(headers, WORKSHOP_COOKIE);
  const found =
    named === null ? (own.find(({ id }) => id === chosen) ?? own[0]) : own.find(({ id }) => id === named);
  if (!found)
    throw named === null
      ? new DoorError('homeless', 'You are in no workshop yet.', {
          remedy: 'make one under Account, or open the link of an invitation',
        })
      : elsewhere();
  return { workshopId: found.id, role: found.role, person, cookies };
}

const elsewhere = () =>
  new DoorError('notFound', 'This page belongs to a workshop that you are not a member of.', {
    remedy: 'sign in with the account that it belongs to',
  });
