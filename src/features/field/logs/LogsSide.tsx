'use client';

import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { Page } from '@/ui/layout/Page';
import { type ReactNode, useState } from 'react';
import type { KeptLog } from '@/core/car/records/benchReport';
import type { LogRoles } from '@/core/physics/logs/logRead';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { sayAll } from '@/words/findings';
import { LOG_ROLE_WORDS, logAnswer } from '@/words/bench/logWords';
import { problemOf } from '@/words/refusals/problemOf';
import '@/words/later/bringIn';
import type { LogAnswer } from '@/workers/logs';
import { Choice, Group } from '../../fields/fields';
import { Bench, Readings } from '../../frame/Guarded';
import { RunSheetForm } from '../RunSheetForm';
import { useRuns } from '../useRuns';
import { useRunSheet } from '../useRunSheet';
import { LogColumns } from './LogColumns';
import { LogLines } from './LogLines';
import { LogMotor } from './LogMotor';
import { useLog } from './useLog';
import { useLaidOn } from './useLaidOn';

const KINDS = ['log'] as const;
const NEW = 'new';

interface Source {
  id: string;
  name: string;
  kind: 'log' | 'track';
  hash: string;
  blob?: Blob | undefined;
  log?: KeptLog;
}

/** Logs as they were driven over what was predicted, and the motor that they tell. */
export function LogsSide({ tabs }: { tabs: ReactNode }) {
  const form = useRunSheet(KINDS);
  const all = useRuns();
  const { reader } = useReader();
  const { sheet, track: blob } = form;
  const day = (at: string) =>
    new Intl.DateTimeFormat(reader.locale, { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(
      new Date(at),
    );
  const kept = all.flatMap(({ run }): Source[] => [
    ...(run.report?.log
      ? [
          {
            id: run.id,
            name: `${day(run.ranAt)}, ${run.report.log.name}`,
            kind: 'log' as const,
            hash: run.report.log.hash,
            log: run.report.log,
          },
        ]
      : []),
    ...(run.track
      ? [
          {
            id: run.id,
            name: `${day(run.ranAt)}, ${run.track.name}`,
            kind: 'track' as const,
            hash: run.track.hash,
          },
        ]
      : []),
  ]);
  const begun: Source[] = sheet.report.log
    ? [{ id: NEW, name: sheet.report.log.name, kind: 'log', hash: '', blob, log: sheet.report.log }]
    : [];
  const logs = [...begun, ...kept.filter(({ kind }) => kind === 'log').reverse()];
  const [chosen, choose] = useState<string>();
  const [otherId, chooseOther] = useState('');
  const source = logs.find(({ id }) => id === chosen) ?? logs[0];
  const [corrected, correct] = useState<Readonly<Record<string, LogRoles>>>({});
  const [meterMilliOhm, setMeter] = useState<number>();
  const [pairs, setPairs] = useState<number>();
  const roles = source ? (corrected[source.id] ?? source.log?.roles) : undefined;
  const polePairs = pairs ?? source?.log?.polePairs;
  const found = useLog(source, { roles, meterMilliOhm, polePairs });
  const others = [...logs, ...kept.filter(({ kind }) => kind === 'track')].filter(
    ({ id }) => id !== source?.id,
  );
  const other = others.find(({ id }) => id === otherId);
  const laid = useLaidOn(source, roles, other);
  const setRoles = (next: LogRoles) => {
    if (!source) return;
    correct({ ...corrected, [source.id]: next });
    if (source.id === NEW)
      form.onChange({ ...sheet, report: { ...sheet.report, log: { ...sheet.report.log!, roles: next } } });
  };
  return (
    <Page>
      <Bench>
        {logs.length > 1 ? (
          <Choice
            id="log-shown"
            label="Log"
            value={source?.id ?? ''}
            disabled={false}
            options={logs.map(({ id, name }) => [id, name] as const)}
            onChange={choose}
          />
        ) : null}
        {source && others.length > 0 ? (
          <Choice
            id="log-other"
            label="Laid over it"
            value={other?.id ?? ''}
            disabled={false}
            options={[['', 'nothing'], ...others.map(({ id, name }) => [id, name] as const)]}
            onChange={chooseOther}
          />
        ) : null}
        {found.answer ? (
          <Group title="Motor by this log">
            <QuantityField
              label="Turns are divided by (pole pairs)"
              quantity="count"
              limits={{ from: 1, to: 60 }}
              value={polePairs}
              usual={1}
              onChange={setPairs}
            />
            <QuantityField
              label="Resistance by a meter"
              quantity="resistanceMilliOhm"
              limits={{ above: 0, to: 1_000_000 }}
              value={meterMilliOhm}
              onChange={setMeter}
            />
          </Group>
        ) : null}
        <RunSheetForm {...form} />
      </Bench>
      <Readings>
        {tabs}
        <Typography variant="answer" data-testid="log-answer">
          {found.answer
            ? logAnswer(found.answer.seen, reader)
            : source
              ? 'Reading the log…'
              : 'A log shows what the car truly did: drop one of its controller, gyro or recorder.'}
        </Typography>
        {found.problem ? (
          <Note tone="bad" role="alert">
            {found.problem}
          </Note>
        ) : null}
        {laid ? <p data-testid="laid-on">{laidWords(laid, other?.name ?? '', reader)}</p> : null}
        {found.answer ? (
          <>
            <LogLines answer={found.answer} laid={laid} />
            <LogMotor answer={found.answer} />
            {found.answer.motorRefused ? (
              <Typography color="textSecondary">
                The motor is not told by it: {problemOf(found.answer.motorRefused, reader).message}.
              </Typography>
            ) : null}
            <LogColumns answer={found.answer} roles={roles} onRoles={setRoles} />
            <Doubts answer={found.answer} />
          </>
        ) : null}
      </Readings>
    </Page>
  );
}

function laidWords(
  laid: NonNullable<ReturnType<typeof useLaidOn>>,
  name: string,
  reader: Parameters<typeof formatText>[2],
) {
  if (!laid.sync) return `${name} has nothing in common with the log that tells where it lies.`;
  const { offsetS, usable, by, quality } = laid.sync;
  return `${name} begins ${formatText(Math.abs(offsetS), 'timeS', reader, 3)} ${offsetS >= 0 ? 'later' : 'earlier'}, by its ${LOG_ROLE_WORDS[by]}${usable ? '' : ', but that is not sure'} (likeness ${quality.toFixed(2)}).`;
}

/** What was wrong with the file, counted. */
function Doubts({ answer: { seen } }: { answer: LogAnswer }) {
  const { reader } = useReader();
  const { summary } = seen;
  const time = (s: number) => formatText(s, 'timeS', reader, 2);
  const said = [
    summary.gaps > 0 ? `${summary.gaps} gaps, the longest ${time(summary.longestGapS!)}` : '',
    summary.badCells > 0 ? `${summary.badCells} cells with text in columns of numbers` : '',
    summary.raggedRows > 0 ? `${summary.raggedRows} rows of another length` : '',
    summary.outOfOrder > 0 ? `${summary.outOfOrder} rows out of order, put in order` : '',
    summary.duplicateTimes > 0
      ? `${summary.duplicateTimes} rows with a time that was there already, left out`
      : '',
    summary.noTime > 0 ? `${summary.noTime} rows without a time, left out` : '',
  ].filter(Boolean);
  if (said.length === 0 && summary.warnings.length === 0) return null;
  return (
    <Typography variant="small" color="textSecondary" data-testid="log-doubts">
      {said.length > 0 ? `In the file: ${said.join('; ')}. ` : ''}
      {sayAll(summary.warnings, reader)}
    </Typography>
  );
}
