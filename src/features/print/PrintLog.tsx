import { Problem } from '@/ui/controls/Problem';
import Typography from '@mui/material/Typography';
import { IconAct } from '@/ui/controls/IconAct';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { Versioned } from '@/core/car/records/records';
import type { CopyRecord, PrintRecord } from '@/core/car/records/prints';
import {
  onlyMaterialOf,
  type PrinterTimes,
  printerTimesOf,
  timeFactor,
} from '@/core/worked/print/printerTimes';
import { durationText } from '@/core/base/units/duration';
import type { LongColumn } from '@/ui/longTable/column';
import { LongTable } from '@/ui/longTable/LongTable';
import { When } from '@/ui/When';
import { sentenceOf } from '../api';
import { Working } from '../session/access';
import { useBuild } from '../session/BuildContext';
import { deleteUndoably } from '../session/deleting';
import { saveRecord } from '../session/saveRecord';
import { PrintEnd } from './PrintEnd';

const STATE_WORDS: Readonly<Record<PrintRecord['state'], string>> = {
  queued: 'in the queue',
  printing: 'on the bed',
  finished: 'finished',
  failed: 'failed',
};

const S_PER_MIN = 60;

type LoggedPrint = Versioned<PrintRecord> & { letter: string };

/** The queue and the log of prints: started, finished or failed and why, with the time it really took. */
export function PrintLog() {
  const { prints, revisions, keepPrint, dropPrint, finishedPrints } = useBuild();
  const [closing, setClosing] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const change = async (print: Versioned<PrintRecord>, changed: PrintRecord) => {
    setProblem(undefined);
    try {
      const answer = await saveRecord('print', print, changed, print);
      keepPrint(answer.print, answer.copies);
      setClosing(undefined);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const remove = async (print: PrintRecord) => {
    setProblem(undefined);
    try {
      await deleteUndoably<{ print: Versioned<PrintRecord>; copies: Versioned<CopyRecord>[] }>(
        `/api/prints/${print.id}`,
        `Print of ${itemWords(print)} deleted.`,
        () => dropPrint(print.id),
        (back) => keepPrint(back.print, back.copies),
      );
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const columns = useMemo(() => columnsFor(printerTimesOf(finishedPrints)), [finishedPrints]);
  if (prints.length === 0) return null;
  const rows = prints.map((print): LoggedPrint => ({
    ...print,
    letter: revisions.find(({ id }) => id === print.revisionId)?.letter ?? '',
  }));
  return (
    <section aria-label="Queue and log of prints">
      <Typography variant="label" sx={{ mt: 2.25 }}>
        <span>Queue and log of prints</span>
      </Typography>
      <Problem>{problem}</Problem>
      <LongTable
        label="Queue and log of prints"
        testId="print-log"
        rows={rows}
        columns={columns}
        latest="when"
        mark={({ state }) => state}
        actsWidth={132}
        acts={(print) => (
          <Working>
            {print.state === 'queued' ? (
              <Button
                variant="link"
                onClick={() =>
                  void change(print, { ...print, state: 'printing', startedAt: new Date().toISOString() })
                }
              >
                start
              </Button>
            ) : null}
            {print.state === 'printing' ? (
              <Button
                variant="link"
                aria-expanded={closing === print.id}
                onClick={() => setClosing(closing === print.id ? undefined : print.id)}
              >
                it is done
              </Button>
            ) : null}{' '}
            <IconAct
              icon="remove"
              label={`Delete the print of ${itemWords(print)}`}
              onClick={() => void remove(print)}
            />
          </Working>
        )}
      />
      {prints
        .filter(({ id }) => id === closing)
        .map((print) => (
          <PrintEnd key={print.id} print={print} onDone={(changed) => void change(print, changed)} />
        ))}
    </section>
  );
}

const when = (print: PrintRecord) => print.endedAt ?? print.startedAt ?? print.queuedAt;

const columnsFor = (times: PrinterTimes): LongColumn<LoggedPrint>[] => [
  {
    field: 'state',
    name: 'State',
    width: 150,
    grows: true,
    value: ({ state, how, why }) =>
      [STATE_WORDS[state], how === 'draft' ? 'draft' : '', why ?? ''].filter(Boolean).join(', '),
    show: ({ state, how, why }) => (
      <>
        <b>{STATE_WORDS[state]}</b>
        {how === 'draft' ? ', draft' : ''}
        {why ? (
          <Typography component="div" variant="note" color="textSecondary">
            {why}
          </Typography>
        ) : null}
      </>
    ),
  },
  {
    field: 'when',
    name: 'When',
    width: 120,
    date: true,
    value: when,
    show: (print) => <When at={when(print)} />,
  },
  {
    field: 'what',
    name: 'What',
    width: 180,
    grows: true,
    value: (print) => itemWords(print),
    show: (print) => (
      <>
        {itemWords(print)}{' '}
        <Typography component="span" color="textSecondary">
          {print.letter}
        </Typography>
      </>
    ),
  },
  {
    field: 'expected',
    name: 'Expected',
    width: 110,
    quantity: 'minutes',
    value: ({ printer, items, estimateS }) =>
      estimateS === undefined
        ? undefined
        : (estimateS * timeFactor(times, printer, onlyMaterialOf(items))) / S_PER_MIN,
    show: ({ printer, items, estimateS }) =>
      estimateS === undefined
        ? ''
        : durationText(estimateS * timeFactor(times, printer, onlyMaterialOf(items))),
  },
  {
    field: 'took',
    name: 'Took',
    width: 110,
    quantity: 'minutes',
    value: ({ actualS }) => (actualS === undefined ? undefined : actualS / S_PER_MIN),
    show: ({ actualS }) => (actualS === undefined ? '' : durationText(actualS)),
  },
  { field: 'mass', name: 'Mass', width: 90, quantity: 'massG', value: ({ massG }) => massG },
];

/** What is on a plate, each part with its number. */
function itemWords({ items }: PrintRecord): string {
  const counted = new Map<string, number>();
  for (const { partName } of items) counted.set(partName, (counted.get(partName) ?? 0) + 1);
  return [...counted]
    .map(([name, count]) => (count > 1 ? `${count} × ${name.toLowerCase()}` : name.toLowerCase()))
    .join(', ');
}
