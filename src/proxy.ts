import { type NextRequest, NextResponse } from 'next/server';
import { originsOf, strangerIn } from './app/origins';
import { ALWAYS, DATA_POLICY, pagePolicy, WORKER_POLICY } from './app/policy';

const allowed = originsOf(process.env.ORIGIN);
const development = process.env.NODE_ENV !== 'production';

const REFUSALS = {
  host: { message: 'This address is not one that the workshop answers to.', remedy: 'open it by its own address, or name this one in ORIGIN when starting it' },
  origin: { message: 'A page of another site sent this.', remedy: 'do it on a page of the workshop itself' },
} as const;

/** Every request: none for another host or from another site passes, and every answer says what it may load. */
export function proxy(request: NextRequest): Response {
  const { headers, method } = request;
  const stranger = strangerIn({ method, host: headers.get('host'), origin: headers.get('origin'), site: headers.get('sec-fetch-site') }, allowed);
  if (stranger) return guarded(NextResponse.json({ error: { code: 'stranger', ...REFUSALS[stranger] } }, { status: 403 }), DATA_POLICY);
  const { pathname } = request.nextUrl;
  if (pathname.startsWith('/api/')) return guarded(NextResponse.next(), DATA_POLICY);
  if (pathname.startsWith('/_next/static/') || pathname === '/service-worker.js') return guarded(NextResponse.next(), WORKER_POLICY);
  const nonce = Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('base64');
  const policy = pagePolicy(nonce, development);
  const onward = new Headers(headers);
  onward.set('x-nonce', nonce);
  onward.set('content-security-policy', policy);
  return guarded(NextResponse.next({ request: { headers: onward } }), policy);
}

function guarded(response: NextResponse, policy: string): NextResponse {
  for (const [name, value] of Object.entries({ ...ALWAYS, 'content-security-policy': policy })) response.headers.set(name, value);
  return response;
}
