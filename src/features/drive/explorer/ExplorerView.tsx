'use client';

import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import explorerCss from '@/features/drive/explorer/explorer.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Button from '@mui/material/Button';
import { needNames } from '@/words/needs';
import { useEffect, useMemo, useState } from 'react';
import { overallRatio } from '@/core/car/document/drive';
import { CalcError } from '@/core/base/errors';
import { planExplorer } from '@/core/worked/drive/explorer';
import type { RatioRange } from '@/core/physics/search/sweep';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { ExplorerResults } from './ExplorerResults';
import { type NamedRow, usualRange } from './explorerRows';
import { useSweep } from './useSweep';
import { Apart } from '../../frame/Guarded';
import { Ask } from '../../frame/Ask';
import { refusalText } from '@/words/refusals/problemOf';
import type { Reader } from '@/core/base/units/formatQuantity';

const NONE: readonly NamedRow[] = [];
/** A change that is followed by another starts no sweep, ms. */
const AFTER_CHANGE_MS = 300;

/** Every motor, pack and ratio at hand on this car. */
export function ExplorerView() {
  const { document, surface, library } = useBuild();
  const { reader } = useReader();
  const present = overallRatio(document.drive);
  const [range, setRange] = useState<Partial<RatioRange>>(() => usualRange(present ?? 10));
  const sweep = useSweep();
  const plan = useMemo(
    () =>
      planOf(
        () => (surface && complete(range) ? planExplorer(document, surface, library, range) : undefined),
        reader,
      ),
    [document, surface, library, range, reader],
  );
  const rows = sweep.rows ?? NONE;
  const [tried, setTried] = useState<unknown>();
  const [stopped, setStopped] = useState<unknown>();
  const ready = plan && !('refused' in plan) && plan.ok ? plan.value : undefined;
  const { start, cancel } = sweep;
  useEffect(() => {
    if (!ready || !surface || stopped === ready || tried === ready) return undefined;
    const timer = setTimeout(() => {
      setTried(ready);
      start(document, surface, library, range as RatioRange, ready.count);
    }, AFTER_CHANGE_MS);
    return () => clearTimeout(timer);
  }, [ready, stopped, tried, start, document, surface, library, range]);
  if (!surface) return null;

  const count = (value: number) => formatNumber(value, reader.locale, 6);
  const meeting = rows.filter(({ meetsGoal }) => meetsGoal).length;
  const stop = () => {
    setStopped(ready);
    setTried(undefined);
    cancel();
  };

  return (
    <Apart>
      <Ask>
        <Typography variant="answer" data-testid="explorer-answer">
          {rows.length === 0 ? (
            'Which motor, pack and ratio of those at hand would do it?'
          ) : meeting === 0 ? (
            <>
              None of {count(rows.length)} combinations <b>meets the whole wish</b> on{' '}
              {surface.name.toLowerCase()}; {count(rows.filter(({ best }) => best).length)} cannot be
              bettered.
            </>
          ) : (
            <>
              <b>{count(meeting)}</b> of {count(rows.length)} combinations meet the wish on{' '}
              {surface.name.toLowerCase()}; {count(rows.filter(({ best }) => best).length)} of all cannot be
              bettered in speed, time and heat at once.
            </>
          )}
        </Typography>
        <SurfaceSwitch />
      </Ask>
      <Row className={explorerCss.explorerbar}>
        <Range range={range} onChange={setRange} />
        {sweep.progress ? (
          <>
            <LinearProgress
              variant="determinate"
              value={(100 * sweep.progress.done) / sweep.progress.of}
              aria-label="Sweep"
              sx={{ width: 160 }}
            />
            <span role="status">
              {count(sweep.progress.done)} of {count(sweep.progress.of)} combinations
            </span>
            <Button onClick={stop}>Cancel</Button>
          </>
        ) : ready ? (
          <>
            {stopped === ready ? (
              <Button variant="contained" onClick={() => setStopped(undefined)}>
                Try {count(ready.count)} combinations
              </Button>
            ) : null}
            {ready.leftOut > 0 ? (
              <Typography component="span" color="textSecondary">
                {count(ready.leftOut)} pairs left out: too many volts for motor or controller
              </Typography>
            ) : null}
          </>
        ) : (
          <Typography component="span" color="error" role="alert">
            {plan && 'refused' in plan
              ? plan.refused
              : plan && !plan.ok
                ? `Needs ${needNames(plan.missing)}.`
                : 'Give the range of ratios.'}
          </Typography>
        )}
      </Row>
      {rows.length > 0 ? (
        <Box
          sx={dimmedWhen(tried !== ready || sweep.progress !== undefined)}
          aria-busy={sweep.progress !== undefined}
        >
          <ExplorerResults rows={rows} outdated={stopped === ready} />
        </Box>
      ) : (
        <Typography color="textSecondary" sx={{ mt: 1.25, maxWidth: 700 }}>
          Each combination drives a full-throttle run and one cycle of how the pack is driven (chosen under
          Heat and duty), with the masses exchanged. The temperature is where the case comes to rest if the
          pack never ended. Motors and packs come from the library.
        </Typography>
      )}
    </Apart>
  );
}

function Range({
  range,
  onChange,
}: {
  range: Partial<RatioRange>;
  onChange(range: Partial<RatioRange>): void;
}) {
  const set = (key: keyof RatioRange) => (value: number | undefined) => onChange({ ...range, [key]: value });
  const limits = { above: 0, to: 1000 };
  return (
    <>
      <QuantityField
        label="Ratios from"
        quantity="ratio"
        value={range.from}
        limits={limits}
        onChange={set('from')}
      />
      <QuantityField label="to" quantity="ratio" value={range.to} limits={limits} onChange={set('to')} />
      <QuantityField
        label="in steps of"
        quantity="ratio"
        value={range.step}
        limits={limits}
        onChange={set('step')}
      />
    </>
  );
}

const complete = (range: Partial<RatioRange>): range is RatioRange =>
  range.from !== undefined && range.to !== undefined && range.step !== undefined;

function planOf<T>(plan: () => T, reader: Reader): T | { refused: string } {
  try {
    return plan();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return {
      refused: `Ratios, ${error.path.replace('ratios.', '')}: ${refusalText(error.refused, reader).replace('ratios.to', 'the end')}.`,
    };
  }
}
