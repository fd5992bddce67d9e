'use client';

import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { formatText } from '@/core/base/units/formatQuantity';
import type { RunRecord } from '@/core/car/records/records';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { packMeasured } from '@/words/driving/bands';
import { workerOf } from '@/workers/clients';
import { useWorked } from '../session/useWorked';

/** A probe is held against a case to this, K. */
const PROBE_ERROR_K = 3;

/** A pack that was driven: what was probed and when it ended, over the curve that was expected. */
export function PackRun({ run }: { run: RunRecord }) {
  const { reader } = useReader();
  const { report = {}, document, conditions } = run;
  const found = useWorked(() => workerOf('field').expectPack(document, conditions), [document, conditions]);
  const readings = (report.temperatures ?? []).filter(
    ({ place, minutes }) => place === 'motor' && minutes !== undefined,
  );
  const expected = found.value?.ok ? found.value.value : undefined;
  if (!expected || expected.pack.durationS === 0) return null;
  const { pack } = expected;
  const xs = pack.series.tS.map((s) => s / 60);
  const ended = report.endedAtMinutes;
  const summary = packMeasured(report, reader);
  const uprights = [
    { x: pack.durationS / 60, label: `expected end, ${formatText(pack.durationS / 60, 'minutes', reader)}` },
    ...(ended === undefined
      ? []
      : [{ x: ended, label: `ended, ${formatText(ended, 'minutes', reader)}`, wish: true }]),
  ];
  return (
    <Box sx={{ mt: 1.5, ...dimmedWhen(found.stale) }} data-testid="pack-run">
      <LineChart
        title="The last pack: motor case, expected and probed"
        testId="pack-run-chart"
        width={640}
        height={220}
        xQuantity="minutes"
        yQuantity="temperatureC"
        yMin={Math.min(20, expected.input.thermal.ambientC)}
        lines={[
          { id: 'case', label: 'expected', style: 'predicted', xs, ys: pack.series.caseC, labelAt: 0.5 },
        ]}
        points={readings.map(({ minutes, valueC }, at) => ({
          x: minutes!,
          y: valueC,
          error: PROBE_ERROR_K,
          measured: true,
          ...(at === 0 ? { label: 'probed' } : {}),
        }))}
        uprights={uprights}
        xMax={1.08 * Math.max(pack.durationS / 60, ended ?? 0, ...readings.map(({ minutes }) => minutes!))}
        yMax={1.12 * Math.max(pack.peakCaseC, ...readings.map(({ valueC }) => valueC))}
        summary={summary}
      />
      <Typography variant="note">{summary}</Typography>
    </Box>
  );
}
