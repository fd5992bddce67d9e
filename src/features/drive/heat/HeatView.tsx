'use client';

import { needNames } from '@/words/needs';
import { applyPatch } from '@/core/base/patch';
import { standing } from '@/core/physics/motion/standstill';
import { refusalInWords } from '@/core/car/labels/labels';
import { calibrationFor, type HeatReading } from '@/core/car/document/heat';
import { caseLimitOf } from '@/core/worked/heat/enduranceOfBuild';
import type { HeatOfBuild, TriedWhatIf } from '@/core/worked/heat/heatOf';
import { heatFacts } from '@/core/worked/heat/heatFacts';
import { CASE_LIMIT_LABEL, CASE_LIMIT_OF } from '@/words/terms';
import { workingHeat } from '@/words/workings/heat';
import { formatText } from '@/core/base/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { Figure } from '@/ui/Figure';
import { useReader, useWriter } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../../session/BuildContext';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useWorked } from '../../session/useWorked';
import { Apart, Charts } from '../../frame/Guarded';
import { workerOf } from '@/workers/clients';
import { END_CLAUSES, END_NAMES } from '../words';

/** Winding, case and charge over a whole pack, and what would change them. */
export function HeatView() {
  const write = useWriter();
  const { document, surface, ghost } = useBuild();
  const present = useWorked(surface ? () => workerOf('drive').heat(document, surface) : undefined, [
    document,
    surface,
  ]);
  const other = useWorked(
    surface && ghost ? () => workerOf('drive').heat(ghost.document, surface) : undefined,
    [ghost?.document, surface],
  );
  const tried = useWorked(surface ? () => workerOf('drive').whatIfs(document, surface) : undefined, [
    document,
    surface,
  ]);
  if (!surface) return <h1 className="answer">Not worked out yet: it needs a surface.</h1>;
  if (present.refused)
    return (
      <h1 className="answer">
        Not worked out:{' '}
        {refusalInWords(
          { ...present.refused, path: present.refused.path.replace(/^(thermal|cycle)\./, '') },
          ['drive', 'heat'],
        )}
        .
      </h1>
    );
  if (!present.value) return <h1 className="answer quiet">Driving a whole pack…</h1>;
  if (!present.value.ok)
    return <h1 className="answer">Not worked out yet: it needs {needNames(present.value.missing)}.</h1>;
  const heat = present.value.value;
  const ghostHeat = ghost && other.value?.ok ? { label: ghost.label, heat: other.value.value } : undefined;
  return (
    <Apart>
      <div className="ask">
        <HeatAnswer heat={heat} surface={surface.name} ghost={ghostHeat} />
        <SurfaceSwitch />
      </div>
      <div style={{ opacity: present.stale ? 0.55 : 1 }} aria-busy={present.stale}>
        <HeatCharts heat={heat} ghost={ghostHeat} readings={document.drive.heat?.readings ?? []} />
      </div>
      {tried.value ? <WhatIfs present={heat} tried={tried.value} stale={tried.stale} /> : null}
      <SegmentChecks segment="drive" side="heat" />
      <WorkingPanel
        fallback={{
          title: 'heat over the pack',
          steps: workingHeat(heatFacts(heat.input, heat.pack), write),
        }}
      />
    </Apart>
  );
}

interface GhostHeat {
  label: string;
  heat: HeatOfBuild;
}

function HeatAnswer({
  heat,
  surface,
  ghost,
}: {
  heat: HeatOfBuild;
  surface: string;
  ghost: GhostHeat | undefined;
}) {
  const write = useWriter();
  const { document } = useBuild();
  const { reader } = useReader();
  const { input, pack } = heat;
  const steps = workingHeat(heatFacts(input, pack), write);
  const limit = caseLimitOf(document.drive);
  const minutes = (one: HeatOfBuild) => formatText(one.pack.durationS / 60, 'minutes', reader);
  const degrees = (value: number) => formatText(value, 'temperatureC', reader);
  if (pack.endedBy === 'stalled' && pack.durationS === 0)
    return (
      <h1 className="answer">
        It does{' '}
        <Figure title="the pack" steps={steps} tone="over">
          not get under way
        </Figure>{' '}
        on {surface.toLowerCase()}:{' '}
        {standing(input).outcome === 'spins'
          ? 'its tyres spin, which heats no motor.'
          : 'its motor is held, and all the current turns to heat in the winding.'}
      </h1>
    );
  const wish = document.brief.runTimeMinutes;
  const short = wish !== undefined && pack.durationS / 60 < wish;
  const calibrated = document.drive.motor && calibrationFor(document.drive.heat, document.drive.motor);
  return (
    <h1 className="answer">
      Runs{' '}
      <Figure title="the minutes" steps={steps} tone={short ? 'over' : ''}>
        <span data-testid="minutes">{minutes(heat)}</span>
      </Figure>{' '}
      on {surface.toLowerCase()} {END_CLAUSES[pack.endedBy]}
      {wish === undefined ? '' : `, the wish is ${formatText(wish, 'minutes', reader)}`}, at a mean of{' '}
      <span data-testid="mean-speed">{formatText(pack.meanSpeedMps ?? 0, 'speedMps', reader)}</span>
      {ghost ? (
        <span className="quiet">
          {' '}
          ({ghost.label}: {minutes(ghost.heat)})
        </span>
      ) : null}
      . The case reaches{' '}
      <Figure title="the case temperature" steps={steps} tone={pack.peakCaseC >= limit.limitC ? 'over' : ''}>
        <span data-testid="peak-case">{degrees(pack.peakCaseC)}</span>
      </Figure>
      {ghost ? <span className="quiet"> ({degrees(ghost.heat.pack.peakCaseC)})</span> : null};{' '}
      {CASE_LIMIT_OF[limit.of]} {degrees(limit.limitC)}.{' '}
      <span className="quiet">
        {calibrated
          ? 'Calibrated by your readings.'
          : document.drive.heat?.readings
            ? 'First guess: calibrate it with your readings.'
            : 'First guess until you measure.'}
      </span>
    </h1>
  );
}

function HeatCharts({
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
          title="Winding and case"
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
                    labelShift: [0, 16] as const,
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
              labelShift: [4, -8],
            },
            {
              id: 'case',
              label: 'case',
              style: 'predicted',
              xs,
              ys: pack.series.caseC,
              labelAt: 1,
              labelShift: [4, 18],
            },
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
                    labelShift: [6, -8] as const,
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
              labelShift: [10, -4],
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
        <p key={note} className="note">
          {note}
        </p>
      ))}
    </Apart>
  );
}

function WhatIfs({
  present,
  tried,
  stale,
}: {
  present: HeatOfBuild;
  tried: readonly TriedWhatIf[];
  stale: boolean;
}) {
  const { document, edit, setGhost, closed } = useBuild();
  const { reader } = useReader();
  const { pack, topSpeedMps } = present;
  const row = {
    minutes: pack.durationS / 60,
    endedBy: pack.endedBy,
    peakCaseC: pack.peakCaseC,
    peakWindingC: pack.peakWindingC,
    topSpeedMps,
  };
  const cells = (one: typeof row) => (
    <>
      <td className="num">{formatText(one.minutes, 'minutes', reader)}</td>
      <td className="num">{formatText(one.peakCaseC, 'temperatureC', reader)}</td>
      <td className="num">{formatText(one.peakWindingC, 'temperatureC', reader)}</td>
      <td className="num">
        {one.topSpeedMps === undefined ? '' : formatText(one.topSpeedMps, 'speedMps', reader)}
      </td>
      <td className="quiet">{END_NAMES[one.endedBy]}</td>
    </>
  );
  return (
    <section className="gridbox" aria-label="What if" style={{ marginTop: 10, opacity: stale ? 0.55 : 1 }}>
      <table className="grid tight">
        <thead>
          <tr>
            <th>What if</th>
            <th className="num">Runs</th>
            <th className="num">Case peak</th>
            <th className="num">Winding peak</th>
            <th className="num">Top speed</th>
            <th>Ended by</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>
              <b>As it is</b>
            </td>
            {cells(row)}
            <td />
          </tr>
          {tried.map((one) => (
            <tr key={one.id} data-whatif={one.id}>
              <td>{one.text}</td>
              {cells({ ...one, topSpeedMps: one.topSpeedMps })}
              <td style={{ whiteSpace: 'nowrap' }}>
                <span className="remedy">
                  <button
                    type="button"
                    disabled={closed}
                    aria-label={`Take: ${one.text}`}
                    onClick={() => edit(one.patch)}
                  >
                    take
                  </button>
                  <button
                    type="button"
                    className="link quiet"
                    aria-label={`Compare: ${one.text}`}
                    style={{ border: 0, background: 'none', padding: 0, fontWeight: 400, color: 'inherit' }}
                    onClick={() =>
                      setGhost({ label: one.text.toLowerCase(), document: applyPatch(document, one.patch) })
                    }
                  >
                    compare
                  </button>
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
