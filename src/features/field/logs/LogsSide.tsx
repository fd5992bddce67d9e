'use client';

import Typography from '@mui/material/Typography';
import { Working } from '../../session/access';
import { Note } from '@/ui/controls/Note';
import { Page } from '@/ui/layout/Page';
import { type ReactNode, useState } from 'react';
import type { KeptLog } from '@/core/car/records/benchReport';
import type { LogRoles } from '@/core/physics/logs/logRead';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { sayAll } from '@/words/findings';
import { laidOnWords, logAnswer, logDoubts } from '@/words/bench/logWords';
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
        <Working
          instead={
            <Typography color="textSecondary">Runs are logged here by those who work on the car.</Typography>
          }
        >
          <RunSheetForm {...form} />
        </Working>
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
        {laid ? <p data-testid="laid-on">{laidOnWords(laid.sync, other?.name ?? '', reader)}</p> : null}
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

/** What was wrong with the file, counted. */
function Doubts({ answer: { seen } }: { answer: LogAnswer }) {
  const { reader } = useReader();
  const said = [logDoubts(seen.summary, reader), sayAll(seen.summary.warnings, reader)].filter(Boolean);
  if (said.length === 0) return null;
  return (
    <Typography variant="small" color="textSecondary" data-testid="log-doubts">
      {said.join(' ')}
    </Typography>
  );
}
