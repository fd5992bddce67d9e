'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import { Page } from '@/ui/layout/Page';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import { finding } from '@/core/base/finding';
import { say, sayAll } from '@/words/findings';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import type { ChosenSurface } from '@/core/car/document/brief';
import { bodiesOf, type PlacedBody } from '@/core/worked/chassis/bodiesOfBuild';
import { type Standing, standingOf } from '@/core/worked/standing/standingOfBuild';
import { weightOf } from '@/core/worked/chassis/weightOfBuild';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { PlanSketch } from '@/ui/PlanSketch';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../session/BuildContext';
import { CheckFigure } from '../frame/CheckFigure';
import { SegmentSides } from '../frame/SegmentSides';
import { useSide } from '../frame/sides';
import { SegmentChecks } from '../frame/SegmentChecks';
import { SurfaceSwitch } from '../frame/SurfaceSwitch';
import { Apart, Bench, Charts, Readings } from '../frame/Guarded';
import { RoomBench } from './space/RoomBench';
import { CarDrawing } from './CarDrawing';
import { ChassisBench } from './ChassisBench';
import { WhatIfTable } from './WhatIfTable';
import { sound } from '../frame/sound';
import { Ask } from '../frame/Ask';
import { renamed } from '@/core/base/finding';

const AirSide = dynamic(() => import('./air/AirSide').then(({ AirSide: Side }) => Side));
const AirBench = dynamic(() => import('./air/AirBench').then(({ AirBench: Fields }) => Fields));
const StabilitySide = dynamic(() => import('./air/StabilitySide').then(({ StabilitySide: Side }) => Side));
const SpaceSide = dynamic(() => import('./space/SpaceSide').then(({ SpaceSide: Side }) => Side));

const standing = (document: BuildDocument, surface: ChosenSurface | undefined) =>
  standingOf({ document, surface });

/** Where the weight sits and what the air does: components to scale, wheel loads, whether it slides or rolls. */
export function ChassisPage() {
  const { document } = useBuild();
  const { side, show } = useSide('chassis');
  const [chosen, choose] = useState<string>();
  const [element, chooseElement] = useState<string>();
  const bodies = useMemo(() => bodiesOf(document), [document]);
  return (
    <Page>
      <Bench>
        {side === 'space' ? <RoomBench /> : null}
        {side === 'air' ? <AirBench chosen={element} onChoose={chooseElement} /> : null}
        <ChassisBench bodies={bodies} chosen={chosen} onChoose={choose} />
      </Bench>
      <Readings>
        <SegmentSides segment="chassis" label="Sides of the chassis" shown={side} onShow={show} />
        {side === 'air' ? (
          <AirSide chosen={element} onChoose={chooseElement} />
        ) : side === 'stability' ? (
          <StabilitySide />
        ) : side === 'space' ? (
          <SpaceSide onChoose={choose} />
        ) : (
          <LayoutSide bodies={bodies} chosen={chosen} onChoose={choose} />
        )}
      </Readings>
    </Page>
  );
}

interface LayoutSideProps {
  bodies: readonly PlacedBody[];
  chosen: string | undefined;
  onChoose(id: string | undefined): void;
}

function LayoutSide({ bodies, chosen, onChoose: choose }: LayoutSideProps) {
  const { document, surface, ghost } = useBuild();
  const { reader } = useReader();
  const weight = useMemo(() => sound(() => weightOf(document)), [document]);
  const found = useMemo(() => standing(document, surface), [document, surface]);
  const before = useMemo(() => (ghost ? standing(ghost.document, surface) : undefined), [ghost, surface]);
  const other = before && 'weight' in before ? before : undefined;
  // while the figures of the scale count, the boxes may still be seen and dragged
  const drawn = weight.ok ? weight.value : undefined;
  return (
    <Apart>
      <Ask>
        {'outside' in found ? (
          <Typography variant="answer">
            {say(finding('chassis.outside', { where: found.outside }), reader)}
          </Typography>
        ) : 'missing' in found ? (
          <StillNeeds missing={found.missing} />
        ) : (
          <StandingAnswer found={found} ghost={other ? { label: ghost!.label, found: other } : undefined} />
        )}
        <SurfaceSwitch />
      </Ask>
      {drawn && bodies.length > 0 ? (
        <Charts>
          <CarDrawing view="plan" weight={drawn} ghost={other?.weight} chosen={chosen} onChoose={choose} />
          <CarDrawing view="side" weight={drawn} ghost={other?.weight} chosen={chosen} onChoose={choose} />
        </Charts>
      ) : (
        <PlanSketch
          chassis={document.chassis}
          tyreRadiusMm={document.drive.tyre?.radiusMm}
          driven={document.drive.drivenAxles}
          width={560}
        />
      )}
      {drawn?.balance?.findings
        .filter(({ about }) => about !== 'leftLoadShare')
        .map(({ about, why, remedy, severity }) => (
          <Note key={about} tone={severity === 'over' ? 'bad' : 'caution'}>
            {sayAll(
              [why, ...(remedy ? [remedy] : [])].map((one) =>
                renamed(one, (word) =>
                  word === about ? (bodies.find(({ id }) => id === about)?.name ?? about) : word,
                ),
              ),
              reader,
            )}
          </Note>
        ))}
      <TakeOver />
      <SegmentChecks segment="chassis" side="layout" />
      {!('weight' in found) ? null : <WhatIfTable present={found} />}
      <WorkingPanel />
    </Apart>
  );
}

function StandingAnswer({
  found: { weight, stability, mu, cornerRadiusM },
  ghost,
}: {
  found: Standing;
  ghost: { label: string; found: Standing } | undefined;
}) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const tips = stability.outcome === 'tips';
  const share = 1 + weight.cgMm[0] / document.chassis.wheelbaseMm!;
  const number = (value: number) => formatNumber(value, reader.locale, 3);
  const { tipSpeedMps, slideSpeedMps } = stability;
  return (
    <Typography variant="answer">
      On {surface!.name.toLowerCase()} it{' '}
      <CheckFigure check="chassis.tip" title="slide or roll" tone={tips ? 'over' : ''}>
        <span data-testid="outcome">{tips ? 'rolls over before it slides' : 'slides before it rolls'}</span>
      </CheckFigure>
      : stability factor {number(stability.staticStabilityFactor)} against a grip of {number(mu)}
      {ghost ? (
        <Typography component="span" color="textSecondary">
          {' '}
          ({ghost.label}: {number(ghost.found.stability.staticStabilityFactor)})
        </Typography>
      ) : null}
      .{' '}
      {tipSpeedMps === undefined || cornerRadiusM === undefined
        ? ''
        : `In a corner of ${formatText(cornerRadiusM, 'distanceM', reader)} it ${tips ? `tips at ${formatText(tipSpeedMps, 'speedMps', reader)}` : `slides at ${formatText(slideSpeedMps!, 'speedMps', reader)}`}. `}
      <span data-testid="front-share">{formatText(share, 'share', reader)}</span> of{' '}
      {formatText(weight.massG, 'massG', reader, 4)} sits on the front axle,{' '}
      {formatText(weight.cgMm[2], 'lengthMm', reader)} high.
    </Typography>
  );
}

const [SHARE_OFF, HEIGHT_OFF_MM] = [0.005, 1];

/** The figures that the drive reckons with, where the components say otherwise. */
function TakeOver() {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const weight = weightOf(document);
  if (!weight.ok || !weight.value.balance || closed) return null;
  const { frontLoadShare, cgHeightMm } = document.chassis;
  const { balance } = weight.value;
  const height = balance.cgMm[2];
  const same =
    frontLoadShare !== undefined &&
    cgHeightMm !== undefined &&
    Math.abs(frontLoadShare - balance.frontLoadShare) < SHARE_OFF &&
    Math.abs(cgHeightMm - height) < HEIGHT_OFF_MM;
  if (same || balance.frontLoadShare <= 0 || balance.frontLoadShare >= 1 || height <= 0) return null;
  return (
    <Note tone="ask">
      The components put {formatText(balance.frontLoadShare, 'share', reader)} on the front axle,{' '}
      {formatText(height, 'lengthMm', reader)} high; the drive still uses{' '}
      {frontLoadShare === undefined ? 'nothing' : formatText(frontLoadShare, 'share', reader)} and{' '}
      {cgHeightMm === undefined ? 'nothing' : formatText(cgHeightMm, 'lengthMm', reader)}.{' '}
      <Button
        variant="link"
        onClick={() =>
          edit([
            { path: ['chassis', 'frontLoadShare'], value: Number(balance.frontLoadShare.toFixed(3)) },
            { path: ['chassis', 'cgHeightMm'], value: Number(height.toFixed(1)) },
          ])
        }
      >
        Take the components&rsquo; figures
      </Button>
    </Note>
  );
}
