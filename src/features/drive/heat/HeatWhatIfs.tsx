'use client';

import { formatText } from '@/core/base/units/formatQuantity';
import type { HeatOfBuild, TriedWhatIf } from '@/core/worked/heat/heatOf';
import { ChangeTable } from '@/features/fields/ChangeTable';
import { useReader } from '@/ui/reader';
import { heatWhatIfText } from '@/words/whatIfs';
import { END_NAMES } from '../words';

type Row = Pick<TriedWhatIf, 'minutes' | 'endedBy' | 'peakCaseC' | 'peakWindingC' | 'topSpeedMps'>;

export function WhatIfs({
  present: { pack, topSpeedMps },
  tried,
  stale,
}: {
  present: HeatOfBuild;
  tried: readonly TriedWhatIf[];
  stale: boolean;
}) {
  const { reader } = useReader();
  return (
    <ChangeTable<Row>
      columns={[
        { name: 'Runs', of: ({ minutes }) => formatText(minutes, 'minutes', reader) },
        { name: 'Case peak', of: ({ peakCaseC }) => formatText(peakCaseC, 'temperatureC', reader) },
        { name: 'Winding peak', of: ({ peakWindingC }) => formatText(peakWindingC, 'temperatureC', reader) },
        {
          name: 'Top speed',
          of: ({ topSpeedMps }) =>
            topSpeedMps === undefined ? '' : formatText(topSpeedMps, 'speedMps', reader),
        },
        { name: 'Ended by', text: true, of: ({ endedBy }) => END_NAMES[endedBy] },
      ]}
      present={{
        minutes: pack.durationS / 60,
        endedBy: pack.endedBy,
        peakCaseC: pack.peakCaseC,
        peakWindingC: pack.peakWindingC,
        topSpeedMps,
      }}
      tried={tried.map((one) => ({
        id: one.id,
        text: heatWhatIfText(one.is, reader),
        row: one,
        patch: one.patch,
      }))}
      stale={stale}
    />
  );
}
