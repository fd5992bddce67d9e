'use client';

import '@/words/later/bringIn';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { useMemo } from 'react';
import type { Part } from '@/core/car/parts/parts';
import { femOfPart } from '@/core/worked/parts/solidOfPart';
import type { Vec3 } from '@/core/base/vec3';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { cutOf } from './cut';
import { workerOf } from '@/workers/clients';
import { problemOf } from '@/words/refusals/problemOf';
import { sayAll } from '@/words/findings';

/** The part cut across its length: stress at every station against what the layers bear there. */
export function CutChart({
  part,
  bounds,
  meshReady,
}: {
  part: Part;
  bounds: { min: Vec3; max: Vec3 };
  meshReady: string;
}) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const cut = useMemo(
    () => cutOf(part, femOfPart(document, surface, part), bounds),
    [document, surface, part, bounds],
  );
  const found = useWorked(cut ? () => workerOf('parts').sections(meshReady, cut) : undefined, [
    cut,
    meshReady,
  ]);
  if (!cut) return null;
  if (found.refused) return <Note>Not cut: it {problemOf(found.refused, reader).message}.</Note>;
  if (!found.value) return null;
  const { series, weakest, notes } = found.value;
  const stress = series.stressMpa.map(Math.abs);
  const allowable = series.allowableMpa[0]!;
  const from = series.atMm[0]!;
  const xs = series.atMm.map((one) => one - from);
  return (
    <Box sx={dimmedWhen(found.stale)}>
      <LineChart
        title={`Cut across its length: bending stress along ${String(cut.axis)}`}
        testId="cuts"
        xQuantity="lengthMm"
        yQuantity="stressMpa"
        width={560}
        height={210}
        xMax={xs.at(-1)!}
        yMax={1.15 * Math.max(allowable, ...stress)}
        lines={[{ id: 'stress', label: 'stress', style: 'predicted', xs, ys: stress, labelAt: 0.5 }]}
        levels={[{ y: allowable, label: 'what its layers bear' }]}
        summary={`The weakest cut lies at ${formatText(weakest.atMm, 'lengthMm', reader)} with a margin of ${formatNumber(weakest.margin, reader.locale, 3)}.`}
      />
      <Typography variant="note" data-testid="cut-says">
        As a beam it is weakest at {formatText(weakest.atMm, 'lengthMm', reader)} along {String(cut.axis)}:
        margin {formatNumber(weakest.margin, reader.locale, 3)}, without what corners and holes add.{' '}
        {sayAll(notes, reader)}
      </Typography>
    </Box>
  );
}
