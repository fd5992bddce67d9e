import { randomUUID } from 'node:crypto';
import { and, eq, gt, sql } from 'drizzle-orm';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { verifications } from '../schema';
import { hashOf, newCode } from '../secrets';
import { joinWorkshop } from './members';
import { listLibrary } from './library';
import { defaultWorkshop, stockLibrary } from './workshops';

const FIRST_OWNER = 'first-owner';
const GOOD_FOR_DAYS = 7;

/** A code with which whoever reads the console becomes the first owner. */
export async function codeForFirstOwner(db: Database): Promise<string> {
  const code = newCode();
  await db.insert(verifications).values({
    id: randomUUID(),
    identifier: FIRST_OWNER,
    value: hashOf(code),
    expiresAt: sql`now() + make_interval(days => ${GOOD_FOR_DAYS})` as unknown as Date,
  });
  return code;
}

/**
 * Lets the holder of a code make the first account, which owns the default workshop; two at once are one after the other.
 *
 * @param make makes the account and gives its id
 * @throws DoorError `credentials` at a code that was not given out
 */
export async function claimAsFirstOwner(
  db: Database,
  code: string,
  make: () => Promise<string>,
): Promise<string> {
  const typed = code.replace(/[^A-Za-z0-9]/g, '').toUpperCase();
  const value = hashOf(typed.match(/.{1,4}/g)?.join('-') ?? '');
  const good = and(eq(verifications.identifier, FIRST_OWNER), gt(verifications.expiresAt, sql`now()`));
  const used = await db
    .delete(verifications)
    .where(and(good, eq(verifications.value, value)))
    .returning();
  if (!used[0])
    throw new DoorError('credentials', 'That is not the code on the console.', {
      path: 'code',
      remedy: 'read it where npm run start was typed; each start prints a new one',
    });
  const personId = await make().catch(async (error: unknown) => {
    await db.insert(verifications).values(used);
    throw error;
  });
  const workshopId = await defaultWorkshop(db);
  await joinWorkshop(db, workshopId, personId, 'owner');
  if ((await listLibrary(db, workshopId)).length === 0) await stockLibrary(db, workshopId);
  await db.delete(verifications).where(eq(verifications.identifier, FIRST_OWNER));
  return workshopId;
}
