import { originsOf } from '../origins';

/** The addresses by which others open the server. */
export const ownOrigins = (): string[] => [...(originsOf(process.env.ORIGIN) ?? [])];

/** The one that links are made with. */
export const ownAddress = (): string => ownOrigins()[0] ?? `http://localhost:${process.env.PORT ?? 3117}`;

/** Whether cookies are only for encrypted lines: where every address of the server is one. */
export function areCookiesSecure(): boolean {
  const origins = ownOrigins();
  return origins.length > 0 && origins.every((origin) => origin.startsWith('https:'));
}
