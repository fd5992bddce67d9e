'use client';

import clsx from 'clsx';
import figuresCss from '@/ui/Figure.module.css';
import tablesCss from '@/ui/controls/tables.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import TableContainer from '@mui/material/TableContainer';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Link from 'next/link';
import { type ReactNode, useMemo, useState } from 'react';
import { failuresEver, livesOfParts } from '@/core/worked/field/lives';
import { earlierWords, lifeWords } from '@/words/learn/life';
import { PARETO_BY, type ParetoBy, paretoOf } from '@/core/advice/learn/pareto';
import { makeList } from '@/core/worked/print/makeList';
import { durationText } from '@/core/base/units/duration';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { ParetoChart } from '@/ui/charts/ParetoChart';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { SegmentChecks } from '../frame/SegmentChecks';
import { segmentPath } from '../frame/segments';
import { useMeasured } from '../session/useMeasured';
import { CopiesInUse } from './CopiesInUse';
import { Readings } from '../frame/Guarded';

const MOST = 12;
const BY_WORDS: Readonly<Record<ParetoBy, string>> = { count: 'how often', time: 'time lost', cost: 'cost' };

/** How long parts live, what fails most, and what is due for a look. */
export function LifeSide({ tabs }: { tabs: ReactNode }) {
  const { root, revision, revisions, runs, failures } = useBuild();
  const { document } = useMeasured();
  const { reader } = useReader();
  const [by, setBy] = useState<ParetoBy>('time');
  const prices = useMemo(
    () =>
      new Map(
        makeList(document).flatMap(({ partId, price }) =>
          partId === undefined || price === undefined ? [] : [[partId, price] as const],
        ),
      ),
    [document],
  );
  const lives = useMemo(
    () => livesOfParts(revisions, runs, failures, (id) => prices.get(id)),
    [revisions, runs, failures, prices],
  );
  const rows = paretoOf(lives, by);
  const failing = lives.filter((one) => failuresEver(one) > 0).slice(0, MOST);
  const held = lives.filter((one) => failuresEver(one) === 0 && one.hours > 0);
  const figure = (value: number) =>
    by === 'count'
      ? formatNumber(value, reader.locale, 3)
      : by === 'time'
        ? durationText(value * 60)
        : formatText(value, 'price', reader);
  const worst = rows[0];
  return (
    <main>
      <Readings sx={{ maxWidth: 1240 }}>
        {tabs}
        <Typography variant="answer" data-testid="life-answer">
          {worst ? (
            <>
              The {inSentence(worst.name)}{' '}
              {by === 'count' ? 'fails most' : by === 'time' ? 'costs most time' : 'costs most'}:{' '}
              <span className={clsx(figuresCss.figure, figuresCss.plainfig)}>{figure(worst.value)}</span>,{' '}
              {formatNumber(100 * worst.share, reader.locale, 2)}&nbsp;% of all
              {rows.length > 2
                ? `; the first two make ${formatNumber(100 * rows[1]!.cumulative, reader.locale, 2)} %`
                : ''}
              .
            </>
          ) : failures.length === 0 ? (
            'Nothing has failed yet, so nothing lasts shorter than another.'
          ) : by === 'time' ? (
            'No failure says how long it took to get going again: note it in its diagnosis.'
          ) : by === 'cost' ? (
            'Nothing that failed has a price: give prices in the make-or-buy list.'
          ) : (
            'No failure names a part of this build.'
          )}
        </Typography>
        {failing.length > 0 ? (
          <>
            <Row sx={{ m: '8px 0' }}>
              <Typography component="span" color="textSecondary">
                What fails most by
              </Typography>
              <Toggles label="What fails most by">
                {PARETO_BY.map((one) => (
                  <Toggle key={one} pressed={by === one} onPress={() => setBy(one)}>
                    {BY_WORDS[one]}
                  </Toggle>
                ))}
              </Toggles>
            </Row>
            {rows.length > 0 ? (
              <ParetoChart
                title={`Failures by ${BY_WORDS[by]}`}
                rows={rows.slice(0, MOST).map((row) => ({
                  id: row.partId,
                  label: row.name,
                  share: row.share,
                  cumulative: row.cumulative,
                  text: figure(row.value),
                }))}
              />
            ) : null}
            <Typography variant="label" sx={{ mt: 2.25 }}>
              <span>How long they live</span>
            </Typography>
            <TableContainer>
              <Table size="small" className={tablesCss.slim} data-testid="lives">
                <TableHead>
                  <TableRow>
                    <TableCell>Part</TableCell>
                    <TableCell align="right">Failed</TableCell>
                    <TableCell align="right">Time lost</TableCell>
                    <TableCell align="right">Cost</TableCell>
                    <TableCell align="right">Driven</TableCell>
                    <TableCell align="right" className={tablesCss.minor}>
                      Runs
                    </TableCell>
                  </TableRow>
                </TableHead>
                <TableBody>
                  {failing.map(
                    ({ partId, name, failures: count, earlier, lostMinutes, hours, runs: times, cost }) => (
                      <TableRow key={partId}>
                        <TableCell>
                          <b>{name}</b>{' '}
                          <Typography component="span" variant="note" color="textSecondary">
                            {lifeWords({ hours, failures: count }, reader)}
                            {earlier ? `; ${earlierWords(earlier, reader)}` : ''}
                          </Typography>
                        </TableCell>
                        <TableCell align="right">{count + (earlier?.failures ?? 0)}</TableCell>
                        <TableCell align="right">
                          {lostMinutes > 0 ? durationText(lostMinutes * 60) : '?'}
                        </TableCell>
                        <TableCell align="right">
                          {cost === undefined ? '?' : formatText(cost, 'price', reader)}
                        </TableCell>
                        <TableCell align="right">{formatText(hours, 'hours', reader, 2)}</TableCell>
                        <TableCell align="right" className={tablesCss.minor}>
                          {times}
                        </TableCell>
                      </TableRow>
                    ),
                  )}
                </TableBody>
              </Table>
            </TableContainer>
          </>
        ) : null}
        {held.length > 0 ? (
          <Typography variant="note" color="textSecondary" sx={{ mt: 0.5 }}>
            Without a failure:{' '}
            {held
              .slice(0, MOST)
              .map(({ name, hours }) => `${inSentence(name)} in ${formatText(hours, 'hours', reader, 2)}`)
              .join(', ')}
            .
          </Typography>
        ) : null}
        <Typography variant="note" sx={{ mt: 1 }}>
          <Link href={`${segmentPath(root, revision.letter, 'print')}?view=list`}>
            Spares to carry for a day out
          </Link>{' '}
          <Typography component="span" color="textSecondary">
            follow from what has failed.
          </Typography>
        </Typography>
        <CopiesInUse />
        <SegmentChecks segment="learn" only={['learn.due']} />
      </Readings>
    </main>
  );
}
