import type { BuildDocument } from '../car/document/document';
import type { WholeBuild } from '../car/records/records';
import { bandOf, type Found, goalOf, owedOf as owedRunsOf } from './field/checks';
import { dueOf, fixesOf, openOf } from './field/learnChecks';
import { owedOf } from '../worked/print/log';
import type { Check } from './engine/check';

/** A revision's document with what hangs on its build. */
export interface BuildOnRecord extends Pick<
  WholeBuild,
  'revisions' | 'runs' | 'failures' | 'prints' | 'copies'
> {
  document: BuildDocument;
  /** Whose runs count. */
  revisionId: string;
}

/** Checks that stand on what was printed, run and broken, rather than on the document alone. */
export function checksOnRecord(record: BuildOnRecord): Check[] {
  const own = record.runs.filter(({ revisionId }) => revisionId === record.revisionId);
  const field = (
    id: string,
    title: string,
    short: string,
    quantity: Check['quantity'],
    kind: Check['kind'],
    found: Found,
  ) => check({ id, segment: 'field', title, short, quantity, kind }, found);
  const learn = (id: string, title: string, short: string, found: Found) =>
    check({ id, segment: 'learn', title, short, quantity: 'count', kind: 'ceiling' }, found);
  return [
    field(
      'field.goal',
      'The wish proven by measurement',
      'measured',
      'speedMps',
      'floor',
      goalOf(record.document, own),
    ),
    field(
      'field.band',
      'Measured inside what was predicted',
      'off by',
      'coefficient',
      'ceiling',
      bandOf(own),
    ),
    field('field.owed', 'Runs owed', 'owed', 'count', 'ceiling', owedRunsOf(record.document, own)),
    learn('learn.open', 'Failures not explained', 'open', openOf(record.failures, record.runs)),
    learn(
      'learn.fix',
      'Fixes proven by hours',
      'unproven',
      fixesOf(record.failures, record.revisions, record.runs),
    ),
    learn('learn.due', 'Parts due for a look', 'due', dueOf(record.copies, record.runs, record.failures)),
    check(
      {
        id: 'print.queue',
        segment: 'print',
        title: 'Parts owed by the printer',
        short: 'owed',
        quantity: 'count',
        kind: 'ceiling',
      },
      queueOf(record),
    ),
  ];
}

const check = (
  what: Pick<Check, 'id' | 'segment' | 'title' | 'short' | 'quantity' | 'kind'>,
  { missing = [], ...found }: Found,
): Check => ({ ...what, ...found, missing, working: [], remedies: [] });

const MOST_NAMED = 3;

function queueOf(record: BuildOnRecord): Found {
  const { document, prints } = record;
  const parts = owedOf(record);
  const missing = [
    ...((document.print.printers ?? []).length === 0 && prints.length === 0 ? ['printer'] : []),
    ...(parts.length === 0 ? ['parts that are printed'] : []),
  ];
  if (missing.length > 0) return { state: 'unknown', why: `Needs ${missing.join(', ')}.`, missing };
  const owed = parts.filter((one) => one.owed > 0);
  const count = owed.reduce((sum, one) => sum + one.owed, 0);
  const coming = parts.reduce((sum, one) => sum + one.coming, 0);
  const onTheWay = coming > 0 ? ` ${coming} ${coming === 1 ? 'is' : 'are'} queued or on the bed.` : '';
  if (count === 0)
    return {
      state: 'clear',
      why: `Every one of ${parts.length} printed parts is there as often as the car needs it.${onTheWay}`,
    };
  const names = owed
    .slice(0, MOST_NAMED)
    .map(({ part, owed: times }) => `${times} × ${part.name.toLowerCase()}`)
    .join(', ');
  return {
    value: count,
    state: 'tight',
    why: `Still to print: ${names}${owed.length > MOST_NAMED ? ` and ${owed.length - MOST_NAMED} more parts` : ''}.${onTheWay}`,
  };
}
