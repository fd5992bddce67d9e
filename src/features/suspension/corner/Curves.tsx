'use client';

import clsx from 'clsx';
import frameCss from '@/ui/layout/frame.module.css';
import cornerCss from '@/features/suspension/corner/corner.module.css';
import Typography from '@mui/material/Typography';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { useMemo } from 'react';
import { articulationsOf, type EndOfBuild, travelsOver } from '@/core/worked/suspension/endOfBuild';
import { suspensionSweep } from '@/core/physics/corner/sweep';
import type { Station } from '@/core/physics/corner/station';
import { formatNumber } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';

const STATIONS = 61;

const CURVES: readonly {
  id: string;
  title: string;
  quantity: QuantityName;
  least: number;
  of(station: Station): number | undefined;
}[] = [
  { id: 'camber', title: 'Camber', quantity: 'angleDeg', least: 1, of: ({ camberDeg }) => camberDeg },
  { id: 'toe', title: 'Toe, in is positive', quantity: 'angleDeg', least: 0.5, of: ({ toeDeg }) => toeDeg },
  {
    id: 'rollCentre',
    title: 'Roll centre over the ground',
    quantity: 'lengthMm',
    least: 4,
    of: ({ rollCentreMm }) => rollCentreMm,
  },
  {
    id: 'motionRatio',
    title: 'Motion ratio',
    quantity: 'coefficient',
    least: 0.1,
    of: ({ motionRatio }) => motionRatio,
  },
  {
    id: 'track',
    title: 'Track change per wheel',
    quantity: 'lengthMm',
    least: 1,
    of: ({ trackChangeMm }) => trackChangeMm,
  },
  { id: 'caster', title: 'Caster', quantity: 'angleDeg', least: 0.5, of: ({ casterDeg }) => casterDeg },
  {
    id: 'scrub',
    title: 'Scrub radius',
    quantity: 'lengthMm',
    least: 1,
    of: ({ scrubRadiusMm }) => scrubRadiusMm,
  },
];

/** Stations of an end for its curves. */
export const curveOf = ({ corner, bumpMm, droopMm }: EndOfBuild): readonly Station[] =>
  suspensionSweep({ ...corner, travelMm: travelsOver(droopMm, bumpMm, STATIONS) }).stations;

interface CurvesProps {
  drawn: EndOfBuild;
  ghost: { label: string; drawn: EndOfBuild } | undefined;
  /** Where the left wheel stands. */
  travelMm: number;
  /** Where the springs hold it. */
  restMm?: number;
  /** What the dashed lines are called beside a ghost. */
  now?: string;
}

/** What the wheel does over its travel, bump to the right, with the place of the sliders. */
export function Curves({ drawn, ghost, travelMm, restMm, now }: CurvesProps) {
  const stations = useMemo(() => curveOf(drawn), [drawn]);
  const before = useMemo(() => (ghost ? curveOf(ghost.drawn) : undefined), [ghost]);
  const xs = stations.map((station) => station.travelMm);
  return (
    <section aria-label="Curves over the travel">
      {ghost ? (
        <Typography variant="small" color="textSecondary" sx={{ mt: 1 }}>
          Dashed: {now ?? 'as drawn'}. Thin: {ghost.label}.
        </Typography>
      ) : null}
      <div className={clsx(frameCss.charts, cornerCss.curves)}>
        {CURVES.filter(({ of }) => of(stations[0]!) !== undefined).map(
          ({ id, title, quantity, least, of }) => {
            const ys = stations.map((station) => of(station)!);
            const earlier = before?.filter((station) => of(station) !== undefined);
            const all = [...ys, ...(earlier?.map((station) => of(station)!) ?? [])];
            const [low, high] = [Math.min(...all), Math.max(...all)];
            const pad = Math.max(0.12 * (high - low), (least - (high - low)) / 2, 0);
            return (
              <LineChart
                key={id}
                title={title}
                testId={`curve-${id}`}
                width={206}
                height={146}
                small
                xQuantity="lengthMm"
                xName="droop − travel + bump"
                yQuantity={quantity}
                xMin={xs[0]!}
                xMax={xs.at(-1)!}
                yMin={low - pad}
                yMax={high + pad}
                lines={[
                  ...(earlier
                    ? [
                        {
                          id: 'ghost',
                          label: '',
                          style: 'earlier' as const,
                          xs: earlier.map((station) => station.travelMm),
                          ys: earlier.map((station) => of(station)!),
                        },
                      ]
                    : []),
                  { id, label: '', style: 'predicted' as const, xs, ys },
                ]}
                uprights={[
                  ...(restMm === undefined ? [] : [{ x: restMm, label: 'rest', wish: true }]),
                  ...(restMm === travelMm ? [] : [{ x: travelMm, label: '' }]),
                ]}
                summary={`From ${ys[0]!.toFixed(2)} at full droop to ${ys.at(-1)!.toFixed(2)} at full bump.`}
              />
            );
          },
        )}
        <Joints drawn={drawn} />
      </div>
    </section>
  );
}

const JOINTS: Readonly<Record<string, string>> = {
  lower: 'lower ball',
  upper: 'upper outer end',
  upperInner: 'upper inner end',
  tieInner: 'tie rod, inner end',
  tieOuter: 'tie rod, outer end',
};

/** How far each joint turns over travel and rack, against what it can. */
function Joints({ drawn }: { drawn: EndOfBuild }) {
  const { reader } = useReader();
  const limitDeg = drawn.corner.jointLimitDeg;
  const turns = useMemo(() => Object.entries(articulationsOf(drawn)), [drawn]);
  return (
    <Table size="small" className={cornerCss.joints} aria-label="Joints over the travel">
      <TableHead>
        <TableRow>
          <TableCell>Joints turn at most</TableCell>
          <TableCell align="right">
            {limitDeg === undefined ? '' : `of ${formatNumber(limitDeg, reader.locale, 3)}°`}
          </TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {turns.map(([name, most]) => {
          return (
            <TableRow key={name} data-joint={name}>
              <TableCell>{JOINTS[name]}</TableCell>
              <TableCell
                align="right"
                data-tone={limitDeg !== undefined && most > limitDeg ? 'fails' : undefined}
              >
                {formatNumber(most, reader.locale, 3)}°
              </TableCell>
            </TableRow>
          );
        })}
      </TableBody>
    </Table>
  );
}
