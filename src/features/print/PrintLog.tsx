import { IconAct } from '@/ui/controls/IconAct';
import { SheetForm } from '@/ui/controls/SheetForm';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { type FormEvent, useState } from 'react';
import type { Versioned } from '@/core/car/records/records';
import type { CopyRecord, PrintRecord } from '@/core/car/records/prints';
import { onlyMaterialOf, printerTimesOf, timeFactor } from '@/core/worked/print/printerTimes';
import { durationText } from '@/core/base/units/duration';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { deleteUndoably } from '../session/deleting';
import { saveRecord } from '../session/saveRecord';

const STATE_WORDS: Readonly<Record<PrintRecord['state'], string>> = {
  queued: 'in the queue',
  printing: 'on the bed',
  finished: 'finished',
  failed: 'failed',
};
const SHOWN = 8;

/** The queue and the log of prints: started, finished or failed and why, with the time it really took. */
export function PrintLog() {
  const { prints, revisions, keepPrint, dropPrint, finishedPrints } = useBuild();
  const { reader } = useReader();
  const [closing, setClosing] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [all, setAll] = useState(false);
  if (prints.length === 0) return null;
  const rank = { printing: 0, queued: 1, finished: 2, failed: 2 };
  const when = (print: PrintRecord) => print.endedAt ?? print.startedAt ?? print.queuedAt;
  const sorted = [...prints].sort((a, b) => rank[a.state] - rank[b.state] || (when(a) < when(b) ? 1 : -1));
  const shown = all ? sorted : sorted.slice(0, SHOWN);
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
  const times = printerTimesOf(finishedPrints);
  const expectedS = ({ printer, items, estimateS = 0 }: PrintRecord) =>
    estimateS * timeFactor(times, printer, onlyMaterialOf(items));
  return (
    <section aria-label="Queue and log of prints">
      <div className="cap" style={{ marginTop: 18 }}>
        <span>Queue and log of prints</span>
      </div>
      {problem ? (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      ) : null}
      <div className="gridbox">
        <Table size="small" className="grid" data-testid="print-log">
          <TableHead>
            <TableRow>
              <TableCell>State</TableCell>
              <TableCell>When</TableCell>
              <TableCell>What</TableCell>
              <TableCell align="right">Expected</TableCell>
              <TableCell align="right">Took</TableCell>
              <TableCell align="right">Mass</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {shown.map((print) => (
              <TableRow key={print.id} data-state={print.state}>
                <TableCell>
                  <b>{STATE_WORDS[print.state]}</b>
                  {print.how === 'draft' ? ', draft' : ''}
                  {print.why ? (
                    <div className="quiet" style={{ fontSize: 12.5 }}>
                      {print.why}
                    </div>
                  ) : null}
                </TableCell>
                <TableCell style={{ whiteSpace: 'nowrap' }}>
                  <When at={when(print)} />
                </TableCell>
                <TableCell>
                  {itemWords(print)}{' '}
                  <span className="quiet">{revisions.find(({ id }) => id === print.revisionId)?.letter}</span>
                </TableCell>
                <TableCell align="right">
                  {print.estimateS === undefined ? '' : durationText(expectedS(print))}
                </TableCell>
                <TableCell align="right">
                  {print.actualS === undefined ? '' : durationText(print.actualS)}
                </TableCell>
                <TableCell align="right">
                  {print.massG === undefined ? '' : formatText(print.massG, 'massG', reader)}
                </TableCell>
                <TableCell style={{ whiteSpace: 'nowrap' }}>
                  {print.state === 'queued' ? (
                    <Button
                      variant="link"
                      onClick={() =>
                        void change(print, {
                          ...print,
                          state: 'printing',
                          startedAt: new Date().toISOString(),
                        })
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
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </div>
      {sorted.length > SHOWN ? (
        <Button variant="link" onClick={() => setAll(!all)}>
          {all ? 'the last ones only' : `all ${sorted.length}`}
        </Button>
      ) : null}
      {prints
        .filter(({ id }) => id === closing)
        .map((print) => (
          <Done key={print.id} print={print} onDone={(changed) => void change(print, changed)} />
        ))}
    </section>
  );
}

/** How a print ended: the copies come from it, and its time corrects the next estimate. */
function Done({ print, onDone }: { print: PrintRecord; onDone(print: PrintRecord): void }) {
  const [minutes, setMinutes] = useState<number | undefined>();
  const [massG, setMass] = useState<number>();
  const [why, setWhy] = useState('');
  const [now] = useState(() => Date.now());
  const elapsed = print.startedAt
    ? Math.max(1, Math.round((now - Date.parse(print.startedAt)) / 60_000))
    : undefined;
  const took = minutes ?? undefined;
  const finish = (event: FormEvent) => {
    event.preventDefault();
    onDone({
      ...print,
      state: 'finished',
      endedAt: new Date().toISOString(),
      ...(took === undefined ? {} : { actualS: took * 60 }),
      ...(massG === undefined ? {} : { massG }),
    });
  };
  return (
    <SheetForm label="How the print ended" maxWidth={520} onSubmit={finish}>
      <QuantityField
        label="It took"
        quantity="minutes"
        limits={{ above: 0, to: 20_000 }}
        value={minutes}
        {...(elapsed === undefined ? {} : { example: elapsed })}
        onChange={setMinutes}
      />
      <QuantityField
        label="The plate weighs"
        quantity="massG"
        limits={{ above: 0, to: 100_000 }}
        value={massG}
        onChange={setMass}
      />
      <div className="row" style={{ marginTop: 6 }}>
        <Button variant="contained" type="submit">
          Finished: {print.items.length === 1 ? 'one copy' : `${print.items.length} copies`}
        </Button>
      </div>
      <div className="field text" style={{ marginTop: 8 }}>
        <label htmlFor="why-failed">Why it failed</label>
        <TextInput
          id="why-failed"
          value={why}
          maxLength={500}
          placeholder="e.g. came off the bed"
          onChange={(event) => setWhy(event.target.value)}
        />
      </div>
      <div className="row" style={{ marginTop: 6 }}>
        <Button
          disabled={why.trim() === ''}
          onClick={() =>
            onDone({
              ...print,
              state: 'failed',
              endedAt: new Date().toISOString(),
              why: why.trim(),
              ...(took === undefined ? {} : { actualS: took * 60 }),
            })
          }
        >
          It failed
        </Button>
      </div>
    </SheetForm>
  );
}

/** What is on a plate, each part with its number. */
function itemWords({ items }: PrintRecord): string {
  const counted = new Map<string, number>();
  for (const { partName } of items) counted.set(partName, (counted.get(partName) ?? 0) + 1);
  return [...counted]
    .map(([name, count]) => (count > 1 ? `${count} × ${name.toLowerCase()}` : name.toLowerCase()))
    .join(', ');
}
