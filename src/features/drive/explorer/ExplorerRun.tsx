'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import { applyPatch, type Patch } from '@/core/base/patch';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import type { NamedRow } from './explorerRows';
import { useDriveView } from '../useDriveView';
import { sayAll } from '@/words/findings';

interface ExplorerRunProps {
  document: BuildDocument;
  surface: ChosenSurface;
  row: NamedRow | undefined;
  patch: Patch | undefined;
  closed: boolean;
  onTake(row: NamedRow): void;
  onCompare(row: NamedRow): void;
}

/** The run of the combination under the pointer against the present car's, with the teeth that it would get. */
export function ExplorerRun({ document, surface, row, patch, closed, onTake, onCompare }: ExplorerRunProps) {
  const { reader } = useReader();
  const other = useMemo(() => (patch ? applyPatch(document, patch) : undefined), [document, patch]);
  const present = useDriveView(document, surface).run;
  const tried = useDriveView(other, surface).run;
  if (!present) return null;
  const end = Math.max(
    1.4 * (present.timeToDistanceS ?? present.timeTo95PctS ?? 3),
    tried ? 1.4 * (tried.timeToDistanceS ?? tried.timeTo95PctS ?? 3) : 0,
  );
  const stage =
    patch?.filter(({ path }) => path.at(-1) === 'pinionTeeth' || path.at(-1) === 'wheelTeeth') ?? [];
  const { targetMps } = document.brief;
  return (
    <Box sx={{ flex: '1 1 330px', minWidth: 0 }}>
      <LineChart
        title={row ? 'That one against the present car' : 'The present car; point at another'}
        testId="explorer-run"
        width={400}
        height={236}
        xQuantity="timeS"
        yQuantity="speedMps"
        lines={[
          {
            id: 'present',
            label: 'now',
            style: tried ? 'earlier' : 'predicted',
            xs: present.series.tS,
            ys: present.series.speedMps,
            labelAt: 0.5,
          },
          ...(tried
            ? [
                {
                  id: 'tried',
                  label: 'that one',
                  style: 'predicted' as const,
                  xs: tried.series.tS,
                  ys: tried.series.speedMps,
                  labelAt: 1,
                },
              ]
            : []),
        ]}
        xMax={end}
        yMax={1.12 * Math.max(present.topSpeedMps ?? 1, tried?.topSpeedMps ?? 0, targetMps ?? 0)}
        summary={
          tried
            ? `${row!.motor} reaches ${formatText(tried.topSpeedMps ?? 0, 'speedMps', reader)}, the present car ${formatText(present.topSpeedMps ?? 0, 'speedMps', reader)}.`
            : `The present car reaches ${formatText(present.topSpeedMps ?? 0, 'speedMps', reader)}.`
        }
      />
      {row ? (
        <div data-testid="explorer-chosen">
          <p>
            <b>{row.motor}</b>, {row.pack}, {formatNumber(row.ratio, reader.locale, 3)} : 1
            {stage.length > 0
              ? `, ${stage.map(({ path, value }) => `${String(value)} teeth on the ${path.at(-1) === 'pinionTeeth' ? 'pinion' : 'wheel'}`).join(' and ')}`
              : ''}
          </p>
          <Typography variant="note" color="textSecondary">
            {row.meetsGoal ? 'Meets the wish.' : sayAll(row.why, reader)}
          </Typography>
          <Row sx={{ mt: 0.5 }}>
            <Button variant="contained" disabled={closed} onClick={() => onTake(row)}>
              Take this one
            </Button>
            <Button onClick={() => onCompare(row)}>Compare</Button>
          </Row>
        </div>
      ) : null}
    </Box>
  );
}
