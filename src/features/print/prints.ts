import type { Versioned } from '@/core/field/records';
import type { CopyRecord, PrintRecord, PrintSheet } from '@/core/print/log';
import { callApi } from '../api';

/** Sends a print to the queue or the log. */
export const sendPrint = (revisionId: string, sheet: PrintSheet) =>
  callApi<{ print: Versioned<PrintRecord>; copies: Versioned<CopyRecord>[] }>(
    'POST',
    `/api/revisions/${revisionId}/prints`,
    sheet,
  );
