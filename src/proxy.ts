import { type NextRequest, NextResponse } from 'next/server';
import { isWellFormed } from './app/addresses';
import { answerToStranger, guarded, isShared, unlisted } from './app/guard';
import { DATA_POLICY, pagePolicy, WORKER_POLICY } from './app/policy';
import { isPageRequest, silencePage } from './app/silence';
import { databaseAnswers } from './db/client';

const development = process.env.NODE_ENV !== 'production';

const DATABASE_PATIENCE_MS = 5000;
/** No page is called so: it becomes the one that says that there is none. */
const NOWHERE = '/there-is-no-such-page';
const MALFORMED = {
  code: 'malformed',
  message: 'The address is not well written.',
  remedy: 'check it, or begin at the garage',
};

/** Doors that take files are left out: what passes here is held in memory, and cut off after 10 MB. They look for strangers themselves. */
export const config = { matcher: ['/((?!api/(?:tracks|photos|meshes|builds/import|workshops/import)$).*)'] };

/** Every request: none for another host or from another site passes, and every answer says what it may load. */
export async function proxy(request: NextRequest): Promise<Response> {
  const { headers, method } = request;
  const stranger = answerToStranger(request);
  if (stranger) return stranger;
  const wellFormed = isWellFormed(request.url);
  const opened = isPageRequest(method, headers);
  if (!wellFormed && !opened)
    return guarded(NextResponse.json({ error: MALFORMED }, { status: 400 }), DATA_POLICY);
  const { pathname } = request.nextUrl;
  if (pathname.startsWith('/api/')) return guarded(NextResponse.next(), DATA_POLICY);
  if (pathname.startsWith('/_next/static/') || pathname === '/service-worker.js')
    return guarded(NextResponse.next(), WORKER_POLICY);
  const nonce = Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('base64');
  const policy = pagePolicy(nonce, development);
  const onward = new Headers(headers);
  onward.set('x-nonce', nonce);
  onward.set('x-asked', `${pathname}${request.nextUrl.search}`);
  onward.set('content-security-policy', policy);
  if (!wellFormed)
    return guarded(
      NextResponse.rewrite(new URL(NOWHERE, request.nextUrl.origin), { request: { headers: onward } }),
      policy,
    );
  if (opened && !(await databaseAnswers(DATABASE_PATIENCE_MS))) return guarded(silencePage(), policy);
  const page = guarded(NextResponse.next({ request: { headers: onward } }), policy);
  return isShared(pathname) ? unlisted(page) : page;
}
