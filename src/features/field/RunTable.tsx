import { Problem } from '@/ui/controls/Problem';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { IconAct } from '@/ui/controls/IconAct';
import { RUN_KIND_RECORDS } from '@/core/car/records/runKinds';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { useMemo, useState } from 'react';
import { gapOf, measuredOf } from '@/core/worked/field/measured';
import { isRepeated, isTimed, type RunRecord } from '@/core/car/records/records';
import { PASS_TICKS } from '@/core/car/records/report';
import { seriesWords } from '@/words/learn/runs';
import { reportWords } from '@/words/learn/reportWords';
import { formatNumber, formatText, formatWithError, type Reader } from '@/core/base/units/formatQuantity';
import type { LongColumn } from '@/ui/longTable/column';
import { LongTable } from '@/ui/longTable/LongTable';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { sentenceOf } from '../api';
import { useFileAddress, Working } from '../session/access';
import { useBuild } from '../session/BuildContext';
import { giveUp } from '../session/waiting';
import { type HeldRun } from './useRuns';
import { deleteUndoably } from '../session/deleting';

interface RunRow extends HeldRun {
  id: string;
  /** From one, the oldest first. */
  number: number;
}

/** The runs of a revision with what came out and under what conditions. */
export function RunTable({ own }: { own: readonly HeldRun[] }) {
  const { dropRun, keepRun } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const columns = useMemo(() => columnsFor(reader), [reader]);
  if (own.length === 0) return null;
  const rows = own.map((held, at): RunRow => ({ ...held, id: held.run.id, number: at + 1 }));
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
      <Typography variant="label" sx={{ mt: 2 }}>
        Runs of this revision
      </Typography>
      <Problem>{problem}</Problem>
      <LongTable
        label="Runs of this revision"
        testId="runs"
        rows={rows}
        columns={columns}
        latest="when"
        mark={({ waits }) => (waits ? 'waits' : 'sent')}
        acts={(row) => (
          <Working>
            <IconAct
              icon="remove"
              label={`Delete the ${RUN_KIND_NAMES[row.run.kind].toLowerCase()} ${row.number}`}
              onClick={() => void drop(row)}
            />
          </Working>
        )}
      />
    </>
  );
}

const columnsFor = (reader: Reader): LongColumn<RunRow>[] => [
  {
    field: 'when',
    name: 'When',
    width: 128,
    date: true,
    value: ({ run }) => run.ranAt,
    show: ({ run, waits }) => (
      <>
        <When at={run.ranAt} time />
        {waits ? (
          <Typography component="div" variant="small" color="info">
            waits to be sent
          </Typography>
        ) : null}
      </>
    ),
  },
  { field: 'kind', name: 'Kind', width: 116, value: ({ run }) => RUN_KIND_NAMES[run.kind] },
  {
    field: 'speed',
    name: 'Measured',
    width: 116,
    quantity: 'speedMps',
    hidden: true,
    value: ({ run }) => (isTimed(run) ? measuredOf(run)?.speed.mean : run.track?.topSpeedMps),
  },
  {
    field: 'what',
    name: 'What came out',
    width: 200,
    grows: true,
    value: ({ run }) => (isTimed(run) ? seriesWords(run, reader) : reportWords(run, reader)),
    show: ({ run }) => <CameOut run={run} />,
  },
  {
    field: 'predicted',
    name: 'Predicted',
    width: 116,
    quantity: 'speedMps',
    value: ({ run }) => run.prediction?.speedMps,
    show: ({ run }) => <Predicted run={run} />,
  },
  {
    field: 'conditions',
    name: 'Conditions',
    width: 180,
    grows: true,
    value: ({ run }) => conditionWords(run, reader),
  },
];

function CameOut({ run }: { run: RunRecord }) {
  const fileAt = useFileAddress();
  const { reader } = useReader();
  const measured = isTimed(run) ? measuredOf(run) : undefined;
  return (
    <>
      {isTimed(run) && !isRepeated(run) ? (
        seriesWords(run, reader)
      ) : measured ? (
        <>
          <b>{formatWithError(measured.speed.mean, measured.speedErrorMps, 'speedMps', reader)}</b>{' '}
          <Typography component="span" color="textSecondary">
            {measured.speed.n === 1
              ? 'one attempt'
              : `${measured.speed.n} attempts, sd ${formatText(measured.speed.sd ?? 0, 'speedMps', reader, 2)}`}
            {RUN_KIND_RECORDS[run.kind].fromRest
              ? `, ${formatText(2 * measured.speed.mean, 'speedMps', reader)} at the end`
              : ''}
          </Typography>
        </>
      ) : (
        reportWords(run, reader)
      )}
      {(run.photos ?? []).map(({ hash }) => (
        <Box component="a" sx={{ ml: 1 }} key={hash} href={fileAt(hash)} target="_blank" rel="noreferrer">
          photo
        </Box>
      ))}
    </>
  );
}

function Predicted({ run }: { run: RunRecord }) {
  const { reader } = useReader();
  const measured = isTimed(run) ? measuredOf(run) : undefined;
  const gap = measured ? gapOf(run, measured) : undefined;
  return (
    <>
      {run.prediction ? formatText(run.prediction.speedMps, 'speedMps', reader) : isTimed(run) ? 'none' : ''}
      {gap && Math.abs(gap.sigmas) > 2 ? (
        <Typography component="div" variant="small" color="error">
          outside its band
        </Typography>
      ) : null}
    </>
  );
}

const SETTINGS_SAID = 3;

function conditionWords(
  { conditions, note, report }: Pick<RunRecord, 'conditions' | 'note' | 'report'>,
  reader: Reader,
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
    report?.ticked?.length === PASS_TICKS.length ? 'looked at everything before the pass' : '',
    note ?? '',
  ]
    .filter(Boolean)
    .join(', ');
}
