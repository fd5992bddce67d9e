'use client';

import '@/words/later/bringIn';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId, useState } from 'react';
import type { GyroLogInput, GyroLogName, GyroLogResult, Peak } from '@/core/physics/aids/gyro/definition';
import type { YawInput } from '@/core/physics/aids/yawDefinition';
import { pastedPairs } from '@/core/base/pasted';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import { TextArea } from '@/ui/controls/TextInput';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { PEAK_WORDS, SIGN_WORDS } from '@/words/bench/gyroLogWords';
import { say } from '@/words/findings';
import { refusalText } from '@/words/refusals/problemOf';
import { workerOf } from '@/workers/clients';
import { useWorked } from '../../session/useWorked';

const LOGS: readonly (readonly [GyroLogName, string])[] = [
  ['rest', 'At rest, motor off'],
  ['running', 'Wheels in the air, motor running'],
  ['driving', 'Driving'],
  ['leftTurn', 'Turned to the left by hand'],
];

type Texts = Partial<Record<GyroLogName, string>>;

/** The logs that can be read, or undefined while the one at rest cannot. */
function inputOf(
  texts: Texts,
  { motorRpm, wheelRpm, yaw }: { motorRpm?: number; wheelRpm?: number; yaw?: YawInput },
): GyroLogInput | undefined {
  const logs = LOGS.flatMap(([name]) => {
    const pairs = pastedPairs(texts[name] ?? '');
    if (!pairs) return [];
    const turning = name === 'running' || name === 'driving';
    return [
      [
        name,
        {
          tS: pairs.map(([t]) => t),
          rateDegPerS: pairs.map(([, rate]) => rate),
          ...(turning && motorRpm !== undefined ? { motorRpm } : {}),
          ...(turning && wheelRpm !== undefined ? { wheelRpm } : {}),
        },
      ],
    ] as const;
  });
  const all = Object.fromEntries(logs) as unknown as GyroLogInput;
  return all.rest ? { ...all, ...(yaw ? { yaw } : {}) } : undefined;
}

interface GyroLogProps {
  /** The loop that the filter's delay goes into, where the car is complete. */
  yaw: YawInput | undefined;
  closed: boolean;
  onFilter(lowpassMs: number): void;
  onProven(day: string): void;
}

/** What the gyro's own readings say: its bias and noise, what shakes it, the filter it needs, and whether its direction is right. */
export function GyroLog({ yaw, closed, onFilter, onProven }: GyroLogProps) {
  const { reader } = useReader();
  const id = useId();
  const [texts, setTexts] = useState<Texts>({});
  const [motorRpm, setMotor] = useState<number>();
  const [wheelRpm, setWheel] = useState<number>();
  const input = inputOf(texts, {
    ...(motorRpm === undefined ? {} : { motorRpm }),
    ...(wheelRpm === undefined ? {} : { wheelRpm }),
    ...(yaw ? { yaw } : {}),
  });
  const asked = input && JSON.stringify(input);
  const found = useWorked<GyroLogResult>(
    asked === undefined ? undefined : () => workerOf('aids').gyroLog(JSON.parse(asked) as GyroLogInput),
    [asked],
  );
  return (
    <Fold title="What the gyro reads">
      <Typography>
        Log time and rate of the gyro a few seconds each: still, with the motor running, and while the car is
        turned to the left by hand. Paste them here before the first drive.
      </Typography>
      <Note>Wheels off the ground and clear of hands while the motor runs. Local rules go first.</Note>
      {LOGS.map(([name, label]) => {
        const text = texts[name] ?? '';
        return (
          <div key={name}>
            <Typography component="label" variant="label" htmlFor={`${id}-${name}`}>
              {label}: time in s and rate in °/s, a line each
            </Typography>
            <TextArea
              id={`${id}-${name}`}
              rows={3}
              maxLength={2_000_000}
              placeholder={'0  1.4\n0.005  1.6'}
              value={text}
              onChange={({ target }) => setTexts({ ...texts, [name]: target.value })}
            />
            {text.trim() !== '' && !pastedPairs(text) ? (
              <Note tone="bad" role="alert">
                Each line is a time and a rate: 0.005 1.6
              </Note>
            ) : null}
          </div>
        );
      })}
      <QuantityField
        label="Motor turned meanwhile at"
        quantity="rpm"
        limits={{ from: 0, to: 500_000 }}
        value={motorRpm}
        onChange={setMotor}
      />
      <QuantityField
        label="Wheels turned meanwhile at"
        quantity="rpm"
        limits={{ from: 0, to: 500_000 }}
        value={wheelRpm}
        onChange={setWheel}
      />
      {found.refused ? (
        <Note tone="bad" role="alert">
          The log {refusalText(found.refused, reader)}.
        </Note>
      ) : found.value ? (
        <Told found={found.value} closed={closed} onFilter={onFilter} onProven={onProven} />
      ) : null}
    </Fold>
  );
}

const MS = 1000;

function Told({ found, closed, onFilter, onProven }: { found: GyroLogResult } & Omit<GyroLogProps, 'yaw'>) {
  const { reader } = useReader();
  const { rest, running, driving, lowpass, criticalGain, sign, findings } = found;
  const rate = (value: number) => formatText(value, 'rateDegPerS', reader, 2);
  const gain = (value: number) => formatNumber(value, reader.locale, 2);
  const peaks = (list: readonly Peak[]) =>
    list
      .map(
        ({ frequencyHz, amplitudeDegPerS, source }) =>
          `${formatText(frequencyHz, 'frequencyHz', reader, 3)} by ${rate(amplitudeDegPerS)}, ${PEAK_WORDS[source]}`,
      )
      .join('; ');
  const ms = Math.round(lowpass.lowpassS * MS);
  return (
    <section aria-label="What the log says">
      <Typography data-testid="gyro-rest">
        At rest it reads {rate(rest.biasDegPerS)}, drifts {rate(rest.driftDegPerSPerMinute)} a minute, and
        scatters by {rate(rest.noiseDegPerS)}.
      </Typography>
      {running ? (
        <Typography data-testid="gyro-running">
          With the motor running it shakes by {rate(running.rmsDegPerS)}
          {running.peaks.length > 0 ? `: ${peaks(running.peaks)}` : ''}.
        </Typography>
      ) : null}
      {driving && driving.peaks.length > 0 ? <Typography>Driving: {peaks(driving.peaks)}.</Typography> : null}
      {lowpass.cornerHz === undefined ? null : (
        <Typography data-testid="gyro-filter">
          A filter of {formatText(ms, 'millis', reader)} leaves {rate(lowpass.rmsAfterDegPerS)}.
          {criticalGain?.without !== undefined && criticalGain.with !== undefined
            ? ` With its delay the gyro over-corrects from a gain of ${gain(criticalGain.with)}, without from ${gain(criticalGain.without)}.`
            : ''}{' '}
          {closed ? null : (
            <Button variant="link" onClick={() => onFilter(ms)}>
              Take that filter
            </Button>
          )}
        </Typography>
      )}
      {sign ? (
        <Typography data-testid="gyro-sign">
          {SIGN_WORDS[sign]}{' '}
          {sign === 'right' && !closed ? (
            <Button variant="link" onClick={() => onProven(new Date().toISOString().slice(0, 10))}>
              Note it as proven
            </Button>
          ) : null}
        </Typography>
      ) : null}
      {findings.map(({ about, why, severity }) => (
        <Note key={`${about} ${why.code}`} tone={severity === 'over' ? 'bad' : 'caution'}>
          {say(why, reader)}
        </Note>
      ))}
    </section>
  );
}
