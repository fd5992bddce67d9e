'use client';

import { type ReactNode, useState } from 'react';
import { type SlipAid, USUAL_SLIP_AID } from '@/core/build/aids';
import { slipSettings } from '@/core/control/aidSettings';
import type { BrakeInput, BrakeResult } from '@/core/control/brakeAssist';
import {
  edgesPerFrame,
  tractionInputOf,
  USUAL_SHAPE,
  USUAL_SLIP_AT_PEAK_PCT,
} from '@/core/control/slipOfBuild';
import type { SlipSeries, TractionInput, TractionResult } from '@/core/control/slipDefinition';
import type { Study } from '@/core/control/slipStudy';
import { STUDY_SEEDS, STUDY_TARGETS } from '@/core/control/slipStudy';
import { formatNumber, formatText } from '@/core/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { QuantityField } from '@/ui/QuantityField';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { DocumentField, Group } from '../fields/fields';
import { SurfaceSwitch } from '../frame/SurfaceSwitch';
import { useWorked } from '../session/useWorked';
import { Bench, Charts, Readings } from '../frame/Guarded';
import { useAid } from './aid';
import { AidFoot } from './AidFoot';
import { workerOf } from '@/workers/clients';
import { useStudy } from './useStudy';
import { sound } from '../frame/sound';

type Both = { assisted: TractionResult; bare: TractionResult } | { assisted: BrakeResult; bare: BrakeResult };

const [USUAL_DISTANCE_M, USUAL_FROM_MPS] = [15, 8];
const OFF_PCT = 100;
/** A sensor so fine that its edges cost nothing. */
const FINE_MAGNETS = 400;
const MOST_SLIP_SHOWN_PCT = 150;

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
              <p className="quiet" style={{ fontSize: 12 }}>
                Left empty, the shorted motor brakes.
              </p>
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
              <button type="button" className="link" onClick={takeOut}>
                take out of the build
              </button>
            ) : (
              <button type="button" className="link" onClick={putIn}>
                put into the build
              </button>
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
        <Group title="Sensor on a driven and on a free wheel">
          <QuantitySlider
            label="Magnets a wheel"
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
        <details className="more">
          <summary>The tyre as it slips</summary>
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
        </details>
      </Bench>
      <Readings>
        {tabs}
        {pick}
        <div className="ask">
          <h1 className="answer">
            {!assembled.ok ? (
              `Not worked out yet: it needs ${assembled.missing.join(', ')}.`
            ) : !worked.value ? (
              'Being worked out.'
            ) : (
              <Answer both={worked.value} brakes={brakes} distanceM={distanceM} fromMps={fromMps} />
            )}
          </h1>
          <SurfaceSwitch />
        </div>
        {assembled.ok && worked.value ? (
          <Charts style={worked.stale ? { opacity: 0.6 } : undefined}>
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
          <p className="note">
            A tyre grips by slipping a little: here most at{' '}
            {formatText(assembled.value.tyre.slipAtPeakPct, 'percent', reader)} on{' '}
            {surface!.name.toLowerCase()}. Hard ground wants less, loose ground more, because the tyre has to
            dig first; a target of nothing throws grip away.
          </p>
        ) : null}
        <AidFoot title="slip control" settings={slipSettings(aid)} />
        {foot}
        <p className="quiet" style={{ fontSize: 12 }}>
          First tries with the wheels off the ground, then on closed ground. A sensor that drops out must
          never leave the throttle open: test that on the bench. Local rules go first.
        </p>
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

const isBrake = (result: TractionResult | BrakeResult): result is BrakeResult => 'stopM' in result;

function Answer({
  both: { assisted, bare },
  brakes,
  distanceM,
  fromMps,
}: {
  both: Both;
  brakes: boolean;
  distanceM: number;
  fromMps: number;
}) {
  const { reader } = useReader();
  const seconds = (value: number | undefined) =>
    value === undefined ? 'never' : formatText(value, 'timeS', reader);
  if (brakes && isBrake(assisted) && isBrake(bare))
    return (
      <>
        From {formatText(fromMps, 'speedMps', reader)} it stands after{' '}
        <span className="figure plainfig" data-testid="stops">
          {formatText(assisted.stopM, 'distanceM', reader)}
        </span>
        ; without, after {formatText(bare.stopM, 'distanceM', reader)}
        {bare.lockedShare > 0.3 ? ', most of it with locked wheels' : ''}.
      </>
    );
  if (isBrake(assisted) || isBrake(bare)) return <>Being worked out.</>;
  const won =
    assisted.timeToDistanceS !== undefined && bare.timeToDistanceS !== undefined
      ? bare.timeToDistanceS - assisted.timeToDistanceS
      : undefined;
  return (
    <>
      Over {formatText(distanceM, 'distanceM', reader)} it takes{' '}
      <span className="figure plainfig" data-testid="takes">
        {seconds(assisted.timeToDistanceS)}
      </span>
      ; without, {seconds(bare.timeToDistanceS)}
      {won === undefined
        ? ''
        : won > 0.005
          ? `: ${formatText(won, 'timeS', reader, 2)} won`
          : won < -0.005
            ? `: ${formatText(-won, 'timeS', reader, 2)} lost, it holds back too much`
            : ': nothing won'}
      . The throttle turns round {formatNumber(assisted.throttleReversalsPerS, reader.locale, 2)} times a
      second.
    </>
  );
}

const LINES = (
  id: string,
  label: string,
  series: SlipSeries,
  of: (series: SlipSeries) => readonly number[],
  style: 'predicted' | 'predictedQuiet' | 'earlier',
  labelAt: number,
  labelShift: readonly [number, number],
) => ({ id, label, style, xs: series.tS, ys: of(series), labelAt, labelShift });

const endOf = ({ assisted, bare }: Both) =>
  Math.max(assisted.series.tS.at(-1)!, Math.min(bare.series.tS.at(-1)!, 1.6 * assisted.series.tS.at(-1)!)) ||
  0.1;

function Speeds({ both }: { both: Both }) {
  const { assisted, bare } = both;
  const most = Math.max(...assisted.series.speedMps, ...assisted.series.wheelMps);
  return (
    <LineChart
      title="Wheel and car"
      testId="slip-speeds"
      width={424}
      height={215}
      xQuantity="timeS"
      yQuantity="speedMps"
      xMax={endOf(both)}
      yMax={1.15 * Math.max(most, ...bare.series.speedMps)}
      lines={[
        LINES('bareCar', 'car, without', bare.series, (s) => s.speedMps, 'earlier', 0.8, [0, 16]),
        LINES('wheel', 'driven wheel', assisted.series, (s) => s.wheelMps, 'predictedQuiet', 0.3, [4, -8]),
        LINES('car', 'car', assisted.series, (s) => s.speedMps, 'predicted', 0.6, [6, 14]),
      ]}
      summary={`The car ends at ${assisted.series.speedMps.at(-1)!.toFixed(1)} m/s.`}
    />
  );
}

function Slip({ both, targetPct, brakes }: { both: Both; targetPct: number; brakes: boolean }) {
  const sign = brakes ? -1 : 1;
  const shown = (series: SlipSeries) =>
    series.slipPct.map((slip) => Math.max(0, Math.min(MOST_SLIP_SHOWN_PCT, sign * slip)));
  return (
    <LineChart
      title={brakes ? 'Slip, wheel slower than the car' : 'Slip, wheel faster than the car'}
      testId="slip"
      width={424}
      height={215}
      xQuantity="timeS"
      yQuantity="percent"
      xMax={endOf(both)}
      yMax={brakes ? 110 : MOST_SLIP_SHOWN_PCT}
      lines={[
        LINES('bare', 'without', both.bare.series, shown, 'earlier', 0.6, [4, -8]),
        LINES('assisted', 'with', both.assisted.series, shown, 'predicted', 0.5, [4, -8]),
        ...(targetPct < OFF_PCT
          ? [
              {
                id: 'target',
                label: 'aimed at',
                style: 'predictedQuiet' as const,
                xs: [0, endOf(both)],
                ys: [targetPct, targetPct],
                labelAt: 1,
                labelShift: [-60, -6] as const,
              },
            ]
          : []),
      ]}
      summary={`Aimed at ${targetPct} per cent.`}
    />
  );
}

function Throttle({ both, brakes }: { both: Both; brakes: boolean }) {
  const [low, high] = brakes ? [1000, 1500] : [1500, 2000];
  return (
    <LineChart
      title={brakes ? 'Brake signal, 1000 is full' : 'Throttle signal, 2000 is full'}
      testId="throttle"
      width={424}
      height={215}
      xQuantity="timeS"
      yQuantity="micros"
      xMax={endOf(both)}
      yMin={low - 30}
      yMax={high + 30}
      lines={[LINES('assisted', '', both.assisted.series, (s) => s.throttleUs, 'predicted', 0.5, [0, -8])]}
      summary="What the controller sends, frame by frame."
    />
  );
}

/** Every target over several seeds: the best band, and what the sensor costs. */
function SlipStudy({
  input,
  brakes,
  targetPct,
}: {
  input: TractionInput | BrakeInput;
  brakes: boolean;
  targetPct: number;
}) {
  const { reader } = useReader();
  const study = useStudy<{ own: Study; fine: Study }>();
  const of = STUDY_TARGETS.length * STUDY_SEEDS;
  const quantity = brakes ? 'distanceM' : 'timeS';
  const run = (
    given: TractionInput | BrakeInput,
    report: (done: number) => Promise<void>,
  ): Promise<Study | undefined> =>
    brakes
      ? workerOf('aids').brakeStudy(given as BrakeInput, report)
      : workerOf('aids').study(given as TractionInput, report);
  const start = () =>
    study.start(async (report) => {
      const own = await run(input, report);
      const fine =
        own &&
        (await run(
          { ...input, sensor: { ...input.sensor, magnets: FINE_MAGNETS, falsePulseRate: 0 } },
          report,
        ));
      return own && fine ? { own, fine } : undefined;
    });
  const found = study.found;
  const rows = found?.own.rows.filter(({ mean }) => mean !== undefined) ?? [];
  const cost = found?.own.best && found.fine.best ? found.own.best.mean! - found.fine.best.mean! : undefined;
  return (
    <div style={{ width: 424 }}>
      <div className="row">
        {study.done === undefined ? (
          <button type="button" className="btn" onClick={start}>
            Sweep the target
          </button>
        ) : (
          <>
            <button type="button" className="btn" onClick={study.cancel}>
              Cancel
            </button>
            <p role="status" className="quiet">
              {study.done} of {of} runs
            </p>
          </>
        )}
      </div>
      {found?.own.best ? (
        <>
          <p data-testid="band" style={{ margin: '6px 0' }}>
            Best from {formatText(found.own.band!.from, 'percent', reader)} to{' '}
            {formatText(found.own.band!.to, 'percent', reader)}:{' '}
            {formatText(found.own.best.mean!, quantity, reader)}.
            {cost === undefined
              ? ''
              : cost > 0.005 * found.own.best.mean!
                ? ` The sensor’s coarse edges cost ${formatText(cost, quantity, reader, 2)} of that.`
                : ' A finer sensor would win nothing.'}
          </p>
          <LineChart
            title={brakes ? 'Way to stand over the target' : 'Time over the target'}
            testId="slip-study"
            width={424}
            height={180}
            xQuantity="percent"
            yQuantity={quantity}
            xMax={OFF_PCT}
            yMin={0.97 * Math.min(...rows.map(({ mean }) => mean!))}
            yMax={1.03 * Math.max(...rows.map(({ mean, sd }) => mean! + sd))}
            lines={[
              {
                id: 'study',
                label: '',
                style: 'predicted',
                xs: rows.map((row) => row.targetSlipPct),
                ys: rows.map(({ mean }) => mean!),
              },
            ]}
            points={rows.map(({ targetSlipPct, mean }) => ({ x: targetSlipPct, y: mean!, measured: false }))}
            uprights={[{ x: targetPct, label: 'yours', wish: true }]}
            summary={`Best at ${found.own.best.targetSlipPct} per cent.`}
          />
        </>
      ) : (
        <p className="quiet" style={{ fontSize: 13, marginTop: 6 }}>
          Tries {STUDY_TARGETS.length} targets, each with {STUDY_SEEDS} seeds of the sensor’s false pulses,
          and again with a sensor without faults.
        </p>
      )}
    </div>
  );
}
