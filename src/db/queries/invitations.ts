import { randomUUID } from 'node:crypto';
import { and, asc, eq, gt, lte, sql } from 'drizzle-orm';
import type { Invitation, Role } from '@/core/car/records/roles';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { invitations, people, workshops } from '../schema';
import { hashOf, newToken } from '../secrets';
import { writing } from '../writing';
import { joinWorkshop } from './members';

/** Days after which an invitation is void. */
const GOOD_FOR_DAYS = 7;
const MOST_OPEN = 50;
const now = sql`now()`;

const isOpen = (workshopId: string) =>
  and(eq(invitations.workshopId, workshopId), gt(invitations.expiresAt, now));

/** The links of a workshop that can still be followed; what stands in them is not known here any more. */
export async function listInvitations(db: Database, workshopId: string): Promise<Invitation[]> {
  const found = await db
    .select({
      id: invitations.id,
      role: invitations.role,
      invitedBy: people.name,
      createdAt: invitations.createdAt,
      expiresAt: invitations.expiresAt,
    })
    .from(invitations)
    .leftJoin(people, eq(people.id, invitations.invitedBy))
    .where(isOpen(workshopId))
    .orderBy(asc(invitations.createdAt), asc(invitations.id));
  return found.map(({ invitedBy, createdAt, expiresAt, ...one }) => ({
    ...one,
    invitedBy: invitedBy ?? undefined,
    createdAt: new Date(createdAt).toISOString(),
    expiresAt: new Date(expiresAt).toISOString(),
  }));
}

/** A new invitation and what stands in its link, which is told this once. */
export async function invite(
  db: Database,
  workshopId: string,
  role: Role,
  invitedBy: string,
): Promise<{ id: string; token: string }> {
  await db.delete(invitations).where(lte(invitations.expiresAt, now));
  if ((await listInvitations(db, workshopId)).length >= MOST_OPEN)
    throw new DoorError('tooLong', `More than ${MOST_OPEN} invitations are open.`, {
      remedy: 'take back those that nobody follows',
    });
  const [id, token] = [randomUUID(), newToken()];
  await db.insert(invitations).values({
    id,
    workshopId,
    role,
    tokenHash: hashOf(token),
    invitedBy,
    expiresAt: sql`now() + make_interval(days => ${GOOD_FOR_DAYS})` as unknown as string,
  });
  return { id, token };
}

export async function takeBackInvitation(db: Database, workshopId: string, id: string): Promise<void> {
  await db.delete(invitations).where(and(eq(invitations.workshopId, workshopId), eq(invitations.id, id)));
}

export interface Invited {
  workshopId: string;
  workshop: string;
  role: Role;
  invitedBy: string | undefined;
}

const isVoid = () =>
  new DoorError('expired', 'This invitation is not good any more.', {
    path: 'token',
    remedy: 'ask whoever sent it for a new one',
  });

/** What an invitation invites to. @throws DoorError `expired` */
export async function invited(db: Database, token: string): Promise<Invited> {
  const [found] = await db
    .select({
      workshopId: workshops.id,
      workshop: workshops.name,
      role: invitations.role,
      invitedBy: people.name,
    })
    .from(invitations)
    .innerJoin(workshops, eq(workshops.id, invitations.workshopId))
    .leftJoin(people, eq(people.id, invitations.invitedBy))
    .where(and(eq(invitations.tokenHash, hashOf(token)), gt(invitations.expiresAt, now)));
  if (!found) throw isVoid();
  return { ...found, invitedBy: found.invitedBy ?? undefined };
}

/** Takes somebody in by an invitation, which is used up by it. @throws DoorError `expired` */
export const acceptInvitation = (db: Database, token: string, personId: string): Promise<string> =>
  writing(db, async (tx) => {
    const [used] = await tx
      .delete(invitations)
      .where(and(eq(invitations.tokenHash, hashOf(token)), gt(invitations.expiresAt, now)))
      .returning({ workshopId: invitations.workshopId, role: invitations.role });
    if (!used) throw isVoid();
    await joinWorkshop(tx, used.workshopId, personId, used.role);
    return used.workshopId;
  });
