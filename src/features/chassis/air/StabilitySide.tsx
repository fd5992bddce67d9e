'use client';

import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import type { SteadyResult } from '@/core/physics/handling/steady/definition';
import { handlingSteady } from '@/core/physics/handling/steady/steady';
import { looseBecause } from '@/core/worked/stability/loose';
import { steadyInputOf } from '@/core/worked/stability/steadyOfBuild';
import { PEDALS, type Pedal, steadyOverSpeed } from '@/core/worked/stability/steadyOverSpeed';
import { worked } from '@/core/worked/worked';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { LOOSE } from '@/words/checks/chassis';
import { SLIDES_FIRST } from '@/words/whatIfs';
import { StillNeeds } from '@/features/fields/StillNeeds';
import { LineChart } from '@/ui/charts/LineChart';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import { workerOf } from '@/workers/clients';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { Ask } from '../../frame/Ask';
import { Apart, Charts } from '../../frame/Guarded';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { Wanders } from './Wanders';
import { BendWhatIfs, SteadyWhatIfs } from './SteadyWhatIfs';
import { SideWind } from './SideWind';

const PEDAL_NAMES: Readonly<Record<Pedal, string>> = {
  held: 'speed held',
  throttle: 'full throttle',
  brake: 'braking',
};
const [USUAL_TOP_MPS, BEYOND] = [15, 1.4];

/** Past it a car hardly steers, or spins: the picture ends there. */
const MOST_DEG = 20;
const degPerGee = ({ understeerDegPerGee = 0 }: { understeerDegPerGee?: number }) => understeerDegPerGee;
function steerRange(all: readonly number[]) {
  const most = Math.min(MOST_DEG, Math.max(1, ...all.map(Math.abs)));
  return { yMin: -1.1 * most, yMax: 1.1 * most };
}

/** Whether the car stays straight at speed, which end slides first, and what single changes do to that. */
export function StabilitySide() {
  const { document, surface, ghost } = useBuild();
  const { reader } = useReader();
  const top = worked(document, surface).run()?.topSpeedMps;
  const [chosen, choose] = useState<number>();
  const [pedal, press] = useState<Pedal>('held');
  const speedMps = Math.max(1, chosen ?? top ?? USUAL_TOP_MPS);
  const input = useMemo(() => steadyInputOf(document, surface, { speedMps }), [document, surface, speedMps]);
  const steady = useMemo(() => (input.ok ? handlingSteady(input.value) : undefined), [input]);
  const toMps = BEYOND * Math.max(top ?? USUAL_TOP_MPS, document.brief.targetMps ?? 0);
  const rows = useMemo(
    () => steadyOverSpeed(document, surface, pedal, toMps),
    [document, surface, pedal, toMps],
  );
  const before = useMemo(
    () => (ghost ? steadyOverSpeed(ghost.document, surface, pedal, toMps) : undefined),
    [ghost, surface, pedal, toMps],
  );
  if (!input.ok || !steady || !surface)
    return <StillNeeds missing={input.ok ? ['brief.surfaces'] : input.missing} />;
  const shown = rows.ok ? rows.value : [];
  const speeds = shown.map((row) => row.speedMps);
  const speed = (mps: number) => formatText(mps, 'speedMps', reader);
  const rear = { xs: speeds, ys: shown.map(({ rearN }) => rearN) };
  const front = { xs: speeds, ys: shown.map(({ frontN }) => frontN) };
  const damped = shown.filter(({ dampingRatio }) => dampingRatio !== undefined);
  const steered = shown.filter(({ understeerDegPerGee }) => understeerDegPerGee !== undefined);
  const loose = shown.find(({ stable }) => !stable);
  const marks = [
    ...(top === undefined ? [] : [{ x: top, label: `top speed, ${speed(top)}` }]),
    ...(loose ? [{ x: loose.speedMps, label: `not steady from ${speed(loose.speedMps)}` }] : []),
  ];
  return (
    <Apart>
      <Ask>
        <Answer steady={steady} because={looseBecause(input.value)} />
        <SurfaceSwitch />
      </Ask>
      <Toggles label="Pedals">
        {PEDALS.map((one) => (
          <Toggle key={one} size="small" pressed={one === pedal} onPress={() => press(one)}>
            {PEDAL_NAMES[one]}
          </Toggle>
        ))}
      </Toggles>
      <Charts>
        <LineChart
          title={`Load of each axle, ${PEDAL_NAMES[pedal]}`}
          testId="axle-loads"
          width={405}
          height={250}
          xQuantity="speedMps"
          yQuantity="forceN"
          xMax={toMps}
          yMax={1.15 * Math.max(1, ...front.ys, ...rear.ys)}
          lines={[
            ...(before?.ok
              ? [
                  {
                    id: 'ghost-rear',
                    label: ghost!.label,
                    style: 'earlier' as const,
                    xs: before.value.map((row) => row.speedMps),
                    ys: before.value.map(({ rearN }) => rearN),
                    labelAt: 0.8,
                  },
                ]
              : []),
            { id: 'front', label: 'front', style: 'predictedQuiet', ...front, labelAt: 0.3 },
            { id: 'rear', label: 'rear', style: 'predicted', ...rear, labelAt: 0.5 },
          ]}
          uprights={marks}
          summary="Loads of both axles over speed."
        />
        <LineChart
          title={`Damping of a disturbance, ${PEDAL_NAMES[pedal]}`}
          testId="damping"
          width={405}
          height={250}
          xQuantity="speedMps"
          yQuantity="coefficient"
          yName="damping ratio"
          xMax={toMps}
          yMax={2}
          lines={[
            {
              id: 'damping',
              label: 'this car',
              style: 'predicted',
              xs: damped.map((row) => row.speedMps),
              ys: damped.map(({ dampingRatio }) => Math.min(2, dampingRatio!)),
              labelAt: 0.6,
            },
          ]}
          uprights={marks}
          summary="Under one it swings before it is straight again, under a third it swings for long."
        />
        <LineChart
          title={`Understeer, ${PEDAL_NAMES[pedal]}`}
          testId="understeer"
          width={405}
          height={250}
          xQuantity="speedMps"
          yQuantity="coefficient"
          yName="degrees of steering a g"
          xMax={toMps}
          {...steerRange(steered.map(degPerGee))}
          lines={[
            {
              id: 'understeer',
              label: 'this car',
              style: 'predicted',
              xs: steered.map((row) => row.speedMps),
              ys: steered.map((row) => Math.max(-MOST_DEG, Math.min(MOST_DEG, degPerGee(row)))),
              labelAt: 0.6,
            },
          ]}
          uprights={marks}
          summary="Over nothing the front runs wide, under it the rear comes round."
        />
      </Charts>
      <QuantitySlider
        label="Looked at a speed of"
        quantity="speedMps"
        value={speedMps}
        min={1}
        max={Math.ceil(toMps)}
        step={0.5}
        onChange={choose}
      />
      <SteadyWhatIfs speedMps={speedMps} present={steady} />
      <BendWhatIfs speedMps={speedMps} />
      <SideWind input={input.value} />
      <Wanders input={input.value} />
      <SegmentChecks segment="chassis" side="stability" />
      <Typography variant="small" color="textSecondary">
        Straight ahead each axle counts as one tyre with{' '}
        {formatNumber(input.value.tyres.front.corneringPerRad, reader.locale, 2)} in front and{' '}
        {formatNumber(input.value.tyres.rear.corneringPerRad, reader.locale, 2)} behind of its load a radian;
        measured ones stand under Suspension, Aids. In the bend each axle moves its own load; springs and bars
        that share it between the axles are not in it.
      </Typography>
    </Apart>
  );
}

function Answer({ steady, because }: { steady: SteadyResult; because: ReturnType<typeof looseBecause> }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const found = useWorked(surface ? () => workerOf('aids').steadyBand(document, surface) : undefined, [
    document,
    surface,
  ]);
  const speed = (mps: number) => formatText(mps, 'speedMps', reader);
  const { lowestUnstableMps: loose, letsGoFirst } = steady;
  const band = found.value?.band?.looseMps;
  const never = found.value?.band ? 1 - found.value.band.looseShare : undefined;
  return (
    <Typography variant="answer" data-testid="steady-answer">
      {loose === undefined ? 'Steady at every speed that such a car reaches' : `Steady to ${speed(loose)}`}
      {loose !== undefined && band ? ` (${speed(band[0])} to ${speed(band[2])} as far as it is known)` : ''}
      {loose === undefined && never !== undefined && never < 0.95
        ? `, if its figures are right: ${formatText(1 - never, 'share', reader, 1)} of cars known as well as this one are not`
        : ''}
      {because ? `, then ${LOOSE[because]}` : ''}. In a bend {SLIDES_FIRST[letsGoFirst]} slides first, at{' '}
      {formatText(steady.maxLateralMps2, 'accelMps2', reader)}.
    </Typography>
  );
}
