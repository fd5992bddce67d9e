/** Names under which a machine calls itself. */
const LOOPBACK: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]']);

export interface Asked {
  readonly method: string;
  /** Of the request's Host header. */
  readonly host: string | null;
  readonly origin: string | null;
  /** Of the browser's Sec-Fetch-Site header. */
  readonly site: string | null;
}

/** The addresses of a list such as `https://cars.example, http://192.168.1.5:3117`; none stands for this machine alone. */
export function originsOf(list: string | undefined): ReadonlySet<string> | undefined {
  const named = (list ?? '')
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean);
  return named.length === 0 ? undefined : new Set(named.map((one) => new URL(one).origin));
}

const READING: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Why a request is not answered: it asks for another host, or a page of another site sent it; nothing where it may pass. */
export function strangerIn(
  { method, host, origin, site }: Asked,
  allowed: ReadonlySet<string> | undefined,
): 'host' | 'origin' | undefined {
  if (host === null || !isOwnHost(host, allowed)) return 'host';
  if (origin !== null) return isOwnOrigin(origin, host, allowed) ? undefined : 'origin';
  if (READING.has(method)) return undefined;
  // no browser leaves both out when a page of another site sends; other programs do
  return site === null || site === 'same-origin' || site === 'none' ? undefined : 'origin';
}

function isOwnHost(host: string, allowed: ReadonlySet<string> | undefined): boolean {
  if (allowed) return [...allowed].some((one) => new URL(one).host === host);
  const url = parsed(`http://${host}`);
  return url !== undefined && url.host === host.replace(/:80$/, '') && LOOPBACK.has(url.hostname);
}

function isOwnOrigin(origin: string, host: string, allowed: ReadonlySet<string> | undefined): boolean {
  if (allowed) return allowed.has(origin);
  const url = parsed(origin);
  return url !== undefined && url.origin === origin && url.host === host.replace(/:80$/, '');
}

function parsed(text: string): URL | undefined {
  try {
    return new URL(text);
  } catch {
    return undefined;
  }
}
