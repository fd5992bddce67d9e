'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import frameCss from '@/ui/layout/frame.module.css';
import { type ReactNode, useMemo } from 'react';
import type { VariantResult } from '@/core/physics/bench/staircase';
import { type BlowsTold, clampedBlows } from '@/core/worked/bench/clampedBlows';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { say, sayAll } from '@/words/findings';
import { problemOf } from '@/words/refusals/problemOf';
import { VERDICT_WORDS } from '@/words/bench/blowWords';
import '@/words/later/bringIn';
import { Working } from '../../session/access';
import { useBuild } from '../../session/BuildContext';
import { Bench, Readings } from '../../frame/Guarded';
import { RunSheetForm } from '../RunSheetForm';
import { RunTable } from '../RunTable';
import { useRuns } from '../useRuns';
import { useRunSheet } from '../useRunSheet';
import { packQuarantine } from '@/core/worked/bench/crash';
import { CrashAfter } from './CrashAfter';
import { useNow } from './useNow';
import { BlowLadder } from './BlowLadder';

const KINDS = ['staircase', 'blows', 'drop', 'crash'] as const;
/** Under which the scatter of a few parts looks small by chance. */
const FEW_PARTS = 30;

/** Clamped parts that are hit, drops and crashes: what breaks half of them, and what that is on the car. */
export function BlowsSide({ tabs }: { tabs: ReactNode }) {
  const { document, surface, revision } = useBuild();
  const form = useRunSheet(KINDS);
  const all = useRuns();
  const { reader } = useReader();
  const { sheet } = form;
  const told = useMemo(() => {
    const begun = { id: sheet.id, report: sheet.kind === 'staircase' ? sheet.report : {} };
    return clampedBlows(document, surface, [...all.map(({ run }) => run), begun]);
  }, [all, document, surface, sheet]);
  const now = useNow();
  const quarantine = packQuarantine(
    all.map(({ run }) => run),
    now,
  );
  const own = all.filter(
    ({ run }) => run.revisionId === revision.id && (KINDS as readonly string[]).includes(run.kind),
  );
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
        {quarantine ? (
          <Note tone="bad" data-testid="quarantine">
            The pack that took the blow stays outside until{' '}
            {new Intl.DateTimeFormat(reader.locale, { dateStyle: 'medium', timeStyle: 'short' }).format(
              quarantine,
            )}
            . Do not charge it before, and never if it has swollen.
          </Note>
        ) : null}
        {sheet.kind === 'crash' ? <CrashAfter report={sheet.report} /> : <BlowsAnswer told={told} />}
        {told?.ok && sheet.kind !== 'crash' ? (
          <>
            <BlowLadder told={told} />
            <Variants told={told} />
            {told.result.findings.map(({ why, about }) => (
              <Note key={`${why.code} ${about}`} tone="caution">
                {say(why, reader)}
              </Note>
            ))}
            <Typography variant="small" color="textSecondary">
              {sayAll(told.result.notes, reader)}
            </Typography>
          </>
        ) : null}
        <RunTable own={own} />
      </Readings>
    </main>
  );
}

function BlowsAnswer({ told }: { told: BlowsTold | undefined }) {
  const { reader } = useReader();
  if (!told)
    return (
      <Typography variant="answer" data-testid="blows-answer">
        No part was hit by a known energy yet. Clamp one, let a weight fall on it, and tap whether it held.
      </Typography>
    );
  if (!told.ok)
    return (
      <Note tone="bad" role="alert">
        {told.name}: {problemOf(told.refused, reader).message}.
      </Note>
    );
  const [first] = told.result.variants;
  const energy = (joules: number) => formatText(joules, 'energyJ', reader, 2);
  return (
    <Typography variant="answer" data-testid="blows-answer">
      {first!.id}{' '}
      {first!.energy50J !== undefined
        ? `breaks half the time at ${energy(first!.energy50J)}${intervalOf(first!, energy)}`
        : first!.overJ !== undefined
          ? `held everything up to ${energy(first!.overJ)}`
          : `broke from ${energy(first!.underJ!)} on`}
      {first!.equivalentHeightMm === undefined
        ? ''
        : `: a fall of the car from ${formatText(first!.equivalentHeightMm / 1000, 'distanceM', reader, 2)}, or a kerb at ${formatText(first!.equivalentSpeedMps!, 'speedMps', reader, 2)}`}
      .
    </Typography>
  );
}

const intervalOf = (
  { energy50LowJ: low, energy50HighJ: high }: VariantResult,
  energy: (j: number) => string,
) => (low === undefined || high === undefined ? '' : ` (about ${energy(low)} to ${energy(high)})`);

function Variants({ told: { result, predictedOf } }: { told: Extract<BlowsTold, { ok: true }> }) {
  const { reader } = useReader();
  const energy = (joules: number | undefined) =>
    joules === undefined ? '' : formatText(joules, 'energyJ', reader, 2);
  const number = (value: number) => formatNumber(value, reader.locale, 2);
  return (
    <>
      <TableContainer component="section" sx={{ my: 1.5 }} aria-label="Variants side by side">
        <Table size="small">
          <TableHead>
            <TableRow>
              <TableCell>Variant</TableCell>
              <TableCell align="right">Copies</TableCell>
              <TableCell align="right">Broke</TableCell>
              <TableCell align="right">Half break at</TableCell>
              <TableCell align="right">about</TableCell>
              <TableCell align="right">One in ten at</TableCell>
              <TableCell align="right">Copies differ by</TableCell>
              <TableCell align="right">Next blow</TableCell>
              <TableCell>Against the first</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {result.variants.map((one) => {
              const compared = result.comparisons.find(({ id }) => id === one.id);
              const isFew =
                one.parts < FEW_PARTS && one.scatterLow !== undefined && one.scatterHigh !== undefined;
              return (
                <TableRow key={one.id}>
                  <TableCell>{one.id}</TableCell>
                  <TableCell align="right">{one.parts}</TableCell>
                  <TableCell align="right">{one.broken}</TableCell>
                  <TableCell align="right">
                    {one.energy50J === undefined
                      ? one.overJ === undefined
                        ? `under ${energy(one.underJ)}`
                        : `over ${energy(one.overJ)}`
                      : energy(one.energy50J)}
                  </TableCell>
                  <TableCell align="right">
                    {one.bracketJ
                      ? `${energy(one.bracketJ[0])} to ${energy(one.bracketJ[1])}`
                      : one.energy50LowJ === undefined || one.energy50HighJ === undefined
                        ? ''
                        : `${energy(one.energy50LowJ)} to ${energy(one.energy50HighJ)}`}
                  </TableCell>
                  <TableCell align="right">{energy(one.energy10J)}</TableCell>
                  <TableCell align="right">
                    {one.scatter === undefined
                      ? ''
                      : isFew
                        ? `${formatText(one.scatterLow!, 'share', reader, 2)} to ${formatText(one.scatterHigh!, 'share', reader, 2)}`
                        : formatText(one.scatter, 'share', reader, 2)}
                  </TableCell>
                  <TableCell align="right">{energy(one.nextJ)}</TableCell>
                  <TableCell>
                    {compared
                      ? `${VERDICT_WORDS[compared.verdict]}${compared.ratio === undefined ? '' : `, ${number(compared.ratio)} times`}`
                      : ''}
                  </TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </TableContainer>
      {result.predictedJ !== undefined && result.variants[0]!.measuredOverPredicted !== undefined ? (
        <Typography>
          Bending {predictedOf} until it breaks is predicted to take {energy(result.predictedJ)} at most:
          measured is {number(result.variants[0]!.measuredOverPredicted)} of that.
        </Typography>
      ) : null}
    </>
  );
}
