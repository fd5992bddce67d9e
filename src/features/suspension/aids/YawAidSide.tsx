'use client';

import { StillNeeds } from '@/features/fields/StillNeeds';
import Box from '@mui/material/Box';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Typography from '@mui/material/Typography';
import { Fold } from '@/ui/controls/Fold';
import { type ReactNode, useMemo, useState } from 'react';
import { USUAL_YAW_AID, type YawAid } from '@/core/car/document/aids';
import { yawSettings } from '@/core/worked/aids/aidSettings';
import { criticalGain } from '@/core/physics/aids/criticalGain';
import type { YawInput, YawResult } from '@/core/physics/aids/yawDefinition';
import { gyroLawInC } from '@/core/worked/aids/gyroLawInC';
import { maxSteerOf, servoRateOf, yawInputOf } from '@/core/worked/aids/yawOfBuild';
import { worked } from '@/core/worked/worked';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useBuild } from '../../session/BuildContext';
import { DocumentField, Group } from '../../fields/fields';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { useWorked } from '../../session/useWorked';
import { Bench, Charts, Readings } from '../../frame/Guarded';
import { useAid } from './aid';
import { Disturbance, scenarioOf, USUAL_UPSET } from './Disturbance';
import { GyroSliders } from './GyroSliders';
import { SlideAnswer, SlideRoom } from './SlideAnswer';
import { GyroLog } from './GyroLog';
import { AidFoot } from './AidFoot';
import { workerOf } from '@/workers/clients';
import { untilRound } from './untilRound';
import { PathChart, SettleChart, TimeChart } from './YawCharts';
import { sound } from '../../frame/sound';
import { Answer } from './YawAnswer';
import { Speeds } from './YawSpeeds';
import { Ask } from '../../frame/Ask';

const GAINS = 40;
const LEAST_SWEPT = 0.2;
const USUAL_SPEED_MPS = 8;

/** The gyro tried on a kick or a step of the steering, with the car without it as a ghost. */
export function YawAidSide({ tabs, foot, pick }: { tabs: ReactNode; foot: ReactNode; pick: ReactNode }) {
  const { document, surface } = useBuild();
  const gyro = useAid<YawAid>('yaw', USUAL_YAW_AID);
  const { aid, inBuild, closed, set, end } = gyro;
  const top = worked(document, surface).run()?.topSpeedMps ?? USUAL_SPEED_MPS;
  const [speed, setSpeed] = useState<number>();
  const [upset, setUpset] = useState(USUAL_UPSET);
  const speedMps = Math.max(0.5, Math.min(speed ?? top, 1.3 * top));
  const [servoRate, maxSteer] = useMemo(() => [servoRateOf(document), maxSteerOf(document)], [document]);
  const assembled = sound(() => yawInputOf(document, surface, aid, { speedMps, ...scenarioOf(upset) }));
  const asked = assembled.ok ? JSON.stringify(assembled.value) : undefined;
  const critical = assembled.ok ? criticalGain(assembled.value) : undefined;
  const mostGain = Math.max(1.05 * aid.gain!, critical === undefined ? LEAST_SWEPT : 1.15 * critical);
  const study = useWorked<{ assisted: YawResult; bare: YawResult }>(
    asked === undefined
      ? undefined
      : () =>
          workerOf('aids').yaw({
            ...(JSON.parse(asked) as YawInput),
            gains: Array.from({ length: GAINS }, (_, index) => mostGain * ((index + 1) / GAINS) ** 2),
          }),
    [asked],
  );
  const shown = study.value && untilRound(study.value);
  const slide = (key: keyof YawAid) => (value: number) => set({ [key]: value });
  return (
    <>
      <Bench>
        <Disturbance
          upset={upset}
          speedMps={speedMps}
          top={top}
          onUpset={setUpset}
          onSpeed={setSpeed}
          onEnd={end}
        />
        <GyroSliders {...gyro} />
        <GyroLog
          yaw={assembled.ok ? assembled.value : undefined}
          closed={closed}
          onFilter={(lowpassMs) => {
            set({ lowpassMs });
            end();
          }}
          onProven={(signProvenAt) => {
            set({ signProvenAt });
            end();
          }}
        />
        <Group title="Servo">
          <QuantitySlider
            label="Lag"
            quantity="millis"
            value={aid.servoLagMs!}
            min={0}
            max={150}
            step={5}
            disabled={inBuild && closed}
            onChange={slide('servoLagMs')}
            onEnd={end}
          />
          <QuantitySlider
            label="Speed at the wheels"
            quantity="rateDegPerS"
            value={aid.servoRateDegPerS ?? servoRate ?? 300}
            min={50}
            max={1200}
            step={10}
            disabled={inBuild && closed}
            onChange={slide('servoRateDegPerS')}
            onEnd={end}
            {...(servoRate === undefined
              ? {}
              : { mark: { value: Math.round(servoRate / 10) * 10, label: 'from its data sheet' } })}
          />
          <QuantitySlider
            label="Steering to either side"
            quantity="angleDeg"
            value={aid.maxSteerDeg ?? maxSteer ?? 25}
            min={5}
            max={45}
            step={1}
            disabled={inBuild && closed}
            onChange={slide('maxSteerDeg')}
            onEnd={end}
          />
        </Group>
        <Fold title="The tyres in a corner">
          <DocumentField
            path={['suspension', 'aids', 'tyre', 'corneringFrontPerRad']}
            label="Front stiffness over load"
            usual={surface?.ground === 'hard' ? 9 : 5}
          />
          <DocumentField
            path={['suspension', 'aids', 'tyre', 'corneringRearPerRad']}
            label="Rear stiffness over load"
            usual={surface?.ground === 'hard' ? 9 : 5}
          />
          <Typography variant="small" color="textSecondary">
            Side force a radian of slip angle, over the load on the tyre. A rear softer than the front makes
            it loose.
          </Typography>
        </Fold>
      </Bench>
      <Readings>
        {tabs}
        {pick}
        <Ask>
          {assembled.ok ? (
            upset.kind === 'slide' ? (
              <SlideAnswer study={study.value?.assisted} input={assembled.value} />
            ) : (
              <Answer study={study.value} gain={aid.gain!} speedMps={speedMps} />
            )
          ) : (
            <StillNeeds missing={assembled.missing} />
          )}
          <SurfaceSwitch />
        </Ask>
        {assembled.ok && upset.kind === 'slide' ? (
          <SlideRoom study={study.value?.assisted} input={assembled.value} />
        ) : null}
        {assembled.ok && study.value && shown ? (
          <Box sx={dimmedWhen(study.stale)}>
            <Charts>
              <TimeChart
                id="yaw-rate"
                title="Yaw rate"
                quantity="rateDegPerS"
                of={(series) => series.yawRateDegPerS}
                {...shown}
              />
              <PathChart speedMps={speedMps} {...shown} />
            </Charts>
            <Charts>
              <TimeChart
                id="steer"
                title="Steering"
                quantity="angleDeg"
                of={(series) => series.steerDeg}
                {...shown}
              />
              {shown.assisted.series.slideDeg ? (
                <TimeChart
                  id="slide"
                  title="Slide"
                  quantity="angleDeg"
                  of={(series) => series.slideDeg ?? []}
                  {...shown}
                />
              ) : null}
              <SettleChart result={study.value.assisted} gain={aid.gain!} mostGain={mostGain} />
            </Charts>
          </Box>
        ) : null}
        {assembled.ok ? <Speeds input={assembled.value} top={top} /> : null}
        <AidFoot
          title="gyro"
          settings={yawSettings({
            ...aid,
            ...(servoRate === undefined || aid.servoRateDegPerS !== undefined
              ? {}
              : { servoRateDegPerS: Math.round(servoRate) }),
          })}
          {...(assembled.ok ? { law: (name: string) => gyroLawInC(name, assembled.value) } : {})}
        />
        {foot}
        <Typography variant="small" color="textSecondary">
          Tune on closed ground, alone, gain from zero up. A gyro that over-corrects at speed throws the car
          off line faster than you can release the trigger. Local rules go first.
        </Typography>
      </Readings>
    </>
  );
}
