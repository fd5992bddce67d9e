import type { Versioned } from '@/core/car/records/records';
import type { CopyRecord, PrintRecord, PrintSheet } from '@/core/car/records/prints';
import { callApi } from '../api';

/** Sends a print to the queue or the log. */
export const sendPrint = (revisionId: string, sheet: PrintSheet) =>
  callApi<{ print: Versioned<PrintRecord>; copies: Versioned<CopyRecord>[] }>(
    'POST',
    `/api/revisions/${revisionId}/prints`,
    sheet,
  );
