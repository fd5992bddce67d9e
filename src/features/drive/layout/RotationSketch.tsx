'use client';

import clsx from 'clsx';
import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import { Hidden } from '@/ui/layout/Hidden';
import { type Drive, motorsApart, motorsInWheels } from '@/core/car/document/drive';
import type { Axle, Stage } from '@/core/car/stages/stage';
import type { RotationOfBuild } from '@/core/worked/drive/rotationOfBuild';
import type { RotationOfPath } from '@/core/physics/gears/rotation';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { Bevel, MIDDLE, Motor, Sense, WHEEL, Wheel } from './rotationMarks';

const [WIDTH, HEIGHT, CENTRE] = [760, 330, 380];
const AXLE_X: Readonly<Record<Axle, number>> = { front: 120, rear: 640 };
const STAGE_WORDS: Readonly<Record<Stage['kind'], string>> = {
  spur: 'spur',
  internal: 'internal',
  bevel: 'bevel',
  belt: 'belt',
  chain: 'chain',
  planetary: 'planetary',
  differential: 'differential',
  direct: 'coupling',
};

/** From the motor to every wheel, seen from above with the front to the left; arrows show where the top of each shaft and wheel goes. */
export function RotationSketch({ drive, rotation }: { drive: Drive; rotation: RotationOfBuild }) {
  const { reader } = useReader();
  const ratio = (value: number) => formatNumber(value, reader.locale, 3);
  const shared = !motorsApart(drive);
  const summary = rotation.paths
    .map(({ axle, rolls, ratio: total }) => `the ${axle} wheels roll ${rolls} at ${ratio(total)} motor turns`)
    .join(', ');
  return (
    <Box
      component="figure"
      className={clsx(chartsCss.chart, chartsCss.wide)}
      style={{ width: `min(100%, ${WIDTH}px)` }}
      sx={{ mt: 1 }}
      data-testid="rotation-sketch"
    >
      <figcaption>From the motor to every wheel, seen from above; arrows show where the top goes</figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label={`Sense of turning: ${summary}`}
      >
        <text x={6} y={14}>
          front of the car to the left
        </text>
        {(['front', 'rear'] as const).map((axle) => {
          const index = rotation.paths.findIndex((path) => path.axle === axle);
          return index < 0 ? (
            <IdleAxle key={axle} x={AXLE_X[axle]} axle={axle} />
          ) : (
            <Path
              key={axle}
              both={rotation.paths.length > 1}
              drive={drive}
              path={rotation.paths[index]!}
              stages={rotation.stages[index]!}
              motorAxis={rotation.motorAxis}
              shared={shared}
              ratio={ratio}
            />
          );
        })}
        {shared ? <Motor x={CENTRE} y={MIDDLE} along={rotation.motorAxis === 'x'} /> : null}
      </svg>
      <Hidden as="p">{summary}</Hidden>
    </Box>
  );
}

interface PathProps {
  both: boolean;
  drive: Drive;
  path: RotationOfPath;
  stages: readonly Stage[];
  motorAxis: 'x' | 'y';
  shared: boolean;
  ratio(value: number): string;
}

/** From one line of the label to the next. */
const LINE = 16;

/** Every wheel with a motor of its own: beside it on the chassis, or in it. */
function OwnMotors({ drive, path, stages, motorAxis, ratio }: Omit<PathProps, 'both' | 'shared'>) {
  const axleX = AXLE_X[path.axle];
  const bad = path.rolls === 'backward';
  const ink = bad ? 'var(--rust)' : 'var(--ink)';
  const inside = motorsInWheels(drive);
  const inward = path.axle === 'front' ? 1 : -1;
  const labelX = axleX + inward * 62;
  const told = [
    ...stages.map((stage) => `${STAGE_WORDS[stage.kind]} ${teethOf(stage)}`),
    `a motor ${inside ? 'in' : 'at'} each wheel`,
  ];
  return (
    <g data-axle={path.axle} data-rolls={path.rolls}>
      {[-1, 1].map((side) => {
        const y = MIDDLE + side * WHEEL.offset;
        const motorY = inside ? y : y - side * 62;
        return (
          <g key={side}>
            <line
              x1={axleX}
              x2={axleX}
              y1={motorY}
              y2={y}
              stroke={ink}
              strokeWidth="3"
              strokeDasharray={inside ? undefined : '4 3'}
            />
            <Wheel x={axleX} y={y} forward={!bad} />
            <Motor
              x={inside ? axleX + (bad ? -28 : 28) : axleX}
              y={motorY}
              along={motorAxis === 'x'}
              small
              label={!inside}
            />
          </g>
        );
      })}
      {told.map((line, at) => (
        <text
          key={at}
          x={labelX}
          y={MIDDLE + 14 - LINE * (told.length - at)}
          textAnchor={inward < 0 ? 'end' : 'start'}
        >
          {line}
        </text>
      ))}
      <text
        className={chartsCss.strong}
        x={labelX}
        y={MIDDLE + 14}
        textAnchor={inward < 0 ? 'end' : 'start'}
        fill={ink}
      >
        {path.shafts.map((shaft) => ratio(shaft.ratio)).join(', then ')} : 1
      </text>
    </g>
  );
}

function Path({ both, drive, path, stages, motorAxis, shared, ratio }: PathProps) {
  if (drive.motorsAt === 'wheel')
    return <OwnMotors drive={drive} path={path} stages={stages} motorAxis={motorAxis} ratio={ratio} />;
  const axleX = AXLE_X[path.axle];
  const bad = path.rolls === 'backward';
  const ink = bad ? 'var(--rust)' : 'var(--ink)';
  const start = shared ? CENTRE : axleX + (CENTRE - axleX) * 0.55;
  const parts = path.shafts.at(-2)?.axis === 'x' ? path.shafts.length - 1 : path.shafts.length;
  const places = path.shafts.map((_, k) => start + ((axleX - start) * Math.min(k + 1, parts)) / parts);
  return (
    <g data-axle={path.axle} data-rolls={path.rolls}>
      {path.shafts.map((shaft, k) => {
        const stage = stages[k]!;
        const [from, to] = [k === 0 ? start : places[k - 1]!, places[k]!];
        const last = k === path.shafts.length - 1;
        const common = shared && both && stage.on === undefined && k === 0;
        const labelX = common ? CENTRE : (from + to) / 2;
        return (
          <g key={stage.id}>
            <line
              x1={from}
              x2={to}
              y1={MIDDLE}
              y2={MIDDLE}
              stroke="var(--quiet)"
              strokeWidth={shaft.axis === 'x' ? 0 : 1.6}
              strokeDasharray={shaft.axis === 'x' ? undefined : '3 3'}
            />
            {shaft.axis === 'x' ? (
              <line x1={from} x2={to} y1={MIDDLE} y2={MIDDLE} stroke={ink} strokeWidth="3" />
            ) : last ? null : (
              <line x1={to} x2={to} y1={MIDDLE - 26} y2={MIDDLE + 26} stroke={ink} strokeWidth="3" />
            )}
            <Sense
              shaft={shaft}
              x={shaft.axis === 'x' ? (from + to) / 2 : last ? axleX : to}
              y={shaft.axis === 'x' ? MIDDLE : MIDDLE - 62}
              ink={ink}
            />
            {stage.kind === 'bevel' && shaft.axis === 'y' ? (
              <Bevel stage={stage} axle={path.axle} x={to} ink={ink} />
            ) : null}
            {last || (common && path.axle === 'rear') ? null : (
              <>
                <text x={labelX} y={MIDDLE + 46} textAnchor="middle">
                  {STAGE_WORDS[stage.kind]} {teethOf(stage)}
                </text>
                <text className={chartsCss.strong} x={labelX} y={MIDDLE + 63} textAnchor="middle">
                  {ratio(shaft.ratio)} : 1
                </text>
              </>
            )}
          </g>
        );
      })}
      <line
        x1={axleX}
        x2={axleX}
        y1={MIDDLE - WHEEL.offset}
        y2={MIDDLE + WHEEL.offset}
        stroke={ink}
        strokeWidth="3"
      />
      <text
        x={axleX + (path.axle === 'front' ? -52 : 52)}
        y={MIDDLE - 4}
        textAnchor={path.axle === 'front' ? 'end' : 'start'}
      >
        {STAGE_WORDS[stages.at(-1)!.kind]} {teethOf(stages.at(-1)!)}
      </text>
      <text
        className={chartsCss.strong}
        x={axleX + (path.axle === 'front' ? -52 : 52)}
        y={MIDDLE + 14}
        textAnchor={path.axle === 'front' ? 'end' : 'start'}
        fill={ink}
      >
        {ratio(path.ratio)} : 1
      </text>
      {[-1, 1].map((side) => (
        <Wheel key={side} x={axleX} y={MIDDLE + side * WHEEL.offset} forward={!bad} />
      ))}
      {shared ? null : <Motor x={start} y={MIDDLE} along={motorAxis === 'x'} />}
    </g>
  );
}

const teethOf = ({ pinionTeeth, wheelTeeth }: Stage) =>
  pinionTeeth === undefined || wheelTeeth === undefined ? '' : `${wheelTeeth}/${pinionTeeth}`;

function IdleAxle({ x, axle }: { x: number; axle: Axle }) {
  return (
    <g opacity="0.5">
      <line
        x1={x}
        x2={x}
        y1={MIDDLE - WHEEL.offset}
        y2={MIDDLE + WHEEL.offset}
        stroke="var(--quiet)"
        strokeWidth="2"
      />
      {[-1, 1].map((side) => (
        <rect
          key={side}
          x={x - WHEEL.length / 2}
          y={MIDDLE + side * WHEEL.offset - WHEEL.width / 2}
          width={WHEEL.length}
          height={WHEEL.width}
          fill="var(--sheet)"
          stroke="var(--quiet)"
          rx="6"
        />
      ))}
      <text x={x + 8} y={MIDDLE}>
        {axle} axle, not driven
      </text>
    </g>
  );
}
