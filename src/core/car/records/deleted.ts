import type { LibraryKind } from '../library/kinds';
import type { RunKind } from './runKinds';

/** What can be deleted and brought back, as its address calls it. */
export const DELETABLE_KINDS = ['builds', 'runs', 'failures', 'prints', 'library'] as const;
export type DeletableKind = (typeof DELETABLE_KINDS)[number];

/** Something that was deleted and can still be brought back. */
export interface DeletedThing {
  kind: DeletableKind;
  id: string;
  /** Of a build, an item of the library, or the part that failed. */
  name?: string;
  runKind?: RunKind;
  libraryKind?: LibraryKind;
  /** Names of what was on a plate. */
  parts?: string[];
  /** Build and letter of the revision that it belongs to. */
  of?: { build: string; letter: string };
  /** ISO 8601. */
  deletedAt: string;
}
