import { namesIn } from '../file/references';
import type { LibraryItem } from '../library/kinds';
import type { RunRecord, WholeBuild } from '../records/records';
import type { Photo } from '../records/report';
import type { Shows } from './shares';

/** Stands in place of a file's own name, which may say where it was driven. */
const TRACK_NAME = 'track';

/**
 * A build as a link shows it: what was not chosen is not there at all. Logs of sensors never are, as their columns may hold places.
 */
export function sharedBuild<B extends WholeBuild>(whole: B, shows: Shows): B {
  return {
    ...whole,
    runs: whole.runs.map((run) => shownRun(run, shows)),
    failures: shows.failures
      ? whole.failures.map((failure) => {
          if (shows.photos || !failure.ledger?.photos) return failure;
          const { photos: _, ...ledger } = failure.ledger;
          return { ...failure, ledger };
        })
      : [],
  };
}

/** The same without photographs and tracks that are not there. */
export function withFilesOf<B extends WholeBuild>(whole: B, has: (hash: string) => boolean): B {
  const held = (photos: readonly Photo[]) => photos.filter(({ hash }) => has(hash));
  return {
    ...whole,
    runs: whole.runs.map(({ photos, track, ...run }) => ({
      ...run,
      ...(photos ? { photos: held(photos) } : {}),
      ...(track && has(track.hash) ? { track } : {}),
    })),
    failures: whole.failures.map(({ ledger, ...failure }) => ({
      ...failure,
      ...(ledger ? { ledger: ledger.photos ? { ...ledger, photos: held(ledger.photos) } : ledger } : {}),
    })),
  };
}

function shownRun({ photos, track, report, ...run }: RunRecord, shows: Shows): RunRecord {
  const { log: _, ...measured } = report ?? {};
  return {
    ...run,
    ...(report ? { report: measured } : {}),
    ...(photos && shows.photos ? { photos } : {}),
    ...(track && shows.tracks ? { track: { ...track, name: TRACK_NAME } } : {}),
  };
}

/** The things of a library that records name, and those that these name themselves. */
export function usedItems<T extends Pick<LibraryItem, 'id'>>(
  all: readonly T[],
  named: ReadonlySet<string>,
): T[] {
  const used = all.filter(({ id }) => named.has(id));
  const byItems = namesIn({ library: used }, 'library');
  return all.filter(({ id }) => named.has(id) || byItems.has(id));
}
