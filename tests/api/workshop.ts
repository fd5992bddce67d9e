import { randomBytes } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import { Client } from 'pg';
import { exportedBody } from '@/app/api/exportedBody';
import { endThreads } from '@/app/api/threads';
import { closeDatabase, database } from '@/db/client';
import { migrateDatabase } from '@/db/migrate';
import { exportBuild } from '@/db/queries/exportBuild';
import { defaultWorkshop, stockLibrary } from '@/db/queries/workshops';

/** A database of this file's own, migrated, with the starting library; dropped at the end. */
export function withOwnDatabase(): void {
  const server = process.env.TEST_DATABASE_URL ?? '';
  const name = `t${randomBytes(6).toString('hex')}`;
  const admin = async (sql: string) => {
    const client = new Client({ connectionString: server });
    await client.connect();
    await client.query(sql).finally(() => client.end());
  };
  beforeAll(async () => {
    await admin(`create database ${name}`);
    process.env.DATABASE_URL = server.replace(/\/[^/]*$/, `/${name}`);
    await migrateDatabase(process.env.DATABASE_URL);
    await stockLibrary(database(), await defaultWorkshop(database()));
  }, 60_000);
  afterAll(async () => {
    await endThreads();
    await closeDatabase();
    await admin(`drop database ${name} with (force)`);
  });
}

/** The text of a build file, or the bytes of its archive. */
export const exportedBytes = async (workshopId: string, id: string): Promise<Buffer> =>
  buffer(exportedBody(database(), workshopId, await exportBuild(database(), workshopId, id)));
export const exportedText = async (workshopId: string, id: string): Promise<string> =>
  (await exportedBytes(workshopId, id)).toString('utf8');

type Params = Record<string, string> | undefined;
type Handler = (request: Request, context?: { params: Promise<Params> }) => Promise<Response>;

/** Calls a route handler as the server would. */
export async function call(
  handler: Handler,
  options: {
    method?: string;
    body?: unknown;
    id?: string;
    params?: Record<string, string>;
    query?: string;
    text?: string;
  } = {},
) {
  const { method = 'GET', body, id, params, query = '', text } = options;
  const payload = text ?? (body === undefined ? undefined : JSON.stringify(body));
  const response = await handler(
    new Request(`http://localhost/api${query}`, {
      method,
      ...(payload === undefined ? {} : { body: payload, headers: { 'content-type': 'application/json' } }),
    }),
    {
      params: Promise.resolve<Params>(
        id === undefined && !params ? undefined : { ...params, ...(id === undefined ? {} : { id }) },
      ),
    },
  );
  const answer = await response.text();
  return { status: response.status, text: answer, json: answer === '' ? undefined : JSON.parse(answer) };
}
