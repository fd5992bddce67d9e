import '@/words/later/bringIn';
import { CalcError } from '@/core/base/errors';
import { isKeepable } from '@/core/base/schema/keepable';
import { type Database, database } from '@/db/client';
import { DoorError, refusalOfDatabase, withoutParameters } from '@/db/errors';
import { TAB_HEADER } from '@/core/car/records/live';
import { tell } from '@/db/live';
import { mayAs, type Person, type Role } from '@/core/car/records/roles';
import { type OpenShare, shareOfToken } from '@/db/queries/shares';
import { countWrite, uncountWrite } from '@/db/queries/workshops';
import { currentWorkshop, WORKSHOP_HEADER } from '../accounts/currentWorkshop';
import { hasAccounts } from '../accounts/mode';
import { requireSignedIn } from '../accounts/person';
import { answerToStranger, guarded, unlisted, withoutToken } from '../guard';
import { DATA_POLICY } from '../policy';
import { clientOf, Rates } from './rates';
import { plainProblemOf } from '@/words/refusals/problemOf';

/** Of one client. What is refused counts apart, so that it takes nothing from what is saved. */
const [WRITES_A_MINUTE, READS_A_MINUTE, REFUSALS_A_MINUTE] = [1200, 6000, 600];
const [reads, refusals] = [new Rates(READS_A_MINUTE), new Rates(REFUSALS_A_MINUTE)];
/** The page was closed while it was still sending; nobody reads the answer. */
const CLIENT_LEFT = 499;

export interface Asked {
  readonly request: Request;
  readonly db: Database;
  readonly id: string;
  /** Of addresses that name a kind of thing. */
  readonly kind: string;
  /** Of addresses in which a link stands by which a build is shown. */
  readonly token: string;
  /** Who asks, as the server saw the connection. */
  readonly client: string;
}

export interface PersonVisit extends Asked {
  readonly person: Person;
}

/** Of whoever has a link: they see what it shows, whoever they are. */
export interface GuestVisit extends Asked {
  readonly share: OpenShare;
}

export interface Visit extends Asked {
  readonly workshopId: string;
  readonly role: Role;
  /** Nobody in particular where there are no accounts. */
  readonly person?: Person;
}

/** A route without a parameter gets none. */
type Context = { params: Promise<Record<string, string> | undefined> };

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

/** Whom a door lets in: what it found of the visitor, under which name writes are counted, and cookies for the answer. */
interface Admitted<V> {
  readonly visit: V;
  readonly counts: string;
  readonly cookies: readonly string[];
  /** The workshop whose open pages hear of what was written. */
  readonly tells?: string;
}
type Admit<V> = (asked: Asked) => Promise<Admitted<V>>;
type Handle<V> = (visit: V) => Promise<Response>;

const asMember =
  (wanted: (method: string) => Role): Admit<Visit> =>
  async (asked) => {
    const { cookies, ...visitor } = await currentWorkshop(
      asked.request.headers,
      asked.db,
      workshopNamedBy(asked.request),
    );
    const role = wanted(asked.request.method);
    if (!mayAs(visitor.role, role))
      throw new DoorError('mayNot', MAY_NOT[role], { remedy: 'ask an owner of the workshop' });
    return {
      visit: { ...asked, ...visitor },
      counts: visitor.workshopId,
      cookies,
      // what one who looks may send changes nothing
      ...(role === 'viewer' ? {} : { tells: visitor.workshopId }),
    };
  };

/** By its header; where a browser sends none, as of a stream of events, by its address. */
const workshopNamedBy = ({ headers, url }: Request): string | null =>
  headers.get(WORKSHOP_HEADER) ?? new URL(url).searchParams.get('workshop');

const MAY_NOT: Readonly<Record<Role, string>> = {
  owner: 'Only an owner of the workshop may do that.',
  editor: 'You are in this workshop to look, not to change anything.',
  viewer: 'You may not look into this workshop.',
};

const requireAccounts = (): void => {
  if (!hasAccounts())
    throw new DoorError(
      'notFound',
      'There are no accounts here: everybody on this machine works in one workshop.',
      {
        remedy: 'npm run start has accounts',
      },
    );
};

const asPerson: Admit<PersonVisit> = async (asked) => {
  requireAccounts();
  const { person, cookies } = await requireSignedIn(asked.request.headers, asked.db);
  return { visit: { ...asked, person }, counts: `person ${person.id}`, cookies };
};

const asGuest: Admit<GuestVisit> = async (asked) => ({
  visit: { ...asked, share: await shareOfToken(asked.db, asked.token) },
  counts: 'guest',
  cookies: [],
});

const asAnyone: Admit<Asked> = async (asked) => {
  requireAccounts();
  return { visit: asked, counts: 'anyone', cookies: [] };
};

/** A route handler for members of a workshop: all may read, editors and owners write. Counts writes and turns every refusal into a problem object. */
export const door = (handle: Handle<Visit>, ...takes: string[]) =>
  opened(
    asMember((method) => (method === 'GET' ? 'viewer' : 'editor')),
    handle,
    takes,
  );

/** The same where what is sent changes nothing. */
export const readingDoor = (handle: Handle<Visit>, ...takes: string[]) =>
  opened(
    asMember(() => 'viewer'),
    handle,
    takes,
  );

/** The same for what only an owner may do or see. */
export const ownerDoor = (handle: Handle<Visit>, ...takes: string[]) =>
  opened(
    asMember(() => 'owner'),
    handle,
    takes,
  );

/** The same for whoever is signed in, whatever workshop they are in. */
export const personDoor = (handle: Handle<PersonVisit>, ...takes: string[]) =>
  opened(asPerson, handle, takes);

/** The same for anybody who finds the server: it looks itself at what they bring. */
export const openDoor = (handle: Handle<Asked>) => opened(asAnyone, handle, []);

/** The same for whoever has a link by which a build is shown: it opens that build alone. */
export const guestDoor = (handle: Handle<GuestVisit>) =>
  opened(asGuest, async (visit) => unlisted(await handle(visit)), []);

function opened<V>(admit: Admit<V>, handle: Handle<V>, takes: readonly string[]) {
  const answered = answering(admit, handle, takes.length === 0 ? [JSON_BODY] : takes);
  return async (request: Request, context?: Context): Promise<Response> =>
    answerToStranger(request) ?? guarded(await answered(request, context), DATA_POLICY);
}

function answering<V>(admit: Admit<V>, handle: Handle<V>, takes: readonly string[]) {
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
      const { visit, counts, cookies, tells } = await admit({
        request,
        db,
        client,
        id: params.id ?? '',
        kind: params.kind ?? '',
        token: params.token ?? '',
      });
      if (request.method !== 'GET') {
        const key = `${counts}:${client}:write`;
        if (!(await countWrite(db, key, WRITES_A_MINUTE))) throw tooMany(WRITES_A_MINUTE, 'writes');
        counted = () => uncountWrite(db, key);
      }
      const answer = await handle(visit);
      if (tells !== undefined && request.method !== 'GET') tellWritten(db, tells, request);
      for (const cookie of cookies) answer.headers.append('set-cookie', cookie);
      return answer;
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

/** Tells the open pages of a workshop; who is not told finds it when the page comes to the front again. */
function tellWritten(db: Database, workshopId: string, { headers, method, url }: Request): void {
  const tab = headers.get(TAB_HEADER);
  const { pathname: path } = new URL(url);
  void tell(db, { what: 'written', workshopId, ...(tab ? { tab } : {}), method, path }).catch(
    () => undefined,
  );
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
        path: withoutToken(new URL(request.url).pathname),
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
