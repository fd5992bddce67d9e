import clsx from 'clsx';
import sheetsCss from '@/features/field/sheets/sheets.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import { IconAct } from '@/ui/controls/IconAct';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import Button from '@mui/material/Button';
import { RUN_KIND_RECORDS } from '@/core/car/records/runKinds';
import { needNames } from '@/words/needs';
import { useState } from 'react';
import { predictRun, runFriction, throughGates } from '@/core/worked/field/predictRun';
import type { Conditions, TimedConditions } from '@/core/car/records/records';
import type { RunReport } from '@/core/car/records/report';
import { timingSpeed } from '@/core/physics/timing/timingSpeed';
import { formatNumber, formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { slalomSentence } from '@/words/learn/runs';
import { FIGURE_NAMES } from '@/words/learn/calibration';
import { newId } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { attemptOf, type Method, type Sheet } from '../sheet';
import { Stopwatch } from '../Stopwatch';
import { PassListFold } from './PassListFold';
import { isRevealed } from '@/core/advice/learn/series';
import { SeriesSetup } from './Series';
import { GatesOfSheet } from './GatesOfSheet';
import { LaunchNote } from './LaunchNote';
import { LightGate } from '../instruments/LightGate';
import { VideoTimer } from './VideoTimer';

const METHODS: readonly (readonly [Method, string])[] = [
  ['watch', 'Stop-watch'],
  ['frames', 'Video frames'],
  ['video', 'Video file'],
  ['clip', 'Slowed clip'],
];

const GATE_HZ = 1000;

/** Passages over a distance: how they are timed, and each attempt as it comes. */
export function TimedBody({
  sheet,
  conditions,
  onChange,
}: {
  sheet: Sheet;
  conditions: Conditions | undefined;
  onChange(sheet: Sheet): void;
}) {
  const { document } = useBuild();
  const { reader } = useReader();
  const timed =
    conditions?.surfaceId !== undefined &&
    conditions.surfaceName !== undefined &&
    conditions.distanceM !== undefined
      ? (conditions as TimedConditions)
      : undefined;
  const predicted = timed ? predictRun(document, sheet.kind, timed) : undefined;
  const through = timed?.gates ? throughGates(document, sheet.kind, timed) : undefined;
  const set = (change: Partial<Sheet>) => onChange({ ...sheet, ...change });
  const number = (key: keyof Sheet, more: object = {}) => ({
    value: sheet[key] as number | undefined,
    onChange: (value: number | undefined) => set({ [key]: value }),
    ...more,
  });
  const addAttempt = (reading: number) => {
    const attempt = attemptOf(newId(), sheet, reading);
    if (attempt) set({ attempts: [...sheet.attempts, attempt] });
  };
  const addFrames = (frames: number, captureFps: number) => {
    const attempt = attemptOf(newId(), { ...sheet, captureFps }, frames);
    if (attempt) set({ captureFps, attempts: [...sheet.attempts, attempt] });
  };
  /** A gate tells milliseconds: as frames of a camera that takes a thousand a second. */
  const addGated = (timeS: number) => {
    const attempt = attemptOf(newId(), { ...sheet, method: 'frames', captureFps: GATE_HZ }, timeS * GATE_HZ);
    if (attempt) set({ attempts: [...sheet.attempts, attempt] });
  };
  const { fromRest, timed: how } = RUN_KIND_RECORDS[sheet.kind];
  const series = how === 'series';
  const waitsForOrder =
    series && (sheet.report.order === undefined || sheet.attempts.length >= sheet.report.order.length);
  return (
    <>
      {fromRest || series ? null : (
        <PassListFold
          report={sheet.report}
          onReport={(change) => set({ report: withoutNothing({ ...sheet.report, ...change }) })}
        />
      )}
      {series ? <SeriesSetup sheet={sheet} onChange={set} /> : null}
      <Toggles label="How it is timed">
        {METHODS.map(([method, name]) => (
          <Toggle key={method} pressed={sheet.method === method} onPress={() => set({ method })}>
            {name}
          </Toggle>
        ))}
      </Toggles>
      <QuantityField
        label="Distance"
        quantity="distanceM"
        limits={{ above: 0, to: 100_000 }}
        example={20}
        {...number('distanceM')}
      />
      {fromRest ? null : (
        <QuantityField
          label="Run-up before it"
          quantity="distanceM"
          limits={{ from: 0, to: 100_000 }}
          example={25}
          {...number('runUpM')}
        />
      )}
      <GatesOfSheet sheet={sheet} onChange={set} />
      {sheet.method === 'frames' ? (
        <QuantityField
          label="Frames a second"
          quantity="count"
          limits={{ above: 0 }}
          example={240}
          {...number('captureFps')}
        />
      ) : null}
      {sheet.method === 'clip' ? (
        <QuantityField
          label="Slowed down by"
          quantity="count"
          limits={{ above: 0 }}
          example={8}
          {...number('slowdown')}
        />
      ) : null}
      {waitsForOrder ? null : (
        <>
          {sheet.method === 'watch' ? <Stopwatch onTime={addAttempt} /> : null}
          <LightGate onTime={addGated} />
          {sheet.method === 'video' ? (
            <VideoTimer
              distanceM={sheet.distanceM}
              onFrames={addFrames}
              onDistance={(distanceM) => set({ distanceM })}
            />
          ) : (
            <ReadingEntry key={sheet.method} method={sheet.method} onReading={addAttempt} />
          )}
        </>
      )}
      <Tries
        sheet={sheet}
        predictedMps={predicted?.ok ? predicted.value.speedMps : undefined}
        onDrop={(id) => set({ attempts: sheet.attempts.filter((attempt) => attempt.id !== id) })}
      />
      {fromRest && sheet.attempts.length > 0 && timed ? (
        <LaunchNote sheet={sheet} mu={runFriction(document, timed)} />
      ) : null}
      {predicted && !predicted.ok ? (
        <Typography variant="small" color="textSecondary">
          No prediction: needs {needNames(predicted.missing)}. The run is kept all the same.
        </Typography>
      ) : null}
      {predicted?.ok ? (
        <Typography variant="note" color="textSecondary" sx={{ mt: 0.5 }}>
          {through ? 'The best it could do' : 'Predicted for these conditions'}:{' '}
          {formatWithError(predicted.value.timeS, predicted.value.timeErrorS, 'timeS', reader)},{' '}
          {formatText(predicted.value.speedMps, 'speedMps', reader)}.
          {through ? ` ${slalomSentence(through, reader)}` : ''}
          {predicted.value.mostFrom
            ? ` Its error comes most from the ${FIGURE_NAMES[predicted.value.mostFrom]}.`
            : ''}
        </Typography>
      ) : null}
    </>
  );
}

const withoutNothing = (report: RunReport): RunReport =>
  Object.fromEntries(Object.entries(report).filter(([, value]) => value !== undefined));

const READING: Readonly<
  Record<Exclude<Method, 'video'>, { label: string; quantity: 'timeS' | 'count'; example: number }>
> = {
  watch: { label: 'Or type the time', quantity: 'timeS', example: 2.1 },
  frames: { label: 'Frames counted', quantity: 'count', example: 504 },
  clip: { label: 'Length of the slowed clip', quantity: 'timeS', example: 16.8 },
};

function ReadingEntry({
  method,
  onReading,
}: {
  method: Exclude<Method, 'video'>;
  onReading(value: number): void;
}) {
  const [value, setValue] = useState<number>();
  const [round, setRound] = useState(0);
  const { label, quantity, example } = READING[method];
  const add = () => {
    if (value === undefined) return;
    onReading(value);
    setValue(undefined);
    setRound(round + 1);
  };
  return (
    <Row
      as="form"
      sx={{ flexWrap: 'nowrap' }}
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Box sx={{ flex: 1 }}>
        <QuantityField
          key={round}
          autoFocus={round > 0}
          label={label}
          quantity={quantity}
          value={value}
          onChange={setValue}
          limits={method === 'frames' ? { from: 1 } : { above: 0 }}
          example={example}
        />
      </Box>
      <Button type="submit" disabled={value === undefined}>
        Add
      </Button>
    </Row>
  );
}

function Tries({
  sheet,
  predictedMps,
  onDrop,
}: {
  sheet: Sheet;
  predictedMps: number | undefined;
  onDrop(id: string): void;
}) {
  const { reader } = useReader();
  const { distanceM } = sheet;
  if (distanceM === undefined) return null;
  return (
    <Box className={sheetsCss.tries} sx={{ mt: 1 }}>
      {sheet.attempts.map(({ id, setting, ...timing }, index) => {
        const { speedMps, timeS, errorMps } = timingSpeed({ distanceM, ...timing });
        return (
          <div key={id} className={sheetsCss.try}>
            {formatText(speedMps, 'speedMps', reader)}
            <small>
              {setting === undefined || !isRevealed(sheet)
                ? `attempt ${index + 1}`
                : `at ${formatNumber(setting, reader.locale, 4)}`}
              : {formatText(timeS, 'timeS', reader)}
            </small>
            <small>± {formatText(errorMps, 'speedMps', reader, 2)}</small>
            <IconAct icon="takeOut" label={`Take attempt ${index + 1} out`} onClick={() => onDrop(id)} />
          </div>
        );
      })}
      {predictedMps === undefined ? null : (
        <div className={clsx(sheetsCss.try, sheetsCss.predicted)}>
          {formatText(predictedMps, 'speedMps', reader)}
          <small>predicted</small>
        </div>
      )}
    </Box>
  );
}
