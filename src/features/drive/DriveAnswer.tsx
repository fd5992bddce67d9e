'use client';

import Typography from '@mui/material/Typography';
import type { MeanOfRuns } from '@/core/worked/field/measured';
import { launchFacts } from '@/core/physics/motion/launchFacts';
import { topSpeedFacts } from '@/core/physics/motion/topSpeedFacts';
import type { DriveRunInput } from '@/core/physics/motion/definition';

import type { DriveRunResult } from '@/core/physics/motion/run';
import { workingLaunch, workingTopSpeed } from '@/words/workings/motion';
import { formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { launchHeldBy, type LaunchHeldBy } from '@/core/worked/motion/runOfBuild';
import { standing } from '@/core/physics/motion/standstill';
import { guessesText } from '@/words/labels/guesses';
import { useBuild } from '../session/BuildContext';
import { Figure } from '@/ui/Figure';
import { useReader, useWriter } from '@/ui/reader';

const LAUNCH: Readonly<Record<LaunchHeldBy, string>> = {
  grip: 'The tyres, not the motor, set the launch.',
  lift: 'The front wheels lift before the tyres slip: that sets the launch.',
  controller: 'The controller’s current limit sets the launch.',
  ownLimit: 'The current limit set by hand sets the launch.',
  clutch: 'The slip clutch sets the launch: it passes on no more.',
  voltage: "The pack's voltage sets the launch: the motor gives all it has.",
};

interface DriveAnswerProps {
  surface: string;
  input: DriveRunInput;
  run: DriveRunResult;
  targetMps: number | undefined;
  measured: Pick<MeanOfRuns, 'mean' | 'error'> | undefined;
  ghost: { label: string; run: DriveRunResult | undefined } | undefined;
}

/** The answer in a sentence with numbers. */
export function DriveAnswer({ surface, input, run, targetMps, measured, ghost }: DriveAnswerProps) {
  const write = useWriter();
  const { reader } = useReader();
  const { document } = useBuild();
  const speed = (value: number) => formatText(value, 'speedMps', reader);
  const on = surface.toLowerCase();
  const guesses = guessesText(document);
  if (run.stalled) {
    return (
      <Typography variant="answer">
        It does{' '}
        <Figure title="the launch" steps={workingLaunch(launchFacts(input, run), write)} tone="over">
          not get under way
        </Figure>{' '}
        on {on}:{' '}
        {standing(input).outcome === 'spins'
          ? 'its tyres spin. More friction or more weight on the driven axle, no other gear.'
          : 'its motor is held. A shorter ratio pulls harder.'}
      </Typography>
    );
  }
  const tone =
    targetMps === undefined
      ? ''
      : run.topSpeedMps! < targetMps
        ? 'over'
        : run.topSpeedMps! < 1.05 * targetMps
          ? 'tight'
          : '';
  return (
    <Typography variant="answer">
      Reaches{' '}
      <Figure title="top speed" steps={workingTopSpeed(topSpeedFacts(input, run), write)} tone={tone}>
        <span data-testid="top-speed">
          {run.topSpeedMps === undefined ? 'no limit' : speed(run.topSpeedMps)}
        </span>
      </Figure>{' '}
      on {on}
      {targetMps === undefined ? '' : `, the wish is ${speed(targetMps)}`}
      {ghost?.run?.topSpeedMps !== undefined ? (
        <Typography component="span" color="textSecondary">
          {' '}
          ({ghost.label}: {speed(ghost.run.topSpeedMps)})
        </Typography>
      ) : null}
      .{' '}
      {measured ? (
        <Typography component="span" color="info">
          Measured {formatWithError(measured.mean, measured.error, 'speedMps', reader)}.{' '}
        </Typography>
      ) : null}
      <Figure title="the launch" steps={workingLaunch(launchFacts(input, run), write)} tone="plainfig">
        {run.peakAccelMps2 > 0 ? formatText(run.peakAccelMps2 / 9.81, 'coefficient', reader, 2) : '0'} g
      </Figure>{' '}
      off the line. {LAUNCH[launchHeldBy(document, run)]}
      {guesses ? (
        <Typography component="span" color="textSecondary" data-testid="guesses">
          {' '}
          {guesses}
        </Typography>
      ) : null}
    </Typography>
  );
}
