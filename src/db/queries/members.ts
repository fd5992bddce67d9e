import { and, asc, eq, sql } from 'drizzle-orm';
import type { Member, Person, Role, WorkshopOfPerson } from '@/core/car/records/roles';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { members, people, workshops } from '../schema';
import { writing } from '../writing';

const date = (moment: string) => new Date(moment).toISOString();

/** The workshops that somebody is a member of, the one joined first before the others. */
export const workshopsOf = (db: Database, personId: string): Promise<WorkshopOfPerson[]> =>
  db
    .select({ id: workshops.id, name: workshops.name, role: members.role })
    .from(members)
    .innerJoin(workshops, eq(workshops.id, members.workshopId))
    .where(eq(members.personId, personId))
    .orderBy(asc(members.joinedAt), asc(workshops.id));

export async function membersOf(db: Database, workshopId: string): Promise<Member[]> {
  const found = await db
    .select({
      id: people.id,
      name: people.name,
      email: people.email,
      role: members.role,
      joinedAt: members.joinedAt,
    })
    .from(members)
    .innerJoin(people, eq(people.id, members.personId))
    .where(eq(members.workshopId, workshopId))
    .orderBy(asc(members.joinedAt), asc(people.id));
  return found.map((one) => ({ ...one, joinedAt: date(one.joinedAt) }));
}

/** Takes somebody in. Whoever is in already keeps the role that may do more. */
export async function joinWorkshop(
  db: Database,
  workshopId: string,
  personId: string,
  role: Role,
): Promise<void> {
  const mayMore = sql`array_position(array['viewer', 'editor', 'owner'], excluded.role) > array_position(array['viewer', 'editor', 'owner'], ${members.role})`;
  await db
    .insert(members)
    .values({ workshopId, personId, role })
    .onConflictDoUpdate({
      target: [members.workshopId, members.personId],
      set: { role: sql`case when ${mayMore} then excluded.role else ${members.role} end` },
    });
}

/** Does something to a member while no one else does, and refuses what would leave a workshop without an owner. */
async function changing(
  db: Database,
  workshopId: string,
  personId: string,
  change: (tx: Database) => Promise<unknown>,
): Promise<void> {
  await writing(db, async (tx) => {
    await tx.select({ id: workshops.id }).from(workshops).where(eq(workshops.id, workshopId)).for('update');
    const before = await membersOf(tx, workshopId);
    if (!before.some(({ id }) => id === personId))
      throw new DoorError('notFound', 'Nobody of that name is a member of this workshop.', {
        path: 'id',
        remedy: 'load the page again',
      });
    await change(tx);
    if (!(await membersOf(tx, workshopId)).some(({ role }) => role === 'owner'))
      throw new DoorError('inUse', 'A workshop needs one owner at least.', {
        path: 'role',
        remedy: 'make somebody else an owner first',
      });
  });
}

const memberIs = (workshopId: string, personId: string) =>
  and(eq(members.workshopId, workshopId), eq(members.personId, personId));

export const changeRole = (db: Database, workshopId: string, personId: string, role: Role): Promise<void> =>
  changing(db, workshopId, personId, (tx) =>
    tx.update(members).set({ role }).where(memberIs(workshopId, personId)),
  );

export const removeMember = (db: Database, workshopId: string, personId: string): Promise<void> =>
  changing(db, workshopId, personId, (tx) => tx.delete(members).where(memberIs(workshopId, personId)));

/** Workshops that would have no owner without somebody. */
export async function soleOwnerOf(db: Database, { id }: Person): Promise<WorkshopOfPerson[]> {
  const own = await workshopsOf(db, id);
  const alone = await Promise.all(
    own.map(async (workshop) =>
      (await membersOf(db, workshop.id)).every((member) => member.role !== 'owner' || member.id === id),
    ),
  );
  return own.filter(({ role }, at) => role === 'owner' && alone[at]);
}

/** Whether nobody has an account yet. */
export async function isUnclaimed(db: Database): Promise<boolean> {
  const [one] = await db.select({ id: people.id }).from(people).limit(1);
  return one === undefined;
}
