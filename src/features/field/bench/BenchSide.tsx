'use client';

import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import frameCss from '@/ui/layout/frame.module.css';
import { useMemo, type ReactNode } from 'react';
import type { RunRecord } from '@/core/car/records/records';
import { type Construction, constructionsOf } from '@/core/worked/bench/constructions';
import { balanceOfRun } from '@/core/worked/bench/balanceOfRun';
import { tyresOfBuild } from '@/core/worked/drive/tyresOfBuild';
import { worked } from '@/core/worked/worked';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { sayAll } from '@/words/findings';
import { problemOf } from '@/words/refusals/problemOf';
import { SPIN_OUTCOME_WORDS } from '@/words/labels/tyres';
import '@/words/later/bringIn';
import { Working } from '../../session/access';
import { useBuild } from '../../session/BuildContext';
import { Bench, Readings } from '../../frame/Guarded';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { RunSheetForm } from '../RunSheetForm';
import { useRuns } from '../useRuns';
import { useRunSheet } from '../useRunSheet';
import { BalanceWheel } from './BalanceWheel';
import { Constructions } from './Constructions';
import { DiameterChart } from './DiameterChart';

const KINDS = ['tyreSpin', 'balance'] as const;

/** Tyres on the spin bench and wheels that are balanced: what was read, what it teaches, what the build takes of it. */
export function BenchSide({ tabs }: { tabs: ReactNode }) {
  const { document, surface } = useBuild();
  const form = useRunSheet(KINDS);
  const all = useRuns();
  const { sheet } = form;
  const runs = useMemo(() => {
    const begun = {
      ...sheet,
      document,
      report: sheet.kind === 'tyreSpin' ? sheet.report : {},
    };
    return [...all.map(({ run }) => run).filter(({ kind }) => kind === 'tyreSpin'), begun];
  }, [all, sheet, document]);
  const wishRpm = useMemo(() => {
    const input = worked(document, surface).runInput();
    const tyres = input.ok ? tyresOfBuild(document, input.value) : undefined;
    return tyres?.ok ? Math.max(...tyres.value.turns.map(({ rpm }) => rpm)) : undefined;
  }, [document, surface]);
  const found = useMemo(() => constructionsOf(runs, wishRpm), [runs, wishRpm]);
  const { reader } = useReader();
  const balanced = all.map(({ run }) => run).filter(({ kind }) => kind === 'balance');
  const balance =
    sheet.kind === 'balance' && sheet.report.balance
      ? sheet.report.balance
      : balanced.at(-1)?.report?.balance;
  const told = balanceOfRun(balance);
  return (
    <main className={frameCss.page}>
      <Bench>
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
        {sheet.kind === 'tyreSpin' ? (
          <>
            <SpinAnswer found={found.ok ? found.constructions : []} />
            {found.ok ? null : (
              <Note tone="bad" role="alert">
                {found.name}: {problemOf(found.refused, reader).message}.
              </Note>
            )}
            {found.ok && found.constructions.length > 0 ? (
              <>
                <DiameterChart constructions={found.constructions} wishRpm={wishRpm} />
                <Constructions constructions={found.constructions} wishRpm={wishRpm} />
                <Typography variant="small" color="textSecondary">
                  {sayAll(found.notes, reader)}
                </Typography>
              </>
            ) : null}
          </>
        ) : (
          <>
            <BalanceAnswer runs={balanced} told={told} />
            {told?.ok ? <BalanceWheel measured={balance!} found={told.value} /> : null}
          </>
        )}
        <SegmentChecks segment="drive" side="tyres" />
      </Readings>
    </main>
  );
}

function SpinAnswer({ found }: { found: readonly Construction[] }) {
  const { reader } = useReader();
  const [best] = found;
  if (!best)
    return (
      <Typography variant="answer" data-testid="bench-answer">
        Nothing was spun yet. Read the diameter at rest and at a few speeds, and say what became of the tyre.
      </Typography>
    );
  const { tyre, growth, provenMps, fitted } = best;
  const rpm = (value: number) => formatText(Math.round(value / 10) * 10, 'rpm', reader, 5);
  const ended = best.spins.filter(
    ({ outcome }) => outcome && outcome !== 'held' && outcome !== 'drive ran out',
  );
  const first = ended.sort((one, other) => one.rpm - other.rpm)[0];
  return (
    <Typography variant="answer" data-testid="bench-answer">
      {tyre.name}{' '}
      {fitted.provenRpm === undefined
        ? 'is not proven at any speed yet'
        : `is proven at ${rpm(fitted.provenRpm)}${provenMps === undefined ? '' : `, ${formatText(provenMps, 'speedMps', reader)} on the grown tyre`}`}
      {growth
        ? `; it grew ${formatNumber(growth.measuredPct / growth.predictedPct, reader.locale, 2)} times as much as is typical`
        : ''}
      {first ? `; ${SPIN_OUTCOME_WORDS[first.outcome!]} at ${rpm(first.rpm)}` : ''}.
    </Typography>
  );
}

function BalanceAnswer({
  runs,
  told,
}: {
  runs: readonly RunRecord[];
  told: ReturnType<typeof balanceOfRun>;
}) {
  const { reader } = useReader();
  if (!told)
    return (
      <Typography variant="answer" data-testid="balance-answer">
        {runs.length === 0
          ? 'No wheel was balanced yet. Spin it bare, then with the same weight at three marked places.'
          : 'Three places with the trial weight tell where the wheel is heavy.'}
      </Typography>
    );
  if (!told.ok)
    return (
      <Note tone="bad" role="alert">
        {problemOf(told.refused, reader).message}: {problemOf(told.refused, reader).remedy}.
      </Note>
    );
  const { correctionG, correctionAngleDeg, improvement, gradeAfterMmps, gradeBeforeMmps } = told.value;
  const grade = gradeAfterMmps ?? gradeBeforeMmps;
  return (
    <>
      <Typography variant="answer" data-testid="balance-answer">
        Stick {formatText(correctionG, 'massG', reader, 2)} at{' '}
        {formatText(correctionAngleDeg, 'angleDeg', reader, 3)}
        {improvement === undefined
          ? ''
          : `; with a weight it shakes ${formatNumber(improvement, reader.locale, 2)} times less`}
        {grade === undefined ? '' : `, grade ${formatNumber(grade, reader.locale, 2)} mm/s`}.
      </Typography>
      <Typography>
        {sayAll([...told.value.findings.map(({ why }) => why), ...told.value.notes], reader)}
      </Typography>
    </>
  );
}
