'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import clsx from 'clsx';
import figuresCss from '@/ui/Figure.module.css';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { steeringServo } from '@/core/worked/power/steeringServo';
import { useMemo } from 'react';
import {
  steerGeometryOf,
  type SteeringOfBuild,
  steeringOfBuild,
} from '@/core/worked/suspension/steeringOfBuild';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { useBuild, useBuildChecks } from '../session/BuildContext';
import { CheckFigure } from '../frame/CheckFigure';
import { DocumentField, Group } from '../fields/fields';
import { Bench, Charts, Readings } from '../frame/Guarded';
import type { SideProps } from './side';
import { TurnSketch } from './TurnSketch';
import { sound } from '../frame/sound';
import { LinkKinds, Links } from './SteeringLinks';
import { say } from '@/words/findings';

/** What the rack does to both front wheels, the circle, the links to be made, and whether the servo turns it all. */
export function SteeringSide({ tabs, foot }: SideProps) {
  const { document, ghost } = useBuild();
  const { reader } = useReader();
  const checks = useBuildChecks();
  const found = useMemo(() => sound(() => steeringOfBuild(document)), [document]);
  const before = useMemo(() => (ghost ? sound(() => steeringOfBuild(ghost.document)) : undefined), [ghost]);
  const servo = steeringServo(document);
  const effort = checks.find(({ id }) => id === 'steering.effort');
  return (
    <>
      <Bench>
        <Group title="Rack and servo">
          <DocumentField path={['suspension', 'steering', 'lockMm']} example={7} />
          <DocumentField path={['suspension', 'steering', 'hornMm']} example={14} />
          {servo ? (
            <>
              <DocumentField path={['power', 'loads', servo.id, 'steer', 'contactWidthMm']} example={25} />
              <DocumentField path={['power', 'loads', servo.id, 'steer', 'linkageEfficiency']} usual={0.8} />
            </>
          ) : (
            <Typography color="textSecondary">No servo yet: hang one on the supply under Power.</Typography>
          )}
        </Group>
        <LinkKinds />
      </Bench>
      <Readings>
        {tabs}
        {found.ok ? (
          <Answer
            found={found.value}
            effort={
              effort?.value !== undefined && effort.limit !== undefined
                ? { value: effort.value, limit: effort.limit, over: effort.state === 'over' }
                : undefined
            }
          />
        ) : (
          <StillNeeds missing={found.missing} />
        )}
        {found.ok ? (
          <Charts>
            <TurnSketch
              found={found.value}
              wheelbaseMm={document.chassis.wheelbaseMm!}
              trackRearMm={document.chassis.trackRearMm ?? 2 * found.value.corner.wheelCentre[1]}
            />
            <Angles
              found={found.value}
              ghost={before?.ok ? { label: ghost!.label, found: before.value } : undefined}
            />
          </Charts>
        ) : null}
        {found.ok && found.value.geometry.findings.length > 0 ? (
          <Note tone="bad">
            {say(found.value.geometry.findings[0]!.why, reader)}{' '}
            {found.value.geometry.findings[0]!.remedy
              ? say(found.value.geometry.findings[0]!.remedy, reader)
              : ''}
          </Note>
        ) : null}
        <Links />
        {foot}
      </Readings>
    </>
  );
}

function Answer({
  found,
  effort,
}: {
  found: SteeringOfBuild;
  effort: { value: number; limit: number; over: boolean } | undefined;
}) {
  const { document } = useBuild();
  const { reader } = useReader();
  const full = found.geometry.rows.at(-1);
  const drawn = steerGeometryOf(document);
  if (!full || full.turnRadiusM === undefined)
    return (
      <Typography variant="answer">
        The rack does not turn both wheels as far as {formatText(found.lockMm, 'lengthMm', reader)}.
      </Typography>
    );
  const deg = (value: number) => `${formatNumber(value, reader.locale, 3)}°`;
  return (
    <Typography variant="answer">
      At full lock it turns in a circle{' '}
      <span className={clsx(figuresCss.figure, figuresCss.plainfig)} data-testid="circle">
        {formatText(2 * full.turnRadiusM, 'distanceM', reader)}
      </span>{' '}
      across, the inner wheel at {deg(full.innerDeg!)}, the outer at {deg(full.outerDeg!)}:{' '}
      <span data-testid="ackermann">{formatText(full.ackermannPct!, 'percent', reader, 2)}</span> Ackermann.
      {effort ? (
        <>
          {' '}
          The servo gives{' '}
          <CheckFigure check="steering.effort" title="the servo" tone={effort.over ? 'over' : ''}>
            {formatText(effort.value, 'torqueNm', reader)}
          </CheckFigure>{' '}
          where standing wheels ask {formatText(effort.limit, 'torqueNm', reader)}.
        </>
      ) : null}
      {drawn?.servoDeg === undefined ? '' : ` Its horn swings ${deg(drawn.servoDeg)} each way.`}
    </Typography>
  );
}

/** Wheel angles over the rack, with the inner wheel that would roll without scrubbing. */
function Angles({
  found,
  ghost,
}: {
  found: SteeringOfBuild;
  ghost: { label: string; found: SteeringOfBuild } | undefined;
}) {
  const { document } = useBuild();
  const rowsOf = ({ geometry }: SteeringOfBuild) =>
    geometry.rows.filter(({ rackMm, innerDeg }) => rackMm >= 0 && innerDeg !== undefined);
  const rows = rowsOf(found);
  const xs = rows.map(({ rackMm }) => rackMm);
  const ideal = rows.map(({ outerDeg }) => {
    const rad = Math.PI / 180;
    return (
      Math.atan(1 / (1 / Math.tan(outerDeg! * rad) - found.groundTrackMm / document.chassis.wheelbaseMm!)) /
      rad
    );
  });
  const earlier = ghost ? rowsOf(ghost.found) : undefined;
  return (
    <LineChart
      title="Wheel angles over the rack"
      width={430}
      height={280}
      testId="angles"
      xQuantity="lengthMm"
      xName="rack"
      yQuantity="angleDeg"
      yName="steer"
      xMax={xs.at(-1) ?? 1}
      yMax={1.1 * Math.max(...ideal, ...rows.map(({ innerDeg }) => innerDeg!))}
      lines={[
        ...(earlier
          ? [
              {
                id: 'ghost',
                label: ghost!.label,
                style: 'earlier' as const,
                xs: earlier.map(({ rackMm }) => rackMm),
                ys: earlier.map(({ innerDeg }) => innerDeg!),
                labelAt: 0.5,
              },
            ]
          : []),
        {
          id: 'ideal',
          label: 'inner without scrub',
          style: 'earlier',
          xs,
          ys: ideal,
          labelAt: 0.55,
        },
        {
          id: 'inner',
          label: 'inner',
          style: 'predicted',
          xs,
          ys: rows.map(({ innerDeg }) => innerDeg!),
          labelAt: 0.7,
        },
        {
          id: 'outer',
          label: 'outer',
          style: 'predictedQuiet',
          xs,
          ys: rows.map(({ outerDeg }) => outerDeg!),
          labelAt: 0.97,
        },
      ]}
      summary={`Inner ${rows.at(-1)?.innerDeg?.toFixed(1)}°, outer ${rows.at(-1)?.outerDeg?.toFixed(1)}° at full lock.`}
    />
  );
}
