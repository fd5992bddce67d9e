import { finding } from '../../base/finding';
import { owedOf } from '../../worked/print/log';
import { defineRecordCheck } from '../engine/check';

declare module '../../base/finding' {
  interface FindingFacts {
    'print.queue.none': { parts: number; coming: number };
    'print.queue.owed': { owed: readonly { part: string; count: number }[]; coming: number };
  }
}

/** Parts that the printer owes the car. */
export const queue = defineRecordCheck({
  id: 'print.queue',
  at: { segment: 'print', side: 'tonight' },
  quantity: 'count',
  kind: 'ceiling',
  find: (record) => {
    const { document, prints } = record;
    const parts = owedOf(record);
    const missing = [
      ...((document.print.printers ?? []).length === 0 && prints.length === 0 ? ['print.printers'] : []),
      ...(parts.length === 0 ? ['parts.items:printed'] : []),
    ];
    if (missing.length > 0) return { missing };
    const coming = parts.reduce((sum, one) => sum + one.coming, 0);
    const owed = parts
      .filter((one) => one.owed > 0)
      .map(({ part, owed: count }) => ({ part: part.name, count }));
    return owed.length === 0
      ? { state: 'clear', finding: finding('print.queue.none', { parts: parts.length, coming }) }
      : {
          value: owed.reduce((sum, { count }) => sum + count, 0),
          state: 'tight',
          finding: finding('print.queue.owed', { owed, coming }),
        };
  },
});
