import type { BuildDocument } from '../../car/document/document';
import type { WholeBuild } from '../../car/records/records';

/** A revision's document with what hangs on its build. */
export interface BuildOnRecord extends Pick<
  WholeBuild,
  'revisions' | 'runs' | 'failures' | 'prints' | 'copies'
> {
  document: BuildDocument;
  /** Whose runs count. */
  revisionId: string;
}

/** The runs of the revision itself. */
export const ownRuns = ({ runs, revisionId }: BuildOnRecord) =>
  runs.filter((run) => run.revisionId === revisionId);
