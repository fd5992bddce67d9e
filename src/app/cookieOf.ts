/** A cookie of a request by its name. */
export function cookieOf(headers: Headers, name: string): string | undefined {
  for (const pair of (headers.get('cookie') ?? '').split(';')) {
    const [key = '', value = ''] = pair.trim().split('=');
    if (key === name) return value;
  }
  return undefined;
}
