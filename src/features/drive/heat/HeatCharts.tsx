'use client';

import { Note } from '@/ui/controls/Note';
import { formatText } from '@/core/base/units/formatQuantity';
import type { HeatReading } from '@/core/car/document/heat';
import { caseLimitOf } from '@/core/worked/heat/caseLimit';
import type { HeatOfBuild } from '@/core/worked/heat/heatOf';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { CASE_LIMIT_LABEL } from '@/words/terms';
import { Apart, Charts } from '../../frame/Guarded';
import { useBuild } from '../../session/BuildContext';
import { END_NAMES } from '../words';
import { say } from '@/words/findings';

export interface GhostHeat {
  label: string;
  heat: HeatOfBuild;
}

export function HeatCharts({
  heat,
  ghost,
  readings,
}: {
  heat: HeatOfBuild;
  ghost: GhostHeat | undefined;
  readings: readonly HeatReading[];
}) {
  const { document } = useBuild();
  const { reader } = useReader();
  const { pack, input } = heat;
  const { limitC, of } = caseLimitOf(document.drive);
  const what = CASE_LIMIT_LABEL[of];
  const windingLimitC = input.thermal.windingLimitC!;
  const minutesOf = (seconds: readonly number[]) => seconds.map((s) => s / 60);
  const wish = document.brief.runTimeMinutes;
  const ended = pack.durationS / 60;
  const xs = minutesOf(pack.series.tS);
  const end =
    1.06 *
    Math.max(
      ended,
      ghost ? ghost.heat.pack.durationS / 60 : 0,
      wish ?? 0,
      ...readings.map(({ minutes }) => minutes),
      1,
    );
  const hottest = Math.max(
    pack.peakWindingC,
    pack.peakControllerC ?? 0,
    ghost?.heat.pack.peakWindingC ?? 0,
    ...readings.map(({ caseC }) => caseC),
  );
  const yMax = Math.max(limitC + 12, 1.08 * hottest);
  const degrees = (value: number) => formatText(value, 'temperatureC', reader);
  const ghostXs = ghost ? minutesOf(ghost.heat.pack.series.tS) : [];
  const uprights = [
    { x: ended, label: `${END_NAMES[pack.endedBy]}, ${formatText(ended, 'minutes', reader)}` },
  ];
  const notes = pack.notes;
  return (
    <Apart>
      <Charts>
        <LineChart
          title="Winding, case and controller"
          testId="heat-chart"
          width={500}
          xQuantity="minutes"
          yQuantity="temperatureC"
          yMin={Math.min(20, input.thermal.ambientC)}
          lines={[
            ...(ghost
              ? [
                  {
                    id: 'ghost',
                    label: ghost.label,
                    style: 'earlier' as const,
                    xs: ghostXs,
                    ys: ghost.heat.pack.series.caseC,
                    labelAt: 0.6,
                  },
                ]
              : []),
            {
              id: 'winding',
              label: 'winding',
              style: 'predictedQuiet',
              xs,
              ys: pack.series.windingC,
              labelAt: 1,
            },
            {
              id: 'case',
              label: 'case',
              style: 'predicted',
              xs,
              ys: pack.series.caseC,
              labelAt: 1,
            },
            ...(pack.series.controllerC
              ? [
                  {
                    id: 'controller',
                    label: 'controller',
                    style: 'predictedQuiet' as const,
                    xs,
                    ys: pack.series.controllerC,
                    labelAt: 0.5,
                  },
                ]
              : []),
          ]}
          levels={[
            { y: limitC, label: `${what}, ${degrees(limitC)}` },
            ...(windingLimitC <= yMax
              ? [{ y: windingLimitC, label: `winding limit, ${degrees(windingLimitC)}`, labelLeft: true }]
              : []),
          ]}
          points={readings.map(({ minutes, caseC }, index) => ({
            x: minutes,
            y: caseC,
            error: 3,
            measured: true,
            ...(index === 0 ? { label: 'measured' } : {}),
          }))}
          uprights={uprights}
          xMax={end}
          yMax={yMax}
          summary={`The case reaches ${degrees(pack.peakCaseC)} and the winding ${degrees(pack.peakWindingC)}; ${END_NAMES[pack.endedBy]} after ${formatText(ended, 'minutes', reader)}.`}
        />
        <LineChart
          title="Charge left"
          testId="charge-chart"
          width={350}
          xQuantity="minutes"
          yQuantity="share"
          yName="charge"
          lines={[
            ...(ghost
              ? [
                  {
                    id: 'ghost',
                    label: ghost.label,
                    style: 'earlier' as const,
                    xs: ghostXs,
                    ys: ghost.heat.pack.series.stateOfCharge,
                    labelAt: 0.4,
                  },
                ]
              : []),
            {
              id: 'charge',
              label: 'charge',
              style: 'predicted',
              xs,
              ys: pack.series.stateOfCharge,
              labelAt: 0.55,
            },
          ]}
          uprights={
            wish === undefined
              ? []
              : [{ x: wish, label: `wish ${formatText(wish, 'minutes', reader)}`, wish: true }]
          }
          xMax={end}
          yMax={1}
          summary={`${formatText(pack.chargeUsedMah, 'capacityMah', reader)} used when it ends.`}
        />
      </Charts>
      {notes.map((note) => (
        <Note key={note.code}>{say(note, reader)}</Note>
      ))}
    </Apart>
  );
}
