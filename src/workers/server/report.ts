import { evaluateMostUrgent } from '@/core/verdict/evaluate';
import type { Thresholds } from '@/core/verdict/engine/check';
import { checksOnRecord } from '@/core/verdict/record';
import type { WholeBuild } from '@/core/car/records/records';
import { printerTimesOfBuild } from '@/core/worked/print/printerTimes';
import type { PrintSheet } from '@/core/car/records/prints';
import { buildSheet } from '@/words/report/buildSheet';
import type { Report, ReportKind } from '@/words/report/definition';
import { type Images, reportAsPaper } from '@/words/report/paper';
import { testReport } from '@/words/report/testReport';
import type { Reader } from '@/core/base/units/formatQuantity';
import { printPdf } from './printPdf';

export interface ReportAsked {
  kind: ReportKind;
  whole: WholeBuild;
  revisionId: string;
  thresholds: Thresholds;
  /** What the workshop has printed, for what it says of the printer. */
  finishedPrints: readonly PrintSheet[];
  reader: Reader;
}

/** What a report says of a revision. */
export function reportOf({
  kind,
  whole,
  revisionId,
  thresholds,
  finishedPrints,
  reader,
}: ReportAsked): Report {
  const revision = whole.revisions.find(({ id }) => id === revisionId)!;
  const { document } = revision;
  const checks = [
    ...evaluateMostUrgent(document, thresholds),
    ...checksOnRecord({ ...whole, document, revisionId }),
  ];
  if (kind === 'test') return testReport({ ...whole, revision, checks }, reader);
  const times = printerTimesOfBuild(whole.prints, finishedPrints);
  return buildSheet({ ...whole, revision, document, checks, times }, reader);
}

/** The same on paper. */
export const reportOnPaper = async ({
  report,
  images,
  paper,
}: {
  report: Report;
  images: Images;
  paper: 'A4' | 'LETTER';
}): Promise<Uint8Array> => new Uint8Array(await printPdf(reportAsPaper(report, images, paper)));
