import type { Problem } from '@/core/base/errors';
import { TAB_HEADER } from '@/core/car/records/live';

/** A refusal by the server, in its own words. */
export class ApiProblem extends Error implements Problem {
  readonly path: string;
  readonly remedy?: string;

  constructor(
    readonly status: number,
    readonly code: string,
    problem: Partial<Problem> & { message: string },
    readonly body: unknown,
  ) {
    super(problem.message);
    this.path = problem.path ?? '';
    if (problem.remedy !== undefined) this.remedy = problem.remedy;
  }

  /** In one sentence with the remedy. */
  get sentence(): string {
    const place = this.path === '' ? '' : `${this.path}: `;
    return `${place}${this.message}${this.remedy ? ` (${this.remedy})` : ''}`;
  }
}

type SentWith = Omit<RequestInit, 'headers'> & { headers?: Readonly<Record<string, string>> };

/** The workshop that the page stands in, which another tab may have left since. */
export const workshopOfPage = (): string | undefined =>
  typeof document === 'undefined'
    ? undefined
    : document.querySelector<HTMLMetaElement>('meta[name="workshop"]')?.content;

export const SHARED_META = 'shared';

/** What stands in the link by which the page is shown to others; nothing on a page of one's own workshop. */
export const sharedOfPage = (): string | undefined =>
  typeof document === 'undefined'
    ? undefined
    : document.querySelector<HTMLMetaElement>(`meta[name="${SHARED_META}"]`)?.content;

/** The address of what is kept under a hash: the link's where a build is shared, else the workshop's. */
export const heldAt = (
  kind: 'files' | 'meshes',
  hash: string,
  shared: string | undefined,
  workshop: string | undefined,
): string =>
  shared === undefined
    ? `/api/${kind}/${hash}${workshop ? `?workshop=${encodeURIComponent(workshop)}` : ''}`
    : `/api/shared/${shared}/${kind}/${hash}`;

/** The same for the page that is open. */
export const heldOfPage = (kind: 'files' | 'meshes', hash: string): string =>
  heldAt(kind, hash, sharedOfPage(), workshopOfPage());

/** The one thing that is sent from a page that is shared: it goes to the reader's own workshop. */
export const COPY_DOOR = '/api/builds/copy';

/** @throws ApiProblem on a page that is shared, before anything is kept or sent */
export function refuseShared(): void {
  if (sharedOfPage() !== undefined)
    throw new ApiProblem(
      0,
      'mayNot',
      {
        message: 'This build is shown to be looked at, and nothing of it is changed.',
        remedy: 'copy it into a workshop of your own',
      },
      undefined,
    );
}

/** This tab, as others hear of it. */
export const TAB = newId();

const NO_CONNECTION = 'No connection to the server. What you typed stays here; try again.';

/** Sends JSON or text and gives the answer; throws an ApiProblem with the server's own words. */
export async function callApi<T>(
  method: string,
  path: string,
  body?: unknown,
  options: SentWith = {},
): Promise<T> {
  return jsonOf(await askApi(method, path, body, options)) as Promise<T>;
}

/** The same where the answer is a file. */
export async function askApi(
  method: string,
  path: string,
  body?: unknown,
  options: SentWith = {},
): Promise<Response> {
  if (path !== COPY_DOOR) refuseShared();
  const workshop = workshopOfPage();
  const response = await fetch(path, {
    method,
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    ...options,
    headers: {
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      ...(workshop === undefined ? {} : { 'x-workshop': workshop }),
      ...(method === 'GET' ? {} : { [TAB_HEADER]: TAB }),
      ...options.headers,
    },
  }).catch(() => {
    throw new ApiProblem(0, 'unreachable', { message: NO_CONNECTION }, undefined);
  });
  if (response.ok) return response;
  const answer = (await jsonOf(response)) as
    { error?: Partial<Problem> & { code?: string; message?: string } } | undefined;
  throw new ApiProblem(
    response.status,
    answer?.error?.code ?? 'internal',
    { message: 'The server answered in a way that this page does not understand.', ...answer?.error },
    answer,
  );
}

const jsonOf = (response: Response): Promise<unknown> => response.json().catch(() => undefined);

const OUTLIVING_BYTES = 60_000;

/** A request that is sent to its end even if the page is left; a browser takes none over 64 kB. */
export const outliving = (body: unknown): SentWith => ({
  keepalive: new TextEncoder().encode(JSON.stringify(body)).length < OUTLIVING_BYTES,
});

export const sentenceOf = (error: unknown): string =>
  error instanceof ApiProblem ? error.sentence : NO_CONNECTION;

/** A new id that no other tab makes. */
export function newId(): string {
  return typeof crypto.randomUUID === 'function'
    ? crypto.randomUUID()
    : `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`;
}
