import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { type Database, database } from '@/db/client';
import { DoorError, isUnreachable } from '@/db/errors';
import { currentWorkshop } from './api/door';
import { DATABASE_SILENT } from './databaseSilent';

/** Database and workshop for the first paint of a page. */
export async function visit(): Promise<{ db: Database; workshopId: string }> {
  const db = database();
  const request = new Request('http://page.invalid/', { headers: new Headers(await headers()) });
  try {
    return { db, workshopId: await currentWorkshop(request, db) };
  } catch (error) {
    if (isUnreachable(error)) throw Object.assign(new Error('The database does not answer.', { cause: error }), { digest: DATABASE_SILENT });
    throw error;
  }
}

/** What is not there becomes the page that says so. */
export async function orNotFound<T>(found: Promise<T>): Promise<T> {
  try {
    return await found;
  } catch (error) {
    if (error instanceof DoorError && error.code === 'notFound') notFound();
    throw error;
  }
}
