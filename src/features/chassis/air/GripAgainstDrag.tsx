'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import Typography from '@mui/material/Typography';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useMemo } from 'react';
import { airAt, airOf } from '@/core/physics/motion/air';
import { worked } from '@/core/worked/worked';
import { formatText } from '@/core/base/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { Charts } from '../../frame/Guarded';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { Ask } from '../../frame/Ask';

const SHOWN_TO = 1.6;

/** Grip of the driven tyres against all that holds the car back, over speed, and where drag outruns grip. */
export function GripAgainstDrag() {
  'use memo';
  const { document, surface, ghost } = useBuild();
  const { reader } = useReader();
  const input = useMemo(() => worked(document, surface).runInput(), [document, surface]);
  const air = useMemo(() => (input.ok ? airOf(input.value) : undefined), [input]);
  const other = useMemo(() => {
    const before = ghost ? worked(ghost.document, surface).runInput() : undefined;
    return before?.ok ? airOf(before.value) : undefined;
  }, [ghost, surface]);
  if (!input.ok || !air) return <StillNeeds missing={input.ok ? ['brief.surfaces'] : input.missing} />;
  const speed = (mps: number) => formatText(mps, 'speedMps', reader);
  const force = (newton: number) => formatText(newton, 'forceN', reader);
  const wish = document.brief.targetMps;
  const top = worked(document, surface).run();
  const rows = [
    ...(wish === undefined ? [] : [{ at: 'At the wished speed', mps: wish }]),
    ...(top?.topSpeedMps === undefined ? [] : [{ at: 'At top speed', mps: top.topSpeedMps }]),
  ].map(({ at, mps }) => ({ at, mps, ...airAt(input.value, mps) }));
  const said =
    air.outrunMps === undefined
      ? 'Downforce keeps grip ahead of drag at every speed.'
      : `Drag outruns grip at ${speed(air.outrunMps)}.`;
  const most = Math.max(...air.gripN);
  return (
    <>
      <Ask>
        <Typography variant="answer" data-testid="air-answer">
          {said}
          {air.outrunMps === undefined || wish === undefined
            ? ''
            : ` The wish is ${speed(wish)}: ${air.outrunMps > wish ? 'grip is left over' : 'no motor reaches it on these tyres'}.`}
        </Typography>
        <SurfaceSwitch />
      </Ask>
      <Charts>
        <LineChart
          title={`Grip and drag against speed, ${surface!.name.toLowerCase()}`}
          testId="air-chart"
          width={860}
          height={300}
          xQuantity="speedMps"
          yQuantity="forceN"
          xMax={air.speedMps.at(-1)!}
          yMax={1.12 * Math.max(most, ...air.resistanceN.filter((value) => value <= SHOWN_TO * most))}
          lines={[
            ...(other
              ? [
                  {
                    id: 'ghost-resistance',
                    label: ghost!.label,
                    style: 'earlier' as const,
                    xs: other.speedMps,
                    ys: other.resistanceN,
                    labelAt: 0.75,
                  },
                ]
              : []),
            {
              id: 'grip',
              label: 'grip of the driven tyres',
              style: 'predictedQuiet',
              xs: air.speedMps,
              ys: air.gripN,
              labelAt: 0.1,
            },
            {
              id: 'resistance',
              label: 'drag and rolling',
              style: 'predicted',
              xs: air.speedMps,
              ys: air.resistanceN,
              labelAt: 0.5,
            },
          ]}
          uprights={
            air.outrunMps === undefined
              ? []
              : [{ x: air.outrunMps, label: `drag outruns grip, ${speed(air.outrunMps)}` }]
          }
          summary={said}
        />
      </Charts>
      {rows.length > 0 ? (
        <Table size="small" aria-label="Grip and drag by speed">
          <TableHead>
            <TableRow>
              <TableCell>Where</TableCell>
              <TableCell align="right">Speed</TableCell>
              <TableCell align="right">Grip of the driven tyres</TableCell>
              <TableCell align="right">Drag and rolling</TableCell>
              <TableCell align="right">Left over</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map(({ at, mps, gripN, resistanceN }) => (
              <TableRow key={at}>
                <TableCell>{at}</TableCell>
                <TableCell align="right">{speed(mps)}</TableCell>
                <TableCell align="right">{force(gripN)}</TableCell>
                <TableCell align="right">{force(resistanceN)}</TableCell>
                <TableCell align="right">{force(gripN - resistanceN)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      ) : null}
      <Typography color="textSecondary">
        Downforce grows with the square of speed like drag; lift on an axle takes grip away.
      </Typography>
    </>
  );
}
