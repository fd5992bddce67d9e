import { originsOf, strangerIn } from './origins';
import { ALWAYS, DATA_POLICY } from './policy';

const allowed = originsOf(process.env.ORIGIN);

const REFUSALS = {
  host: {
    message: 'This address is not one that the workshop answers to.',
    remedy: 'open it by its own address, or name this one in ORIGIN when starting it',
  },
  origin: { message: 'A page of another site sent this.', remedy: 'do it on a page of the workshop itself' },
} as const;

/** The answer to a request for another host or from a page of another site; none where it may pass. */
export function answerToStranger({
  method,
  headers,
  url,
}: Pick<Request, 'method' | 'headers' | 'url'>): Response | undefined {
  const stranger = strangerIn(
    {
      method,
      host: headers.get('host') ?? new URL(url).host,
      origin: headers.get('origin'),
      site: headers.get('sec-fetch-site'),
    },
    allowed,
  );
  return (
    stranger &&
    guarded(
      Response.json({ error: { code: 'stranger', ...REFUSALS[stranger] } }, { status: 403 }),
      DATA_POLICY,
    )
  );
}

const SHARED = /^((?:\/api)?\/shared\/)[^/]+/;

/** Whether an address has a link in it by which a build is shown. */
export const isShared = (path: string): boolean => SHARED.test(path);

/** The same address for a log, which keeps no link. */
export const withoutToken = (path: string): string => path.replace(SHARED, '$1…');

/** An answer that no catalogue takes up, and whose address is told to nobody: it has a link in it. */
export function unlisted<T extends Response>(response: T): T {
  response.headers.set('x-robots-tag', 'noindex, nofollow, noarchive');
  response.headers.set('referrer-policy', 'no-referrer');
  return response;
}

/** The answer with what it may load, who may frame it, and what is told onward. */
export function guarded<T extends Response>(response: T, policy: string): T {
  for (const [name, value] of Object.entries({ ...ALWAYS, 'content-security-policy': policy }))
    response.headers.set(name, value);
  return response;
}
