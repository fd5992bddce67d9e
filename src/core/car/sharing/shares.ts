/** What of a build is shown or not, as whoever makes a link chooses. */
export const SHOWABLE = ['failures', 'photos', 'tracks'] as const;
export type Showable = (typeof SHOWABLE)[number];
export type Shows = Readonly<Record<Showable, boolean>>;

/** How long a link may be good, days; else until it is taken back. */
export const GOOD_FOR_DAYS = [1, 7, 30, 90] as const;

/** A link by which a build is shown; what stands in it is not known any more. */
export interface Share {
  id: string;
  shows: Shows;
  createdAt: string;
  expiresAt?: string;
}
