import type { CopyRecord, CopySheet, PrintRecord, PrintSheet } from '@/core/print/log';
import { callApi } from '../api';

type Logged = { print: PrintRecord; copies: CopyRecord[] };

/** Sends a print to the queue or the log. */
export function sendPrint(method: 'POST' | 'PUT', path: string, { id, state, how, printer, items, estimateS, queuedAt, startedAt, endedAt, actualS, massG, why }: PrintSheet): Promise<Logged> {
  return callApi<Logged>(method, path, { id, state, how, printer, items, estimateS, queuedAt, startedAt, endedAt, actualS, massG, why });
}

export function sendCopy(copy: CopyRecord): Promise<CopyRecord> {
  const { revisionId: _, ...sheet } = copy;
  return callApi<CopyRecord>('PUT', `/api/copies/${copy.id}`, sheet satisfies CopySheet);
}
