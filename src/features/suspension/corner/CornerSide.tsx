'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import clsx from 'clsx';
import frameCss from '@/ui/layout/frame.module.css';
import figuresCss from '@/ui/Figure.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { End } from '@/core/car/document/suspension';
import { AS_DRAWN_MM } from '@/core/verdict/suspension/ride/sag.check';
import { endOf } from '@/core/worked/suspension/endOfBuild';
import { restOf } from '@/core/worked/suspension/restOfBuild';
import { rateAsDrawn, springPatch } from '@/core/worked/suspension/rideOfBuild';
import { offDrawnWords } from '@/words/checks/chassis';
import { firstUp } from '@/words/lists';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { Bench, Readings } from '../../frame/Guarded';
import { CornerBench } from './CornerBench';
import { CornerReadings } from './CornerReadings';
import { CornerViews } from './CornerViews';
import { Curves } from './Curves';
import type { SideProps } from '../side';
import { AS_DRAWN, bothSides, type CornerMotion, type Motion, useCornerMotion } from './useCornerMotion';
import { refusalText } from '@/words/refusals/problemOf';
import { sayAll } from '@/words/findings';

const SpaceView = dynamic(() => import('./SpaceView').then(({ SpaceView: View }) => View), {
  ssr: false,
  loading: () => <Box sx={{ height: 330 }} />,
});

/** Findings of the sweep that no check stands for. */
const SAID_HERE = ['wheelCentre', 'damper', 'rocker'];

/** Hard points of one end: three views to drag them in, or the corner in space, with the linkage moving. */
export function CornerSide({ end, tabs, foot }: SideProps) {
  const { document, ghost } = useBuild();
  const { reader } = useReader();
  const [moved, move] = useState<Motion>();
  const [chosen, choose] = useState<string>();
  const [inSpace, show] = useState(false);
  const state = useCornerMotion(document, end, moved);
  const { motion } = state;
  const before = useMemo(() => {
    const found = ghost ? endOf(ghost.document, end) : undefined;
    return found?.ok
      ? { label: ghost!.label, drawn: found.value, ...bothSides(found.value.corner, motion) }
      : undefined;
  }, [ghost, end, motion]);
  return (
    <>
      <Bench>
        <CornerBench end={end} state={state} onMove={move} chosen={chosen} onChoose={choose} />
      </Bench>
      <Readings>
        {tabs}
        <Answer end={end} state={state} />
        {state.drawn && state.left && state.right ? (
          <Box sx={dimmedWhen(state.stale)}>
            <div className={frameCss.viewbar}>
              <Toggles label="Picture">
                <Toggle size="small" pressed={!inSpace} onPress={() => show(false)}>
                  Three views
                </Toggle>
                <Toggle size="small" pressed={inSpace} onPress={() => show(true)}>
                  In space
                </Toggle>
              </Toggles>
            </div>
            {inSpace ? (
              <SpaceView corner={state.drawn.corner} left={state.left} right={state.right} />
            ) : (
              <CornerViews
                end={end}
                corner={state.drawn.corner}
                left={state.left}
                right={state.right}
                motion={motion}
                ghost={before}
                chosen={chosen}
                onChoose={choose}
                onDrawn={() => move(AS_DRAWN)}
              />
            )}
            <CornerReadings
              left={state.left}
              right={state.right}
              motion={motion}
              rakeDeg={document.chassis.rakeDeg ?? 0}
            />
            {state.drawn.sweep.findings
              .filter(({ about }) => SAID_HERE.includes(about))
              .map(({ about, why, remedy }) => (
                <Note key={about + why.code}>{sayAll(remedy ? [why, remedy] : [why], reader)}</Note>
              ))}
            <RestNote end={end} restMm={state.restMm} />
            <TrackNote end={end} contactMm={restOf(document, end)?.station.points.contact[1]} />
            <Curves
              drawn={state.drawn}
              ghost={before}
              travelMm={state.left.station.travelMm}
              restMm={state.restMm}
            />
          </Box>
        ) : null}
        {foot}
      </Readings>
    </>
  );
}

/** The springs hold it elsewhere than it is drawn: where, and the springs that would hold it as drawn. */
function RestNote({ end, restMm }: { end: End; restMm: number }) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  if (Math.abs(restMm) <= AS_DRAWN_MM) return null;
  const rate = rateAsDrawn(document, end);
  const by = formatText(Math.abs(restMm), 'lengthMm', reader, 2);
  return (
    <Note data-testid="rest-note">
      {firstUp(offDrawnWords({ by, car: restMm < 0 ? 'higher' : 'lower' }))}: what is read at rest is read
      there.{' '}
      {closed || rate === undefined ? null : (
        <Button variant="link" onClick={() => edit(springPatch(document, end, rate))}>
          Take springs that hold it as drawn
        </Button>
      )}
    </Note>
  );
}

const SAME_TRACK_MM = 1;

/** The corner stands on another track than the chassis says. */
function TrackNote({ end, contactMm }: { end: End; contactMm: number | undefined }) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const key = end === 'front' ? 'trackFrontMm' : 'trackRearMm';
  const trackMm = document.chassis[key];
  if (contactMm === undefined || trackMm === undefined || Math.abs(2 * contactMm - trackMm) <= SAME_TRACK_MM)
    return null;
  const drawn = Number((2 * contactMm).toFixed(1));
  return (
    <Note tone="ask">
      These points stand on a track of {formatText(drawn, 'lengthMm', reader, 4)}; the chassis says{' '}
      {formatText(trackMm, 'lengthMm', reader, 4)}.{' '}
      {closed ? null : (
        <Button variant="link" onClick={() => edit([{ path: ['chassis', key], value: drawn }])}>
          Take the corner&rsquo;s track
        </Button>
      )}
    </Note>
  );
}

function Answer({
  end,
  state: { found, drawn, left, right },
}: {
  end: 'front' | 'rear';
  state: CornerMotion;
}) {
  const { document } = useBuild();
  const { reader } = useReader();
  const number = (value: number, digits = 2) => formatNumber(value, reader.locale, digits);
  if (!found.ok && found.refused)
    return (
      <Typography variant="answer">
        <span className={clsx(figuresCss.figure, figuresCss.over)}>
          {found.refused.path === '' ? 'The corner' : found.refused.path}
        </span>{' '}
        {refusalText(found.refused, reader)}. The last corner that moved is shown.
      </Typography>
    );
  if (!found.ok)
    return found.missing.includes(`suspension.${end}.corner`) ? (
      <Typography variant="answer">{`No ${end} corner yet: start from one of the four, then move its points.`}</Typography>
    ) : (
      <StillNeeds missing={found.missing} />
    );
  const stopped = left?.stoppedAt ?? right?.stoppedAt;
  if (stopped)
    return (
      <Typography variant="answer">
        The linkage <span className={clsx(figuresCss.figure, figuresCss.over)}>locks</span> at{' '}
        {formatText(stopped.travelMm, 'lengthMm', reader)} of travel
        {stopped.rackMm === 0 ? '' : ` and ${formatText(stopped.rackMm, 'lengthMm', reader)} of rack`}: a link
        stands in line there.
      </Typography>
    );
  const { stations } = drawn!.sweep;
  const [low, high] = [stations[0]!, stations.at(-1)!];
  const rest = restOf(document, end)?.station ?? stations.find(({ travelMm }) => travelMm === 0)!;
  const toe = Math.max(...stations.map(({ toeDeg }) => Math.abs(toeDeg - rest.toeDeg)));
  return (
    <Typography variant="answer">
      From full droop to full bump the {end} wheel leans from {number(low.camberDeg)}° over{' '}
      {number(rest.camberDeg)}° at rest to <span data-testid="camber-at-bump">{number(high.camberDeg)}°</span>{' '}
      and its toe strays by <span data-testid="toe-strays">{number(toe)}°</span>.{' '}
      {rest.rollCentreMm === undefined
        ? ''
        : `Roll centre ${formatText(Math.abs(rest.rollCentreMm), 'lengthMm', reader)} ${rest.rollCentreMm >= 0 ? 'over' : 'under'} the ground at rest.`}
    </Typography>
  );
}
