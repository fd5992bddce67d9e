'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import { useMemo } from 'react';
import { tyreRateOf } from '@/core/worked/suspension/landingOfBuild';
import { inWheelCost, rideOf, type RideOfBuild } from '@/core/worked/suspension/rideOfBuild';
import { workerOf } from '@/workers/clients';
import { useWorked } from '../session/useWorked';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { CheckFigure } from '../frame/CheckFigure';
import { DocumentChoice, DocumentField, Group } from '../fields/fields';
import { Bench, Charts, Readings } from '../frame/Guarded';
import type { SideProps } from './side';
import { TravelGauge } from './corner/TravelGauge';
import { sound } from '../frame/sound';
import { SpringChoices, USUAL_SAG_PCT } from './SpringChoices';
import { ForceChart } from './ForceChart';

/** Whether the springs of one end carry it: sag, frequency, damping, landing, and what sits unsprung. */
export function RideSide({ end, tabs, foot }: SideProps) {
  const { document, ghost } = useBuild();
  const { reader } = useReader();
  const found = useMemo(() => sound(() => rideOf(document, end)), [document, end]);
  const before = useMemo(() => (ghost ? sound(() => rideOf(ghost.document, end)) : undefined), [ghost, end]);
  const path = (key: string) => ['suspension', end, key];
  const own = document.suspension[end] ?? {};
  const choices = useWorked(found.ok ? () => workerOf('suspension').springs(document, end) : undefined, [
    document,
    end,
  ]);
  const earlier = useWorked(
    ghost && before?.ok ? () => workerOf('suspension').springs(ghost.document, end) : undefined,
    [ghost?.document, end],
  );
  const dropOf = (from: typeof choices) => from.value?.find(({ id }) => id === 'asItIs')?.maxDropM;
  return (
    <>
      <Bench>
        <Group title={`Spring, a ${end} wheel`}>
          <DocumentChoice
            path={path('springBy')}
            label="Given by"
            options={[
              ['rate', 'its rate'],
              ['wire', 'its wire'],
            ]}
            empty="its rate"
          />
          {own.springBy === 'wire' ? (
            <>
              <DocumentField path={path('wireMm')} label="Wire" example={1.2} />
              <DocumentField path={path('meanDiameterMm')} label="Coil, middle of the wire" example={14} />
              <DocumentField path={path('activeCoils')} label="Coils free to twist" example={7} />
            </>
          ) : (
            <DocumentField path={path('rateNPerMm')} label="Rate" example={0.8} />
          )}
          <DocumentField path={path('preloadMm')} label="Preload at full droop" usual={0} />
          {found.ok && found.value.spring ? (
            <Typography variant="small" color="textSecondary">
              {formatText(found.value.spring.rateNPerMm, 'rateNPerMm', reader)}, index{' '}
              {formatNumber(found.value.spring.index, reader.locale, 3)}, solid at{' '}
              {formatText(found.value.spring.solidLengthMm, 'lengthMm', reader)}. Music wire.
            </Typography>
          ) : null}
        </Group>
        <Group title="Damper">
          <DocumentField path={path('damperNsPerM')} label="Damper" example={30} />
        </Group>
        <Group title="Aimed at">
          <DocumentField path={path('targetSagPct')} label="Sag" usual={USUAL_SAG_PCT} />
          <DocumentField path={['brief', 'dropHeightM']} label="Lands from" example={0.2} />
        </Group>
        <Group title="Travel, and what moves with the wheel">
          <DocumentField path={path('bumpMm')} label="Bump travel" example={16} />
          <DocumentField path={path('droopMm')} label="Droop travel" example={10} />
          <DocumentField path={path('unsprungG')} label="Carrier, hub, half the arms" example={40} />
          {document.drive.tyre ? (
            <DocumentField
              path={['drive', 'tyre', 'rateNPerMm']}
              usual={tyreRateOf({ ...document.drive.tyre, rateNPerMm: undefined })}
            />
          ) : null}
        </Group>
      </Bench>
      <Readings>
        {tabs}
        {found.ok ? (
          <RideAnswer
            end={end}
            found={found.value}
            maxDropM={dropOf(choices)}
            ghost={
              before?.ok ? { label: ghost!.label, found: before.value, maxDropM: dropOf(earlier) } : undefined
            }
          />
        ) : (
          <StillNeeds missing={found.missing} />
        )}
        {found.ok ? (
          <>
            <Charts>
              <TravelGauge
                input={found.value.input}
                ride={found.value.ride}
                ghost={before?.ok ? { label: ghost!.label, sagMm: before.value.ride.sagMm } : undefined}
              />
              <ForceChart found={found.value} />
            </Charts>
            <SpringChoices end={end} found={found.value} choices={choices.value ?? []} />
            <Unsprung end={end} found={found.value} />
          </>
        ) : null}
        {foot}
      </Readings>
    </>
  );
}

function RideAnswer({
  end,
  found: { ride, input },
  maxDropM,
  ghost,
}: {
  end: string;
  found: RideOfBuild;
  maxDropM: number | undefined;
  ghost: { label: string; found: RideOfBuild; maxDropM: number | undefined } | undefined;
}) {
  const { reader } = useReader();
  const { document } = useBuild();
  const wish = document.brief.dropHeightM;
  const drop = (value: number | undefined) =>
    value === undefined ? '…' : formatText(value, 'distanceM', reader, 2);
  const mm = (value: number) => formatText(value, 'lengthMm', reader);
  return (
    <Typography variant="answer">
      At rest the {end}{' '}
      {ride.bottomsAtRest ? (
        <CheckFigure check="suspension.sag" title="sag" tone="over">
          rests on its bump stop
        </CheckFigure>
      ) : (
        <>
          sinks{' '}
          <CheckFigure check="suspension.sag" title="sag">
            {mm(ride.sagMm)}
          </CheckFigure>{' '}
          of {mm(input.wheelTravelMm)} ({formatText(ride.sagPct, 'percent', reader, 2)}
          {ghost ? (
            <Typography component="span" color="textSecondary">
              ; {ghost.label}: {formatText(ghost.found.ride.sagPct, 'percent', reader, 2)}
            </Typography>
          ) : null}
          )
        </>
      )}
      , swings at {formatText(ride.rideHz, 'frequencyHz', reader, 2)} and lands from{' '}
      <CheckFigure
        check="suspension.landing"
        title="landing"
        tone={wish !== undefined && maxDropM !== undefined && maxDropM < wish ? 'over' : ''}
      >
        {drop(maxDropM)}
      </CheckFigure>{' '}
      without bottoming
      {ghost ? (
        <Typography component="span" color="textSecondary">
          {' '}
          ({ghost.label}: {drop(ghost.maxDropM)})
        </Typography>
      ) : null}
      .
    </Typography>
  );
}

function Unsprung({ end, found: { weight, followsMps2 } }: { end: 'front' | 'rear'; found: RideOfBuild }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const cost = inWheelCost(document, end);
  const share = weight.unsprungG / (weight.unsprungG + weight.sprungG);
  return (
    <Note data-testid="unsprung">
      Of {formatText(weight.axleLoadG / 2, 'massG', reader)} on each {end} wheel{' '}
      {formatText(weight.unsprungG, 'massG', reader)} move with it ({formatText(share, 'share', reader, 2)}):
      it follows ground that falls away at up to {formatText(followsMps2, 'accelMps2', reader, 2)}.
      {cost
        ? ` A motor like yours in each wheel would make it ${formatText(cost.unsprungShareThen, 'share', reader, 2)} and ${formatText(cost.followsMps2Then, 'accelMps2', reader, 2)}: it would hop where it now rolls.`
        : ''}
    </Note>
  );
}
