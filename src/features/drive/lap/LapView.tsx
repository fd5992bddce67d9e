'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { CalcError } from '@/core/base/errors';
import { formatText } from '@/core/base/units/formatQuantity';
import { type LapOfBuild, lapOf } from '@/core/worked/place/lapOfBuild';
import { LineChart } from '@/ui/charts/LineChart';
import { Note } from '@/ui/controls/Note';
import { useReader } from '@/ui/reader';
import { sayAll } from '@/words/findings';
import {
  wonText,
  costSentence,
  crossingSentence,
  gapSentence,
  lapSentence,
  openSentence,
} from '@/words/driving/lap';
import { problemOf } from '@/words/refusals/problemOf';
import { StillNeeds } from '../../fields/StillNeeds';
import { Ask } from '../../frame/Ask';
import { Apart, Charts } from '../../frame/Guarded';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useBuild } from '../../session/BuildContext';
import { LapGearing } from './LapGearing';
import { LapPlan, LIMIT_LOOKS } from './LapPlan';

type Build = ReturnType<typeof useBuild>;

/** A lap, or what speaks against the figures of a build. */
function lapOrRefused(document: Build['document'], surface: Build['surface']) {
  try {
    return lapOf(document, surface);
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return error;
  }
}

const valueOf = (found: ReturnType<typeof lapOrRefused> | undefined): LapOfBuild | undefined =>
  found && !(found instanceof CalcError) && found.ok ? found.value : undefined;

/** How fast the car gets round its track, where it wins and loses time, and what a lap costs. */
export function LapView() {
  'use memo';
  const { document, surface, ghost } = useBuild();
  const { reader } = useReader();
  const found = useMemo(() => lapOrRefused(document, surface), [document, surface]);
  const other = useMemo(
    () => valueOf(ghost ? lapOrRefused(ghost.document, surface) : undefined),
    [ghost, surface],
  );
  if (found instanceof CalcError)
    return (
      <Note tone="bad" role="alert">
        {problemOf(found.refused, reader).message}
      </Note>
    );
  if (!found.ok) return <StillNeeds missing={found.missing} />;
  const { lap, plan, gap, crossing, segmentS, segments } = found.value;
  const { line } = document.brief.track ?? {};
  const { series } = lap;
  const before = other?.lap.series;
  const seconds = (value: number) => formatText(value, 'timeS', reader, 3);
  return (
    <Apart>
      <Ask>
        <Typography variant="answer" data-testid="lap-answer">
          {lapSentence(lap, reader, other && { label: ghost!.label, lap: other.lap })}
        </Typography>
        <SurfaceSwitch />
      </Ask>
      <Charts>
        <LapPlan lap={lap} plan={plan} />
        {series ? (
          <LineChart
            title="Speed over the way round"
            testId="lap-speed"
            width={430}
            height={300}
            xQuantity="distanceM"
            yQuantity="speedMps"
            xMax={lap.lengthM}
            yMax={1.15 * Math.max(lap.maxSpeedMps!, other?.lap.maxSpeedMps ?? 0)}
            lines={[
              ...(before
                ? [
                    {
                      id: 'ghost',
                      label: ghost!.label,
                      style: 'earlier' as const,
                      xs: before.sM,
                      ys: before.speedMps,
                      labelAt: 0.6,
                    },
                  ]
                : []),
              {
                id: 'lap',
                label: 'predicted',
                style: 'predicted' as const,
                xs: series.sM,
                ys: series.speedMps,
              },
            ]}
            strip={
              lap.decidedBy ? { xs: series.sM, looks: lap.decidedBy.map((by) => LIMIT_LOOKS[by]) } : undefined
            }
            summary={lapSentence(lap, reader)}
          />
        ) : null}
      </Charts>
      <Typography sx={{ mt: 1 }}>{costSentence(found.value, reader)}</Typography>
      {crossing ? <Note>{crossingSentence(crossing, reader)}</Note> : null}
      {line && !line.closed ? <Note>{openSentence()}</Note> : null}
      {gap.m > GAP_M || gap.deg > GAP_DEG ? <Note>{gapSentence(gap, reader)}</Note> : null}
      {lap.notes.length > 0 ? <Note tone="bad">{sayAll(lap.notes, reader)}</Note> : null}
      {segmentS ? (
        <Table size="small" sx={{ maxWidth: 620, mt: 1.5 }} aria-label="Segment by segment">
          <TableHead>
            <TableRow>
              <TableCell>Segment</TableCell>
              <TableCell align="right">Begins at</TableCell>
              <TableCell align="right">Takes</TableCell>
              {other?.segmentS ? (
                <>
                  <TableCell align="right">{ghost!.label}</TableCell>
                  <TableCell align="right">Won</TableCell>
                </>
              ) : null}
            </TableRow>
          </TableHead>
          <TableBody>
            {segments.map(({ id, radiusM, lengthM }, at) => (
              <TableRow key={id}>
                <TableCell>
                  {at + 1}. {radiusM === undefined ? 'Straight' : 'Bend'} of{' '}
                  {formatText(lengthM, 'distanceM', reader, 3)}
                </TableCell>
                <TableCell align="right">
                  {formatText(lap.boundaryMps![at]!, 'speedMps', reader, 3)}
                </TableCell>
                <TableCell align="right">{formatText(segmentS[at]!, 'timeS', reader, 3)}</TableCell>
                {other?.segmentS ? (
                  <>
                    <TableCell align="right">
                      {other.segmentS[at] === undefined ? '' : seconds(other.segmentS[at])}
                    </TableCell>
                    <TableCell align="right" data-won={at}>
                      {other.segmentS[at] === undefined
                        ? ''
                        : wonText(other.segmentS[at] - segmentS[at]!, seconds)}
                    </TableCell>
                  </>
                ) : null}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      ) : null}
      <LapGearing />
    </Apart>
  );
}

/** What a track laid out with a tape is off by. */
const [GAP_M, GAP_DEG] = [1, 5];
