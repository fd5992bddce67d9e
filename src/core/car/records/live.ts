/** What happens in a workshop, as its open pages are told of it. */
export type LiveEvent =
  | {
      /** Something was written. */
      what: 'written';
      workshopId: string;
      /** The tab that wrote it, where it said so. */
      tab?: string;
      /** The door that it was written through. */
      method: string;
      path: string;
    }
  | {
      /** A page of a build is open, or no more. */
      what: 'here' | 'gone';
      workshopId: string;
      buildId: string;
      tab: string;
      person?: { id: string; name: string };
    };

/** A page that says nothing more for so long is taken for closed, ms; it says so every third of it. */
export const HERE_FOR_MS = 60_000;

/** Names the tab that sends a request. */
export const TAB_HEADER = 'x-tab';
