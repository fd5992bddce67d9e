'use client';

import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { StillNeeds } from '@/features/fields/StillNeeds';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import { type ReactNode, useState } from 'react';
import { type SlipAid, USUAL_SLIP_AID } from '@/core/car/document/aids';
import { slipLawInC } from '@/core/worked/aids/slipLawInC';
import { slipSettings } from '@/core/worked/aids/aidSettings';
import type { BrakeInput } from '@/core/physics/aids/brakeAssist';
import {
  edgesPerFrame,
  tractionInputOf,
  USUAL_SHAPE,
  USUAL_SLIP_AT_PEAK_PCT,
} from '@/core/worked/aids/slipOfBuild';
import type { TractionInput } from '@/core/physics/aids/slipDefinition';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { DocumentField, Group } from '../../fields/fields';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useWorked } from '../../session/useWorked';
import { Bench, Charts, Readings } from '../../frame/Guarded';
import { useAid } from './aid';
import { AidFoot } from './AidFoot';
import { workerOf } from '@/workers/clients';
import { sound } from '../../frame/sound';
import { type Both, Answer, Speeds, Slip, Throttle } from './SlipReadings';
import { FollowedSpeed } from './FollowedSpeed';
import { SlipStudy } from './SlipStudy';
import { Ask } from '../../frame/Ask';

const [USUAL_DISTANCE_M, USUAL_FROM_MPS] = [15, 8];

/** A throttle held back by wheel slip, or a brake by the same controller mirrored, against the car without it. */
export function SlipAidSide({
  tabs,
  foot,
  pick,
  brakes,
}: {
  tabs: ReactNode;
  foot: ReactNode;
  pick: ReactNode;
  brakes: boolean;
}) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const { aid, inBuild, closed, set, end, putIn, takeOut } = useAid<SlipAid>('traction', USUAL_SLIP_AID);
  const [distanceM, setDistance] = useState(USUAL_DISTANCE_M);
  const [fromMps, setFrom] = useState(USUAL_FROM_MPS);
  const [brakeNm, setBrake] = useState<number>();
  const assembled = sound(() => tractionInputOf(document, surface, aid, { distanceM }));
  const input = assembled.ok
    ? brakes
      ? brakeInput(assembled.value, fromMps, brakeNm)
      : assembled.value
    : undefined;
  const asked = input && JSON.stringify(input);
  const worked = useWorked<Both>(
    asked === undefined
      ? undefined
      : () =>
          brakes
            ? workerOf('aids').brake(JSON.parse(asked) as BrakeInput)
            : workerOf('aids').traction(JSON.parse(asked) as TractionInput),
    [asked],
  );
  const followedBy = assembled.ok ? assembled.value.controller.mostAccelMps2 : undefined;
  const disabled = inBuild && closed;
  const slide = (key: keyof SlipAid) => (value: number) => set({ [key]: value });
  const radiusMm = document.drive.tyre?.radiusMm;
  return (
    <>
      <Bench>
        <Group title={brakes ? 'Braked' : 'Driven off'}>
          {brakes ? (
            <>
              <QuantityField
                label="From"
                quantity="speedMps"
                limits={{ above: 0, to: 60 }}
                value={fromMps}
                onChange={(value) => {
                  if (value !== undefined) setFrom(value);
                }}
              />
              <QuantityField
                label="Brake torque at the axle"
                quantity="torqueNm"
                limits={{ above: 0, to: 100 }}
                value={brakeNm}
                onChange={setBrake}
              />
              <Typography variant="small" color="textSecondary">
                Left empty, the shorted motor brakes.
              </Typography>
            </>
          ) : (
            <QuantityField
              label="Over"
              quantity="distanceM"
              limits={{ above: 0, to: 500 }}
              value={distanceM}
              onChange={(value) => {
                if (value !== undefined) setDistance(value);
              }}
            />
          )}
        </Group>
        <Group
          title="Slip control"
          aside={
            closed ? undefined : inBuild ? (
              <Button variant="link" onClick={takeOut}>
                remove of the build
              </Button>
            ) : (
              <Button variant="link" onClick={putIn}>
                put into the build
              </Button>
            )
          }
        >
          <QuantitySlider
            label="Slip aimed at"
            quantity="percent"
            value={aid.targetSlipPct!}
            min={0}
            max={100}
            step={1}
            disabled={disabled}
            onChange={slide('targetSlipPct')}
            onEnd={end}
          />
          <QuantitySlider
            label="Taken back a per cent"
            quantity="micros"
            value={aid.gainUsPerPct!}
            min={0}
            max={60}
            step={1}
            disabled={disabled}
            onChange={slide('gainUsPerPct')}
            onEnd={end}
          />
          <QuantitySlider
            label="Answers every"
            quantity="millis"
            value={aid.frameMs!}
            min={2}
            max={60}
            step={1}
            disabled={disabled}
            onChange={slide('frameMs')}
            onEnd={end}
          />
          <QuantitySlider
            label="Comes back, a millisecond"
            quantity="micros"
            value={aid.releaseUsPerMs ?? 100}
            min={0.5}
            max={100}
            step={0.5}
            disabled={disabled}
            onChange={slide('releaseUsPerMs')}
            onEnd={end}
            effect={aid.releaseUsPerMs === undefined ? 'At once until it is set.' : ''}
          />
        </Group>
        <Group
          title={followedBy === undefined ? 'Sensor on a driven and on a free wheel' : 'Sensor on the drive'}
        >
          {followedBy === undefined || !assembled.ok ? null : (
            <FollowedSpeed
              value={followedBy}
              mu={assembled.value.tyre.muPeak}
              disabled={disabled}
              onChange={slide('mostAccelMps2')}
              onEnd={end}
            />
          )}
          <QuantitySlider
            label="Magnets per wheel"
            quantity="count"
            value={aid.magnets!}
            min={1}
            max={48}
            step={1}
            disabled={disabled}
            onChange={slide('magnets')}
            onEnd={end}
            {...(radiusMm === undefined
              ? {}
              : {
                  effect: `An edge every ${formatText((2 * Math.PI * radiusMm) / aid.magnets!, 'lengthMm', reader)}; ${formatNumber(edgesPerFrame({ radiusMm, magnets: aid.magnets!, frameMs: aid.frameMs! }, 4), reader.locale, 2)} a frame at ${formatText(4, 'speedMps', reader)}.`,
                })}
          />
          <QuantitySlider
            label="False pulses"
            quantity="share"
            value={aid.falsePulseRate!}
            min={0}
            max={0.5}
            step={0.01}
            disabled={disabled}
            onChange={slide('falsePulseRate')}
            onEnd={end}
          />
        </Group>
        <Fold title="The tyre as it slips">
          <DocumentField
            path={['suspension', 'aids', 'tyre', 'slipAtPeakPct']}
            label="Most grip at a slip of"
            usual={USUAL_SLIP_AT_PEAK_PCT[surface?.ground ?? 'hard']}
          />
          <DocumentField
            path={['suspension', 'aids', 'tyre', 'shape']}
            label="Fall of grip beyond it"
            usual={USUAL_SHAPE[surface?.ground ?? 'hard']}
          />
        </Fold>
      </Bench>
      <Readings>
        {tabs}
        {pick}
        <Ask>
          {assembled.ok ? (
            <Typography variant="answer">
              {!worked.value ? (
                'Being worked out.'
              ) : (
                <Answer both={worked.value} brakes={brakes} distanceM={distanceM} fromMps={fromMps} />
              )}
            </Typography>
          ) : (
            <StillNeeds missing={assembled.missing} />
          )}
          <SurfaceSwitch />
        </Ask>
        {assembled.ok && worked.value ? (
          <Charts sx={dimmedWhen(worked.stale)}>
            <Speeds both={worked.value} />
            <Slip both={worked.value} targetPct={aid.targetSlipPct!} brakes={brakes} />
          </Charts>
        ) : null}
        {assembled.ok && worked.value ? (
          <Charts>
            <Throttle both={worked.value} brakes={brakes} />
            <SlipStudy key={`${brakes}`} input={input!} brakes={brakes} targetPct={aid.targetSlipPct!} />
          </Charts>
        ) : null}
        {assembled.ok ? (
          <Note>
            A tyre grips by slipping a little: here most at{' '}
            {formatText(assembled.value.tyre.slipAtPeakPct, 'percent', reader)} on{' '}
            {surface!.name.toLowerCase()}. Hard ground wants less, loose ground more, because the tyre has to
            dig first; a target of nothing throws grip away.
          </Note>
        ) : null}
        <AidFoot
          title="slip control"
          settings={slipSettings({
            ...aid,
            ...(followedBy === undefined ? {} : { mostAccelMps2: Number(followedBy.toPrecision(3)) }),
          })}
          {...(assembled.ok && !brakes ? { law: (name: string) => slipLawInC(name, assembled.value) } : {})}
        />
        {foot}
        <Typography variant="small" color="textSecondary">
          First tries with the wheels off the ground, then on closed ground. A sensor that drops out must
          never leave the throttle open: test that on the bench. Local rules go first.
        </Typography>
      </Readings>
    </>
  );
}

function brakeInput(
  { distanceM: _, ...car }: TractionInput,
  fromMps: number,
  brakeNm: number | undefined,
): BrakeInput {
  return { ...car, fromMps, ...(brakeNm === undefined ? {} : { brakeNm }) };
}
