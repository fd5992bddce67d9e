import type { Patch } from '@/core/base/patch';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { CopyRecord, PrintRecord, PrintSheet } from '@/core/car/records/prints';
import type {
  FailureRecord,
  KeptBuild,
  RevisionRecord,
  RunRecord,
  Versioned,
} from '@/core/car/records/records';
import type { LibraryItem } from '@/core/car/library/kinds';
import type { Thresholds } from '@/core/verdict/engine/check';
import type { BuildSession } from './buildSession';

/** A whole second document that every figure of a page is compared with; never saved. */
export interface Ghost {
  readonly label: string;
  readonly document: BuildDocument;
}

export interface BuildPage extends Omit<KeptBuild, 'revisions'> {
  /** Where its pages are. */
  readonly root: string;
  readonly revision: RevisionRecord;
  readonly revisions: readonly RevisionRecord[];
  readonly library: readonly LibraryItem[];
  readonly thresholds: Thresholds;
  /** What the whole workshop has printed, for what it says of each printer. */
  readonly finishedPrints: readonly PrintSheet[];
  readonly printAheadMinutes: number | undefined;
  readonly session: BuildSession;
  readonly document: BuildDocument;
  readonly closed: boolean;
  readonly surface: ChosenSurface | undefined;
  readonly ghost: Ghost | undefined;
  edit(patch: Patch, stepKey?: string): void;
  chooseSurface(id: string): void;
  setGhost(ghost: Ghost | undefined): void;
  /** What was said of a revision: what it taught, and whether it is closed. */
  keepRevision(revision: RevisionRecord): void;
  keepRun(run: RunRecord): void;
  dropRun(id: string): void;
  keepFailure(failure: Versioned<FailureRecord>): void;
  dropFailure(id: string): void;
  keepPrint(print: Versioned<PrintRecord>, copies: readonly Versioned<CopyRecord>[]): void;
  dropPrint(id: string): void;
  keepCopy(copy: Versioned<CopyRecord>): void;
  keepItem(item: LibraryItem): void;
  dropItem(id: string): void;
}
