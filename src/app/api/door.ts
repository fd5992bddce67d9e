import '@/words/later/bringIn';
import { CalcError } from '@/core/base/errors';
import { isKeepable } from '@/core/base/schema/keepable';
import { type Database, database } from '@/db/client';
import { DoorError, refusalOfDatabase, withoutParameters } from '@/db/errors';
import { countWrite, defaultWorkshop, uncountWrite } from '@/db/queries/workshops';
import { answerToStranger, guarded } from '../guard';
import { DATA_POLICY } from '../policy';
import { clientOf, Rates } from './rates';
import { plainProblemOf } from '@/words/refusals/problemOf';

/** Of one client. What is refused counts apart, so that it takes nothing from what is saved. */
const [WRITES_A_MINUTE, READS_A_MINUTE, REFUSALS_A_MINUTE] = [1200, 6000, 600];
const [reads, refusals] = [new Rates(READS_A_MINUTE), new Rates(REFUSALS_A_MINUTE)];
/** The page was closed while it was still sending; nobody reads the answer. */
const CLIENT_LEFT = 499;

export interface Visit {
  readonly request: Request;
  readonly db: Database;
  readonly workshopId: string;
  readonly id: string;
  /** Of addresses that name a kind of thing. */
  readonly kind: string;
}

/** A route without a parameter gets none. */
type Context = { params: Promise<Record<string, string> | undefined> };

/** A database keeps its default workshop. */
const workshops = new WeakMap<Database, string>();

/** Which workshop a request works in; the only place that chooses one. */
export async function currentWorkshop(_request: Request, db: Database): Promise<string> {
  const known = workshops.get(db);
  if (known !== undefined) return known;
  const found = await defaultWorkshop(db);
  workshops.set(db, found);
  return found;
}

export const JSON_BODY = 'application/json';
export const BYTES_BODY = 'application/octet-stream';
export const ARCHIVE_BODY = 'application/zip';

/** The media type of what a request sends, without its parameters. */
export const kindOf = ({ headers }: Request): string | undefined =>
  headers.get('content-type')?.split(';')[0]?.trim().toLowerCase();

const LONGEST_NAME = 200;
const isNamed = (name: string) => name.length <= LONGEST_NAME && isKeepable(name);

/** What a form of another site can send without asking is none of the kinds that a door takes. */
function refuseOtherKinds(request: Request, takes: readonly string[]): void {
  const { headers } = request;
  const kind = kindOf(request);
  const isEmpty =
    request.body === null ||
    (kind === undefined &&
      !headers.has('transfer-encoding') &&
      Number(headers.get('content-length') ?? 0) === 0);
  if (isEmpty) return;
  if (kind === undefined || !takes.includes(kind))
    throw new DoorError(
      'unsupported',
      `This address takes ${takes.join(' or ')}${kind ? `, not ${kind}` : ''}.`,
      { remedy: `send it with content-type: ${takes.join(' or ')}` },
    );
}

/** A route handler: lets no stranger in, finds the workshop, counts writes, turns every refusal into a problem object. */
export function door(handle: (visit: Visit) => Promise<Response>, ...takes: string[]) {
  const answered = answering(handle, takes.length === 0 ? [JSON_BODY] : takes);
  return async (request: Request, context?: Context): Promise<Response> =>
    answerToStranger(request) ?? guarded(await answered(request, context), DATA_POLICY);
}

function answering(handle: (visit: Visit) => Promise<Response>, takes: readonly string[]) {
  return async (request: Request, context?: Context): Promise<Response> => {
    const client = clientOf(request);
    let counted: (() => Promise<void>) | undefined;
    try {
      if (request.method === 'GET' && !reads.take(client)) throw tooMany(READS_A_MINUTE, 'requests');
      refuseOtherKinds(request, takes);
      const params = (await context?.params) ?? {};
      if (!Object.values(params).every(isNamed))
        throw new DoorError('notFound', 'Nothing is called by that address.', {
          remedy: 'check the address',
        });
      const db = database();
      const workshopId = await currentWorkshop(request, db);
      if (request.method !== 'GET') {
        const key = `${workshopId}:${client}:write`;
        if (!(await countWrite(db, key, WRITES_A_MINUTE))) throw tooMany(WRITES_A_MINUTE, 'writes');
        counted = () => uncountWrite(db, key);
      }
      return await handle({ request, db, workshopId, id: params.id ?? '', kind: params.kind ?? '' });
    } catch (error) {
      const answer = problemOf(error, request);
      if (answer.status >= 500) return answer;
      await counted?.().catch(() => undefined);
      return refusals.take(client)
        ? answer
        : problemOf(tooMany(REFUSALS_A_MINUTE, 'refused requests'), request);
    }
  };
}

const tooMany = (most: number, what: string) =>
  new DoorError('tooMany', `More than ${most} ${what} in a minute.`, {
    remedy: 'wait a minute and try again',
  });

function problemOf(error: unknown, request: Request): Response {
  if (error instanceof CalcError)
    return Response.json({ error: { code: 'invalid', ...plainProblemOf(error.refused) } }, { status: 422 });
  if (error instanceof DoorError) return refusal(error);
  const ofDatabase = refusalOfDatabase(error);
  if (ofDatabase === undefined && (error as { code?: string }).code === 'ECONNRESET')
    return new Response(null, { status: CLIENT_LEFT });
  if (ofDatabase === undefined || ofDatabase.status >= 500)
    console.error(
      JSON.stringify({
        level: 'error',
        at: new Date().toISOString(),
        method: request.method,
        path: new URL(request.url).pathname,
        ...withoutParameters(error),
      }),
    );
  return ofDatabase
    ? refusal(ofDatabase)
    : Response.json(
        {
          error: {
            code: 'internal',
            message: 'Something went wrong on the server. What you typed stays on this page.',
            remedy: 'try again; the server wrote a line about it to its log',
          },
        },
        { status: 500 },
      );
}

function refusal({ code, message, status, retryAfterS, more: { current, ...more } }: DoorError): Response {
  const headers = retryAfterS === undefined ? undefined : { 'retry-after': String(retryAfterS) };
  return Response.json(
    { error: { code, message, ...more }, ...(current === undefined ? {} : { current }) },
    { status, ...(headers ? { headers } : {}) },
  );
}
