import { randomUUID } from 'node:crypto';
import { and, asc, eq, gt, isNull, lte, or, sql } from 'drizzle-orm';
import type { Share, Shows } from '@/core/car/sharing/shares';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { builds, shares, workshops } from '../schema';
import { hashOf, newToken } from '../secrets';
import { buildRecord } from './builds';
import { present } from './deleted';

const MOST_OPEN = 50;
const now = sql`now()`;
const isGood = or(isNull(shares.expiresAt), gt(shares.expiresAt, now));

/** The links of a build that can still be followed. */
export async function listShares(db: Database, workshopId: string, buildId: string): Promise<Share[]> {
  const found = await db
    .select({
      id: shares.id,
      shows: shares.shows,
      createdAt: shares.createdAt,
      expiresAt: shares.expiresAt,
    })
    .from(shares)
    .where(and(eq(shares.workshopId, workshopId), eq(shares.buildId, buildId), isGood))
    .orderBy(asc(shares.createdAt), asc(shares.id));
  return found.map(({ createdAt, expiresAt, ...one }) => ({
    ...one,
    createdAt: new Date(createdAt).toISOString(),
    ...(expiresAt === null ? {} : { expiresAt: new Date(expiresAt).toISOString() }),
  }));
}

/**
 * A new link to a build, and what stands in it, which is told this once.
 *
 * @param goodForDays until it is taken back where not given
 * @throws DoorError `notFound` where there is no such build, `tooLong` where too many are open
 */
export async function share(
  db: Database,
  workshopId: string,
  buildId: string,
  shows: Shows,
  goodForDays?: number,
): Promise<{ id: string; token: string }> {
  await buildRecord(db, workshopId, buildId);
  await db.delete(shares).where(lte(shares.expiresAt, now));
  if ((await listShares(db, workshopId, buildId)).length >= MOST_OPEN)
    throw new DoorError('tooLong', `More than ${MOST_OPEN} links to this build are open.`, {
      remedy: 'take back those that nobody follows',
    });
  const [id, token] = [randomUUID(), newToken()];
  await db.insert(shares).values({
    id,
    workshopId,
    buildId,
    shows,
    tokenHash: hashOf(token),
    ...(goodForDays === undefined
      ? {}
      : { expiresAt: sql`now() + make_interval(days => ${goodForDays})` as unknown as string }),
  });
  return { id, token };
}

export async function takeBackShare(db: Database, workshopId: string, id: string): Promise<void> {
  await db.delete(shares).where(and(eq(shares.workshopId, workshopId), eq(shares.id, id)));
}

/** What a link opens: one build of one workshop. */
export interface OpenShare {
  readonly id: string;
  readonly workshopId: string;
  readonly workshop: string;
  readonly buildId: string;
  readonly shows: Shows;
}

/** @throws DoorError `notFound` for what is no link, was taken back, is over, or leads to a build that was deleted */
export async function shareOfToken(db: Database, token: string): Promise<OpenShare> {
  const [found] = await db
    .select({
      id: shares.id,
      workshopId: shares.workshopId,
      workshop: workshops.name,
      buildId: shares.buildId,
      shows: shares.shows,
    })
    .from(shares)
    .innerJoin(workshops, eq(workshops.id, shares.workshopId))
    .innerJoin(builds, and(eq(builds.workshopId, shares.workshopId), eq(builds.id, shares.buildId)))
    .where(and(eq(shares.tokenHash, hashOf(token)), isGood, present(builds)));
  if (!found)
    throw new DoorError('notFound', 'This link is not good any more.', {
      remedy: 'ask whoever sent it for a new one',
    });
  return found;
}
