'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import { type ReactNode, useMemo } from 'react';
import { motorsApart, motorsInWheels } from '@/core/car/document/drive';
import { motorsInAll } from '@/core/car/document/motors';
import {
  leadsSwapped,
  rotationOf,
  type RotationOfBuild,
  sameTeeth,
  type Turned,
  turnedAbout,
} from '@/core/worked/drive/rotationOfBuild';
import { FIGHTS_PCT, SCRUBS_PCT } from '@/core/physics/gears/rotation';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../../session/BuildContext';
import { CheckFigure } from '../../frame/CheckFigure';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { Differentials } from './Differentials';
import { TurnOnTheSpot } from './TurnOnTheSpot';
import { UnlikeMotors } from './UnlikeMotors';
import { RotationSketch } from './RotationSketch';
import { sound } from '../../frame/sound';
import { Apart } from '../../frame/Guarded';
import { Ask } from '../../frame/Ask';
import { say } from '@/words/findings';

/** Which way every wheel turns, and what the differentials do. */
export function LayoutView() {
  const { document } = useBuild();
  const { drive } = document;
  const found = useMemo(() => sound(() => rotationOf(drive)), [drive]);
  return (
    <Apart>
      <Ask>
        {found.ok ? <LayoutAnswer rotation={found.value} /> : <StillNeeds missing={found.missing} />}
        <SurfaceSwitch />
      </Ask>
      {found.ok ? (
        <>
          <Fixes rotation={found.value} />
          <RotationSketch drive={drive} rotation={found.value} />
        </>
      ) : null}
      <InTheWheel />
      <UnlikeMotors />
      <TurnOnTheSpot />
      <Differentials />
      <SegmentChecks segment="drive" side="layout" />
      <WorkingPanel />
    </Apart>
  );
}

function LayoutAnswer({ rotation }: { rotation: RotationOfBuild }) {
  const { reader } = useReader();
  const { paths, agree, ratioMismatchPct } = rotation;
  const ratio = (value: number) => `${formatNumber(value, reader.locale, 3)} : 1`;
  if (!agree)
    return (
      <Typography variant="answer">
        The axles <Ratio tone="over">drive against each other</Ratio>:{' '}
        {paths.map(({ axle, rolls }) => `the ${axle} rolls ${rolls}`).join(', ')}.
      </Typography>
    );
  const [first] = paths;
  if (first!.rolls === 'backward')
    return (
      <Typography variant="answer">
        The car <Ratio tone="tight">drives backward</Ratio>.
      </Typography>
    );
  if (paths.length === 1)
    return (
      <Typography variant="answer">
        The {first!.axle} axle rolls forward at <Ratio>{ratio(first!.ratio)}</Ratio>.
      </Typography>
    );
  if (ratioMismatchPct >= SCRUBS_PCT)
    return (
      <Typography variant="answer">
        Both axles roll forward, but at{' '}
        <Ratio tone={ratioMismatchPct > FIGHTS_PCT ? 'over' : 'tight'}>
          {paths.map(({ ratio: own }) => ratio(own)).join(' and ')}
        </Ratio>
        : one scrubs its tyres by {formatNumber(ratioMismatchPct, reader.locale, 2)} %.
      </Typography>
    );
  return (
    <Typography variant="answer">
      Both axles roll forward at <Ratio>{ratio(first!.ratio)}</Ratio>.
    </Typography>
  );
}

const Ratio = ({ tone, children }: { tone?: string; children: ReactNode }) => (
  <CheckFigure check="drive.rotation" title="the ratio of each axle" tone={tone}>
    {children}
  </CheckFigure>
);

/** The fix stands beside the fault. */
function Fixes({ rotation }: { rotation: RotationOfBuild }) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const { agree, paths, ratioMismatchPct } = rotation;
  const backward = paths.filter(({ rolls }) => rolls === 'backward');
  const scrubs = agree && ratioMismatchPct >= SCRUBS_PCT;
  if (backward.length === 0 && !scrubs) return null;
  const fixes: Turned[] = !agree
    ? backward.flatMap(({ axle }) => turnedAbout(document.drive, axle) ?? [])
    : [
        ...(backward.length > 0 ? [leadsSwapped(document.drive)] : []),
        ...(scrubs ? sameTeeth(document.drive) : []),
      ];
  return (
    <Note tone="bad" role="alert">
      <p>
        {agree
          ? `${backward.length > 0 ? 'The car rolls backward when the throttle says forward. ' : ''}${scrubs ? 'One axle drags the other along: tyres, pack and gears pay for it.' : ''}`
          : !motorsApart(document.drive)
            ? 'Under power the gears tear at each other until the weakest tooth goes.'
            : 'Under power the motors pull against each other: tyres scrub, motors and controllers overheat.'}
      </p>
      <Row sx={{ mt: 0.5 }}>
        {fixes.map((fix) => (
          <Button
            variant="contained"
            key={JSON.stringify(fix.patch)}
            disabled={closed}
            onClick={() => edit(fix.patch)}
          >
            {say(fix.says, reader)}
          </Button>
        ))}
        {fixes.length === 0 ? (
          <span>
            {agree
              ? 'Give both axles the same teeth.'
              : 'Add or remove one pair of spur gears on the way to one axle.'}
          </span>
        ) : null}
      </Row>
    </Note>
  );
}

/** What a motor in the wheel adds to what the springs do not carry. */
function InTheWheel() {
  const { document } = useBuild();
  const { reader } = useReader();
  const { drive } = document;
  if (!motorsInWheels(drive) || !drive.motor || !drive.tyre) return null;
  const perWheel = (motorsInAll(drive) * drive.motor.massG) / 4;
  const more = 1 + perWheel / drive.tyre.massG;
  return (
    <Note>
      Motors in the wheels make each corner {formatNumber(more, reader.locale, 2)} times as heavy as wheel and
      tyre alone, and none of it is sprung: it follows bumps worse and hits harder. The heat is worked out
      with hardly any wind on the motor.
    </Note>
  );
}
