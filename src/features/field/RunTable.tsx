import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { RUN_KIND_RECORDS } from '@/core/car/records/runKinds';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { useState } from 'react';
import { gapOf, measuredOf } from '@/core/worked/field/measured';
import { isRepeated, isTimed, type RunRecord } from '@/core/car/records/records';
import { seriesWords } from '@/words/learn/runs';
import { reportWords } from '@/words/learn/reportWords';
import { formatNumber, formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { giveUp } from '../session/waiting';
import { type HeldRun } from './useRuns';
import { deleteUndoably } from '../session/deleting';

const MOST_LISTED = 30;

/** The runs of a revision with what came out and under what conditions. */
export function RunTable({ own }: { own: readonly HeldRun[] }) {
  const { dropRun, keepRun } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const [whole, setWhole] = useState(false);
  if (own.length === 0) return null;
  const first = whole ? 0 : Math.max(0, own.length - MOST_LISTED);
  const drop = async ({ run, waits }: HeldRun) => {
    const { id } = run;
    try {
      if (waits && (await giveUp(id, RUN_KIND_NAMES[run.kind]))) return;
      await deleteUndoably(
        `/api/runs/${id}`,
        `${RUN_KIND_NAMES[run.kind]} deleted.`,
        () => dropRun(id),
        keepRun,
      );
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <>
      <div className="cap" style={{ marginTop: 16 }}>
        Runs of this revision
      </div>
      {problem ? (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      ) : null}
      <div className="gridbox">
        <Table className="grid" data-testid="runs">
          <TableHead>
            <TableRow>
              <TableCell>When</TableCell>
              <TableCell>Kind</TableCell>
              <TableCell>What came out</TableCell>
              <TableCell align="right">Predicted</TableCell>
              <TableCell>Conditions</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {own.slice(first).map((held, index) => (
              <RunRow
                key={held.run.id}
                held={held}
                index={first + index}
                reader={reader}
                onDrop={() => void drop(held)}
              />
            ))}
          </TableBody>
        </Table>
      </div>
      {own.length > MOST_LISTED ? (
        <Button variant="link" onClick={() => setWhole(!whole)}>
          {whole ? `the last ${MOST_LISTED} only` : `all ${own.length} runs`}
        </Button>
      ) : null}
    </>
  );
}

function RunRow({
  held: { run, waits },
  index,
  reader,
  onDrop,
}: {
  held: HeldRun;
  index: number;
  reader: Parameters<typeof formatText>[2];
  onDrop(): void;
}) {
  const measured = isTimed(run) ? measuredOf(run) : undefined;
  const gap = measured ? gapOf(run, measured) : undefined;
  return (
    <TableRow data-waits={waits}>
      <TableCell>
        <When at={run.ranAt} time />
        {waits ? (
          <div className="slate" style={{ fontSize: 12 }}>
            waits to be sent
          </div>
        ) : null}
      </TableCell>
      <TableCell>{RUN_KIND_NAMES[run.kind]}</TableCell>
      <TableCell>
        {isTimed(run) && !isRepeated(run) ? (
          seriesWords(run, reader)
        ) : measured ? (
          <>
            <b>{formatWithError(measured.speed.mean, measured.speedErrorMps, 'speedMps', reader)}</b>{' '}
            <span className="quiet">
              {measured.speed.n === 1
                ? 'one attempt'
                : `${measured.speed.n} attempts, sd ${formatText(measured.speed.sd ?? 0, 'speedMps', reader, 2)}`}
              {RUN_KIND_RECORDS[run.kind].fromRest
                ? `, ${formatText(2 * measured.speed.mean, 'speedMps', reader)} at the end`
                : ''}
            </span>
          </>
        ) : (
          reportWords(run, reader)
        )}
        {(run.photos ?? []).map(({ hash }) => (
          <a
            key={hash}
            href={`/api/files/${hash}`}
            target="_blank"
            rel="noreferrer"
            style={{ marginLeft: 8 }}
          >
            photo
          </a>
        ))}
      </TableCell>
      <TableCell align="right">
        {run.prediction
          ? formatText(run.prediction.speedMps, 'speedMps', reader)
          : isTimed(run)
            ? 'none'
            : ''}
        {gap && Math.abs(gap.sigmas) > 2 ? (
          <div style={{ color: 'var(--rust)', fontSize: 12 }}>outside its band</div>
        ) : null}
      </TableCell>
      <TableCell className="quiet">{conditionWords(run, reader)}</TableCell>
      <TableCell>
        <IconAct
          icon="remove"
          label={`Delete the ${RUN_KIND_NAMES[run.kind].toLowerCase()} ${index + 1}`}
          onClick={onDrop}
        />
      </TableCell>
    </TableRow>
  );
}

const SETTINGS_SAID = 3;

function conditionWords(
  { conditions, note }: Pick<RunRecord, 'conditions' | 'note'>,
  reader: Parameters<typeof formatText>[2],
): string {
  const { surfaceName, ambientC, packVBefore, packVAfter, extraMassG, settings = [] } = conditions;
  return [
    surfaceName?.toLowerCase() ?? '',
    ambientC === undefined ? '' : formatText(ambientC, 'temperatureC', reader),
    packVBefore === undefined
      ? ''
      : `${formatText(packVBefore, 'voltageV', reader)}${packVAfter === undefined ? '' : ` to ${formatText(packVAfter, 'voltageV', reader)}`}`,
    extraMassG ? `${extraMassG > 0 ? '+' : ''}${formatText(extraMassG, 'massG', reader)}` : '',
    ...settings
      .slice(0, SETTINGS_SAID)
      .map(({ name, value }) => `${name} ${formatNumber(value, reader.locale, 3)}`),
    note ?? '',
  ]
    .filter(Boolean)
    .join(', ');
}
