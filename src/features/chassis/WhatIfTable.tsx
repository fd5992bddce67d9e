'use client';

import { useMemo } from 'react';
import type { Standing } from '@/core/worked/standing/standingOfBuild';
import { chassisWhatIfs } from '@/core/advice/whatIfs';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { ChangeTable } from '@/features/fields/ChangeTable';
import { useReader } from '@/ui/reader';
import { chassisWhatIfText } from '@/words/whatIfs';
import { useBuild } from '../session/BuildContext';

/** What another place of the heavy things or another track would do, beside the car as it is. */
export function WhatIfTable({ present }: { present: Standing }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const tried = useMemo(() => (surface ? chassisWhatIfs(document, surface) : []), [document, surface]);
  return (
    <ChangeTable<Standing>
      columns={[
        {
          name: 'Stability factor',
          of: ({ stability }) => formatNumber(stability.staticStabilityFactor, reader.locale, 3),
        },
        {
          name: 'On the front',
          of: ({ weight }) => formatText(1 + weight.cgMm[0] / document.chassis.wheelbaseMm!, 'share', reader),
        },
        { name: 'Weight sits at', of: ({ weight }) => formatText(weight.cgMm[2], 'lengthMm', reader) },
        {
          name: 'Front lifts at',
          of: ({ stability }) => formatText(stability.frontLiftsAtMps2, 'accelMps2', reader),
        },
        {
          name: 'Brakes to',
          of: ({ stability }) => formatText(stability.brakingLimitMps2, 'accelMps2', reader),
        },
      ]}
      present={present}
      tried={tried.map(({ id, by, patch, standing }) => ({
        id,
        text: chassisWhatIfText({ id, by }, reader),
        row: standing,
        patch,
      }))}
    />
  );
}
