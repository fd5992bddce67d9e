'use client';

import type { AirInput, AirResult } from '@/core/physics/air/definition';
import { LineChart } from '@/ui/charts/LineChart';

const POINTS = 30;
/** Speed over the reference one up to which it is drawn. */
const BEYOND = 1.6;

/** What the air presses or lifts at either axle over speed, with how coarse that is. */
export function AxleForces({ input, found }: { input: AirInput; found: AirResult }) {
  const reference = input.referenceSpeedMps ?? 15;
  const toMps = BEYOND * reference;
  const pressure = found.forcesN.drag / found.cdaM2 / reference ** 2;
  const speeds = Array.from({ length: POINTS + 1 }, (_, k) => (toMps * k) / POINTS);
  const line = (area: number) => ({ xs: speeds, ys: speeds.map((v) => pressure * area * v * v) });
  const { claFrontM2, claRearM2, bands } = found;
  const ends = [...bands.claFrontM2, ...bands.claRearM2, 0].map((area) => pressure * area * toMps ** 2);
  return (
    <LineChart
      title="Pressed on each axle by the air, and how coarse that is"
      testId="axle-forces"
      width={640}
      height={240}
      xQuantity="speedMps"
      yQuantity="forceN"
      xMax={toMps}
      yMin={1.1 * Math.min(...ends)}
      yMax={1.1 * Math.max(1e-3, ...ends)}
      lines={[
        { id: 'front-low', label: '', style: 'earlier', ...line(bands.claFrontM2[0]) },
        { id: 'front-high', label: '', style: 'earlier', ...line(bands.claFrontM2[1]) },
        { id: 'rear-low', label: '', style: 'earlier', ...line(bands.claRearM2[0]) },
        { id: 'rear-high', label: '', style: 'earlier', ...line(bands.claRearM2[1]) },
        { id: 'front', label: 'front', style: 'predictedQuiet', ...line(claFrontM2), labelAt: 0.8 },
        { id: 'rear', label: 'rear', style: 'predicted', ...line(claRearM2), labelAt: 0.8 },
      ]}
      summary="Downforce of both axles over speed; under nothing it lifts."
    />
  );
}
