'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { standing } from '@/core/physics/motion/standstill';
import { refusalInWords } from '@/words/labels/labels';
import { calibrationFor } from '@/core/car/document/heat';
import { caseLimitOf } from '@/core/worked/heat/caseLimit';
import type { HeatOfBuild } from '@/core/worked/heat/heatOf';
import { heatFacts } from '@/core/worked/heat/heatFacts';
import { MOTOR_PLACE_NAMES } from '@/words/labels/heatWords';
import { CASE_LIMIT_OF } from '@/words/terms';
import { workingHeat } from '@/words/workings/heat';
import { formatError, formatText } from '@/core/base/units/formatQuantity';
import type { PackErrors } from '@/core/worked/field/predictPack';
import { Figure } from '@/ui/Figure';
import { useReader, useWriter } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../../session/BuildContext';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useWorked } from '../../session/useWorked';
import { Apart } from '../../frame/Guarded';
import { workerOf } from '@/workers/clients';
import { END_CLAUSES } from '../words';
import { type GhostHeat, HeatCharts } from './HeatCharts';
import { DutyTrace } from './DutyTrace';
import { EnergyBar } from './EnergyBar';
import { HowWellKnown } from './HowWellKnown';
import { WhatIfs } from './HeatWhatIfs';
import { Ask } from '../../frame/Ask';

/** Winding, case and charge over a whole pack, and what would change them. */
export function HeatView() {
  const write = useWriter();
  const { reader } = useReader();
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
  const known = useWorked(surface ? () => workerOf('drive').packErrors(document, surface) : undefined, [
    document,
    surface,
  ]);
  if (!surface) return <StillNeeds missing={['brief.surfaces']} />;
  if (present.refused)
    return (
      <Typography variant="answer">
        Not worked out:{' '}
        {refusalInWords(
          { ...present.refused, path: present.refused.path.replace(/^(thermal|cycle)\./, '') },
          ['drive', 'heat'],
          reader,
        )}
        .
      </Typography>
    );
  if (!present.value)
    return (
      <Typography variant="answer" color="textSecondary">
        Driving a whole pack…
      </Typography>
    );
  if (!present.value.ok) return <StillNeeds missing={present.value.missing} />;
  const heat = present.value.value;
  const ghostHeat = ghost && other.value?.ok ? { label: ghost.label, heat: other.value.value } : undefined;
  return (
    <Apart>
      <Ask>
        <HeatAnswer heat={heat} surface={surface.name} ghost={ghostHeat} errors={known.value ?? {}} />
        <SurfaceSwitch />
      </Ask>
      <Box sx={dimmedWhen(present.stale)} aria-busy={present.stale}>
        <HeatCharts heat={heat} ghost={ghostHeat} readings={document.drive.heat?.readings ?? []} />
        <DutyTrace pass={heat.pass} topSpeedMps={heat.topSpeedMps} />
        <EnergyBar pack={heat.pack} />
      </Box>
      {known.value && heat.pack.durationS > 0 ? (
        <HowWellKnown heat={heat} errors={known.value} stale={known.stale} />
      ) : null}
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

function HeatAnswer({
  heat,
  surface,
  ghost,
  errors,
}: {
  heat: HeatOfBuild;
  surface: string;
  ghost: GhostHeat | undefined;
  errors: PackErrors;
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
      <Typography variant="answer">
        It does{' '}
        <Figure title="the pack" steps={steps} tone="over">
          not get under way
        </Figure>{' '}
        on {surface.toLowerCase()}:{' '}
        {standing(input).outcome === 'spins'
          ? 'its tyres spin, which heats no motor.'
          : 'its motor is held, and all the current turns to heat in the winding.'}
      </Typography>
    );
  const wish = document.brief.runTimeMinutes;
  const short = wish !== undefined && pack.durationS / 60 < wish;
  const calibrated = document.drive.motor && calibrationFor(document.drive.heat, document.drive.motor);
  return (
    <Typography variant="answer">
      Runs{' '}
      <Figure title="the minutes" steps={steps} tone={short ? 'over' : ''}>
        <span data-testid="minutes">{minutes(heat)}</span>
      </Figure>
      {errors.minutes ? ` ± ${formatError(errors.minutes.error, 'minutes', reader)}` : ''}{' '}
      {heat.laps === undefined ? '' : `or ${Math.floor(heat.laps)} laps `}on {surface.toLowerCase()}{' '}
      {END_CLAUSES[pack.endedBy]}
      {wish === undefined ? '' : `, the wish is ${formatText(wish, 'minutes', reader)}`}, at a mean of{' '}
      <span data-testid="mean-speed">{formatText(pack.meanSpeedMps ?? 0, 'speedMps', reader)}</span>
      {ghost ? (
        <Typography component="span" color="textSecondary">
          {' '}
          ({ghost.label}: {minutes(ghost.heat)})
        </Typography>
      ) : null}
      . The case
      {input.hottest
        ? ` of the ${MOTOR_PLACE_NAMES[input.hottest.place]}, which runs hottest,`
        : ''} reaches{' '}
      <Figure title="the case temperature" steps={steps} tone={pack.peakCaseC >= limit.limitC ? 'over' : ''}>
        <span data-testid="peak-case">{degrees(pack.peakCaseC)}</span>
      </Figure>
      {errors.peakCaseC ? ` ± ${formatError(errors.peakCaseC.error, 'temperatureC', reader)}` : ''}
      {ghost ? (
        <Typography component="span" color="textSecondary">
          {' '}
          ({degrees(ghost.heat.pack.peakCaseC)})
        </Typography>
      ) : null}
      ; {CASE_LIMIT_OF[limit.of]} {degrees(limit.limitC)}.{' '}
      <Typography component="span" color="textSecondary">
        {calibrated
          ? 'Calibrated by your readings.'
          : document.drive.heat?.readings
            ? 'First guess: calibrate it with your readings.'
            : 'First guess until you measure.'}
      </Typography>
    </Typography>
  );
}
