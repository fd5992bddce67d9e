import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { type Database, database } from '@/db/client';
import { DoorError, refusalOfDatabase, withoutParameters } from '@/db/errors';
import { currentWorkshop } from './api/door';
import { DATABASE_SILENT } from './databaseSilent';

/** Database and workshop for the first paint of a page. */
export async function visit(): Promise<{ db: Database; workshopId: string }> {
  const db = database();
  const request = new Request('http://page.invalid/', { headers: new Headers(await headers()) });
  return { db, workshopId: await shown(currentWorkshop(request, db)) };
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
