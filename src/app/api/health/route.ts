import { databaseAnswers } from '@/db/client';

export const dynamic = 'force-dynamic';

const PATIENCE_MS = 300;

/** Answers at once, whatever the database does. */
export async function GET(): Promise<Response> {
  const answers = await databaseAnswers(PATIENCE_MS);
  return Response.json(
    { ok: answers, database: answers ? 'answers' : 'silent' },
    { status: answers ? 200 : 503, headers: answers ? {} : { 'retry-after': '5' } },
  );
}
